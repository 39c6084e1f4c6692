export const appNotices = {
  newVersionReadyPage: 'A new version is ready. This page keeps working until you reload. ',
  tabOutDateAnother:
    'This tab is out of date: another tab runs a newer version. Nothing more is saved here. ',
  reload: 'Reload',
} as const;

export const consentForm = {
  agreementSaved: (person: string) => `${person} agrees: saved with the date.`,
  undo: 'Undo',
  sayYourOwnWords: 'Say this in your own words, or let them read it:',
  picturesMayKeptToo: 'pictures may be kept too ',
  optional: '(optional)',
  guardianWhoAgreesToo: 'Guardian who agrees too',
  guardianWhoAgreesTooIfTheyAre: 'Guardian who agrees too, if they are under 18',
  theyAgree: 'They agree',
  nothingMeasuredUntilThey: 'Nothing is measured until they agree. ',
  whatKeptWhere: 'What is kept where',
} as const;

export const missing = {
  personNotFound: 'Person not found',
  nobodyBrowserHasLink: 'Nobody in this browser has this link.',
  goPeople: 'Go to people',
} as const;

export const opening = {
  anotherTabStillUsing:
    'Another tab is still using an older version. Close that tab and this page continues.',
  browserCannotOpenIts: (writeError: string) =>
    `This browser cannot open its database. ${writeError} Close the app’s other tabs and reload; a private window may not allow any storage. Nothing that was saved is lost.`,
  opening: 'Opening…',
  reload: 'Reload',
} as const;

export const personHeader = {
  health: 'Health',
  measures: 'Measures',
  setUps: 'Set-ups',
  flows: 'Flows',
  session: 'Session',
  progress: 'Progress',
  record: 'Record',
  views: (person: string) => `Views of ${person}`,
  centimetres: 'centimetres',
  inches: 'inches',
  change: (unit: string, other: string) => `: in ${unit}, change to ${other}`,
} as const;

export const stopSigns = {
  goodKnowAsWell: 'Good to know as well',
  side: 'Side',
  notSaid: 'not said',
  left: 'left',
  right: 'right',
  both: 'both',
  clearedByDoctorPhysiotherapist: 'Cleared by (doctor, physiotherapist)',
  note: 'Note',
} as const;

export const markedPicture = {
  pictureActiveMarkArrows: (mark: string) =>
    `Picture. Active mark: ${mark}. Arrows move it, Shift moves it faster, Enter goes on, a digit chooses a mark.`,
} as const;

export const pictureMarks = {
  picture: 'Picture',
  tryDrawing: 'or try it on a drawing',
  allMarksPlacedEach: 'All marks are placed. Each can still be moved.',
  point: (place: number, mark: string) => `${String(place)}. Point at ${mark}.`,
} as const;

export const orderList = {
  pressSpacePickUp:
    'Press Space to pick it up, the arrow keys to move it, Space to drop it, Escape to cancel.',
  place: (place: number, count: number) => `place ${String(place)} of ${String(count)}`,
  pickedUp: (name: string, place: string) => `${name} is picked up, ${place}.`,
  dropped: (name: string, place: string) => `${name} is dropped, ${place}.`,
  staysWhere: (name: string) => `${name} stays where it was.`,
  move: (item: string) => `move ${item}`,
} as const;

export const experienceField = {
  experience: 'Experience with standing poses',
  newHoldsBackTenth: 'New: a tenth of every range is held back',
  steadyHoldsBackTwentieth: 'Steady: a twentieth is held back',
  seasonedHoldsNothingBack: 'Seasoned: nothing is held back for experience',
} as const;

export const fileField = {
  choose: 'Choose a file',
  none: 'no file chosen',
} as const;

export const keys = {
  keys: 'Keys',
  close: 'close',
  everywhere: 'On every page',
  thisList: 'this list',
  tab: 'go to the next thing that can be pressed',
  escape: 'close what is open',
  onPage: 'On this page',
  otherSide: 'other side',
  depth: 'recommended or deepest',
  nextPose: 'next pose',
  previousPose: 'pose before',
  onHandle: 'On a foot or hand of the drawing',
  moveFoot: 'move it half a centimetre',
  moveFootFaster: 'move it 5 cm',
  turnFoot: 'turn the foot',
  inLargeSteps: 'In the large step view',
  nextStep: 'next step',
  previousStep: 'step before',
  moreLess: 'more, less',
  undo: 'undo',
  saveNext: 'save, next',
  withInstrument: 'With an instrument or a stopwatch',
  take: 'take the reading',
  zero: 'set the zero',
  onPicture: 'On a picture',
  chooseMark: 'choose a mark',
  moveMark: 'move it',
  moveMarkFaster: 'move it faster',
  placeMark: 'place it, go to the next mark',
  inClass: 'While a class is taught',
  inRoom: 'On a mat in the room',
  movePlace: 'move it 10 cm',
  movePlaceFaster: 'move it 50 cm',
  inSession: 'While a session runs',
  takeBackNote: 'take the last note back',
  quiet: 'stop reading aloud',
  orderOfPoses: 'On the order of poses',
  onStep: 'On a step of the flow',
  chooseStep: 'choose the next, the one before',
  moveStep: 'move it',
  moreBreaths: 'one breath more, less',
  onceMore: 'once more',
  removeStep: 'remove it',
  undoRedo: 'undo, redo',
  pickUp: 'pick a pose up, drop it',
  moveItem: 'move it',
} as const;

export const toastRegion = {
  undone: 'Undone.',
  justDone: 'Just done',
} as const;

export const useStoredText = {
  notSavedTryingAgain: (reason: string) => `Not saved. ${reason} Trying again soon. `,
  tryNow: 'Try now',
  saveAsFile: 'Save it as a file',
  notSavedEnteredElsewhere: (theirs: string) =>
    `Not saved: “${theirs}” was entered elsewhere in the meantime. `,
  keepMine: 'Keep mine',
  takeOther: 'Take the other',
} as const;

export const useWrite = {
  notSavedHasBeen: 'Not saved: it has been removed.',
  notSavedTryingAgain: (reason: string) => `Not saved. ${reason} Trying again soon. `,
  tryNow: 'Try now',
  saveAsFile: 'Save it as a file',
} as const;

export const working = {
  stop: 'stop',
} as const;

export const timeFields = {
  minutes: 'Minutes',
  repeatWeeklyTimes: 'Repeat weekly, times',
} as const;
