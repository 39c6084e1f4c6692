export const aboutForm = {
  nameEmptyNotSaved: 'Name is empty. It is not saved.',
  year: 'a year',
  number: 'a number',
  notFromNotSaved: (label: string, text: string, kind: string, low: number, high: number) =>
    `${label}: “${text}” is not ${kind} from ${String(low)} to ${String(high)}. It is not saved.`,
  birthYear: 'Birth year',
  bodyMassKgOptional: 'Body mass (optional)',
  name: 'Name',
  referenceRangesShownNext: 'Reference ranges shown next to the values',
  notSaid: 'not said',
  forWomen: 'for women',
  forMen: 'for men',
  privateNotesNeverPrinted: 'Private notes (never printed)',
  eachFieldSavedWhen: 'Each field is saved when you leave it.',
} as const;

export const historyList = {
  beforeFileBroughtLater: (field: string, quote: string) =>
    `${field}: ${quote}, before a file brought a later answer`,
  oneChange: 'One change',
  changes: (count: number) => `${String(count)} changes`,
  theseAnswers: (changes: string) => `${changes} of these answers`,
} as const;

export const intakeForm = {
  whatHurtsWhen: 'What hurts, and when?',
  anyOperationsFracturesWhen: 'Any operations or fractures, and when?',
  whatTheyHopingFor: 'What are they hoping for?',
  underGuardianWhoPresent: 'Under 18: the guardian who is present',
  allAnswersOptionalChanges: 'All answers are optional. Changes are kept with their date.',
} as const;

export const personView = {
  health: 'Health',
  notAskedYetNothing:
    'Not asked yet. Nothing here is a diagnosis; local rules for teachers come first.',
  lastAskedNothingHere: (date: string) =>
    `Last asked ${date}. Nothing here is a diagnosis; local rules for teachers come first.`,
  who: 'Who',
  theirOwnWords: 'In their own words',
  reMeasure: 'To re-measure',
  clearedBy: (clearedBy: string) => `, cleared by ${clearedBy}`,
  noMeasuresYet: 'No measures yet. ',
  startShortRound: 'Start a short round',
  nothingReMeasure: 'Nothing to re-measure.',
} as const;

export const theirData = {
  theirData: 'Their data',
  wording: (consentWording: string) => ` (wording of ${consentWording})`,
  withWord: (guardian: string) => `, with ${guardian}`,
  agreed: (date: string, wording: string, guardian: string) =>
    `Agreed on ${date}${wording}${guardian}. `,
  theyWithdrawConsent: 'They withdraw consent',
  saveTheirOwnCopy: 'Save their own copy',
  pageReadWithCharts:
    'A page to read, with charts, pictures and your notes, and the person file. It is not encrypted.',
  theyWithdrewTheirConsent:
    'They withdrew their consent. Give them their own copy if they want one, then erase them below.',
  theyHaveNotAgreed: 'They have not agreed yet to any data being kept.',
  theyAgreeAgain: 'They agree again',
  askThem: 'Ask them',
  picturesNotKeptThey: 'Pictures are not kept: they have not agreed to it.',
  picturesMayKeptSince: (date: string, count: number) =>
    `Pictures may be kept, since ${date}; ${String(count)} here.`,
  theyAgreePictures: 'They agree to pictures',
  picture: 'the picture',
  all: (count: number) => `all ${String(count)}`,
  theyWithdrawDelete: (pictures: string) => `They withdraw it: delete ${pictures}`,
  remove: 'Remove',
  eraseNow: 'Erase now',
  removedPersonCanRestored: (REMOVED_DAYS: number) =>
    `A removed person can be restored for ${String(REMOVED_DAYS)} days. After that, all their data is erased automatically.`,
  everyReadingSessionSet: (person: string) =>
    `Every reading, session, set-up, picture and note of ${person} is deleted from this browser now and cannot be recovered. Backups and files that you saved stay as they are: delete them too.`,
  eraseAllData: (person: string) => `Erase all data of ${person}`,
  cancel: 'Cancel',
} as const;
