export const appNotices = {
  newVersionReadyPage: 'A new version is ready. This page goes on as it is until you reload. ',
  tabOutDateNewer:
    'This tab is out of date: a newer version runs in another one. Nothing more is saved here. ',
  reload: 'Reload',
} as const;

export const consentForm = {
  sayYourOwnWords: 'Say this in your own words, or let them read it:',
  picturesMayKeptToo: 'pictures may be kept too ',
  nothingDepends: '(nothing depends on it)',
  guardianWhoAgreesToo: 'Guardian who agrees too',
  guardianWhoAgreesTooIfTheyAre: 'Guardian who agrees too, if they are under 18',
  theyAgree: 'They agree',
  untilTheyAgreeNothing: 'Until they agree nothing is measured. ',
  whatKeptWhere: 'What is kept where',
} as const;

export const missing = {
  nobodyHere: 'Nobody here',
  linkLeadsNobodyBrowser: 'This link leads to nobody in this browser.',
  goPeople: 'Go to people',
} as const;

export const opening = {
  anotherTabHoldsDatabase:
    'Another tab holds the database of an older version. Close it, and this page goes on.',
  browserDoesNotOpen: (writeError: string) =>
    `This browser does not open its database. ${writeError} Close the app’s other tabs and reload; a private window may not allow storing at all. What was saved is not lost by this.`,
  opening: 'Opening…',
  reload: 'Reload',
} as const;

export const personSentence = {
  whatMind: 'what to mind',
  whatMeasured: 'what is measured',
  howSetUp: 'how to set up',
  mat: 'on the mat',
  overTime: 'over time',
  record: 'the record',
  recordOf: (person: string) => `Record of ${person}`,
  inWord: (rest: string) => `in ${rest}`,
  change: (rest: string) => `, change to ${rest}`,
} as const;

export const stopSigns = {
  alsoGoodKnow: 'Also good to know',
  side: 'Side',
  notSaid: 'not said',
  left: 'left',
  right: 'right',
  both: 'both',
  clearedByDoctorPhysiotherapist: 'Cleared by (doctor, physiotherapist)',
  note: 'Note',
} as const;

export const markedPicture = {
  pictureActiveMarkArrows: (value: string) =>
    `Picture. Active mark: ${value}. Arrows move it, Shift moves it faster, Enter goes on, a digit chooses a mark.`,
} as const;

export const pictureMarks = {
  picture: 'Picture ',
  tryDrawnOne: 'or try it on a drawn one',
  everyMarkPlacedEach: 'Every mark is placed; each can still be moved.',
  point: (value: number, words: string) => `${String(value)}. Point at ${words}.`,
} as const;

export const orderList = {
  pressSpacePickUp:
    'Press Space to pick it up, the arrow keys to move it, Space to put it down, Escape to leave it where it was.',
  place: (value: number, count: number) => `place ${String(value)} of ${String(count)}`,
  pickedUp: (of: string, placeOf: string) => `${of} is picked up, ${placeOf}.`,
  putDown: (of: string, placeOf: string) => `${of} is put down, ${placeOf}.`,
  staysWhere: (of: string) => `${of} stays where it was.`,
  move: (item: string) => `move ${item}`,
} as const;

export const toastRegion = {
  justDone: 'Just done',
} as const;

export const useStoredText = {
  notSavedTryingAgain: (words: string) => `Not saved. ${words} Trying again soon. `,
  tryNow: 'Try now',
  saveAsFile: 'Save it as a file',
  notSavedEnteredElsewhere: (theirs: string) =>
    `Not saved: “${theirs}” was entered elsewhere meanwhile. `,
  keepMine: 'Keep mine',
  takeOther: 'Take the other',
} as const;

export const useWrite = {
  notSavedNotHere: 'Not saved. It is not here any more.',
  notSavedTryingAgain: (words: string) => `Not saved. ${words} Trying again soon. `,
  tryNow: 'Try now',
  saveAsFile: 'Save it as a file',
} as const;
