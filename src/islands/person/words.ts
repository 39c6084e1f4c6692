export const aboutForm = {
  newKeepsTenthEvery: 'new: keeps a tenth of every range in reserve',
  steadyKeepsTwentiethReserve: 'steady: keeps a twentieth in reserve',
  seasonedKeepsNothingReserve: 'seasoned: keeps nothing in reserve',
  nameNeededNotSaved: 'A name is needed. It is not saved.',
  year: 'a year',
  number: 'a number',
  notFromNotSaved: (label: string, text: string, rest: string, low: number, high: number) =>
    `${label}: “${text}” is not ${rest} from ${String(low)} to ${String(high)}. It is not saved.`,
  born: 'Born in',
  bodyMassKgOptional: 'Body mass, kg (optional)',
  name: 'Name',
  experience: 'Experience',
  referenceBandsOnlyWhat: 'Reference bands (only what is shown beside the values)',
  notSaid: 'not said',
  women: 'of women',
  men: 'of men',
  privateNotesNeverPrinted: 'Private notes (never printed)',
  everythingHereSavedAs: 'Everything here is saved as you leave a field.',
} as const;

export const historyList = {
  beforeLaterAnswerCame: (field: string, quote: string) =>
    `${field}: ${quote}, before a later answer came in from a file`,
  oneChange: 'One change',
  changes: (count: number) => `${String(count)} changes`,
  theseAnswers: (rest: string) => `${rest} of these answers`,
} as const;

export const intakeForm = {
  whatHurtsWhen: 'What hurts, and when?',
  whatOperatedBrokenWhen: 'What was operated on or broken, and when?',
  whatDoTheyCome: 'What do they come for?',
  underGuardianWhoPresent: 'Under 18: the guardian who is present',
  everyAnswerMayLeft: 'Every answer may be left out. Changes are kept with their date.',
} as const;

export const personView = {
  whatMind: 'What to mind',
  notAskedYetNothing:
    'Not asked yet. Nothing here is a diagnosis; local rules for teachers come first.',
  lastAskedNothingHere: (date: string) =>
    `Last asked ${date}. Nothing here is a diagnosis; local rules for teachers come first.`,
  who: 'Who',
  whatTheyTold: 'What they told',
  dueAgain: 'Due again',
  clearedBy: (clearedBy: string) => `, cleared by ${clearedBy}`,
  nothingMeasuredYet: 'Nothing is measured yet. ',
  startShortRound: 'Start a short round',
  everyValueFresh: 'Every value is fresh.',
} as const;

export const theirData = {
  theirData: 'Their data',
  wording: (consentWording: string) => ` (wording of ${consentWording})`,
  withWord: (guardian: string) => `, with ${guardian}`,
  agreed: (date: string, rest: string, rest2: string) => `Agreed on ${date}${rest}${rest2}. `,
  theyWithdraw: 'They withdraw it',
  saveTheirOwnCopy: 'Save their own copy',
  pageReadWithCharts:
    'A page to read, with charts, pictures and your notes, and the person file. It is not encrypted.',
  theyWithdrewTheirConsent:
    'They withdrew their consent. Give them their own copy if they want one, then erase them below.',
  theyHaveNotAgreed: 'They have not agreed yet that anything is kept.',
  theyAgreeAgain: 'They agree again',
  askThem: 'Ask them',
  picturesNotKeptThey: 'Pictures are not kept: they have not agreed to it.',
  picturesMayKeptSince: (date: string, count: number) =>
    `Pictures may be kept, since ${date}; ${String(count)} here.`,
  theyAgreePictures: 'They agree to pictures',
  picture: 'the picture',
  all: (count: number) => `all ${String(count)}`,
  theyWithdrawDelete: (rest: string) => `They withdraw it: delete ${rest}`,
  remove: 'Remove',
  eraseNow: 'Erase now',
  someoneRemovedCanBrought: (REMOVED_DAYS: number) =>
    `Someone removed can be brought back for ${String(REMOVED_DAYS)} days; then everything of theirs is erased automatically.`,
  everyReadingSessionSet: (person: string) =>
    `Every reading, session, set-up, picture and note of ${person} goes from this browser now, and cannot be brought back. Backups and files that you saved are not changed: delete them too.`,
  eraseEverything: (person: string) => `Erase everything of ${person}`,
  leave: 'Leave it',
} as const;
