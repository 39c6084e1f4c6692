import { sayCount } from '../../core/units/sayCount.ts';

export const bodyView = {
  bodyOverview: 'Body overview',
  filledLeftSideAbove:
    'Filled: left side above the line, right side below it; the whisker is one standard error. The grey band is where most people are: a check, never a target; its source is named where it is published, otherwise it is our own choice. Open: the first value. Only differences beyond measuring error are mentioned.',
  drawing: 'Drawing',
  left: 'left',
  right: 'right',
  whatShows: 'What it shows',
  aboutEstimated: (value: string) => `about ${value}, estimated`,
  reMeasure: ', to re-measure',
  common: 'That is common.',
  eachSideSetUp: 'Each side is set up with its own leg. If it is new, see a professional.',
  moreThanCmSee: 'More than 2 cm: see a doctor or physiotherapist.',
  hasLess: (less: string, difference: string) => `${less} has ${difference} less.`,
  since: (measure: string, sign: string, change: string, since: string) =>
    `${measure}: ${sign} ${change} since ${since}.`,
  morePoses: (count: number) => sayCount(count, 'more pose'),
  neededFor: (pose: string) => `Needed for ${pose}.`,
  neededForAnd: (pose: string, others: string) => `Needed for ${pose} and ${others}.`,
} as const;

export const howTaken = {
  whoMeasures: 'who measures',
  rangesTaken: 'Ranges are taken ',
  warmedUp: 'warmed up',
  change: (other: string) => `, change to ${other}`,
  by: 'by ',
  whoMeasuresWord: 'who measures?',
  typed: 'typed in',
  byTapeMeasure: 'by tape measure',
  byInclinometer: 'by inclinometer',
  byPhone: 'by this phone',
  byStopwatch: 'by stopwatch',
  fromPhoto: 'from a photo',
  howReadingTaken: 'how the reading is taken',
} as const;

export const landmarkTerms = {
  isThe: (term: string, plain: string) =>
    `${term.charAt(0).toUpperCase()}${term.slice(1)}: ${plain}`,
} as const;

export const measureStep = {
  or: (first: string, last: string) => `${first} or ${last}`,
  of: (place: number, count: number, posture: string) =>
    `${String(place)} of ${String(count)}, ${posture}`,
  usedFor: (feeds: string) => `Used for: ${feeds}.`,
  by: (position: string, instruments: string) => `${position}; by ${instruments}.`,
  watchFor: (mistakes: string) => `Watch for: ${mistakes}`,
  next: (measure: string) => `Next: ${measure}`,
  notTaken: 'not to be taken. ',
  enterSavesMovesEnter:
    'Enter saves and moves on. One reading a side is enough: then Enter on an empty field goes to the next measure. Lengths may be written as 34 1/2 in, 3\'2" or 86.5 cm.',
} as const;

export const measureView = {
  doesAgree: (person: string) => `Does ${person} agree?`,
  beforeFirstMeasure: 'Before the first measure',
  askTheseYourOwn:
    'Ask these in your own words. A yes in one of the first two groups means no measuring and no set-up until it is cleared. Ask before you touch.',
  stopHere: 'Stop here',
  noneOfThese: 'None of these',
  thatIsAll: 'Nothing else here',
  askAgain: 'ask again',
  groups: {
    now: 'Now or today',
    lately: 'Lately',
    adapt: 'Good to know as well',
  },
} as const;

export const notTaken = {
  notAllowed: 'not allowed',
  stoppedTinglingBurning: 'stopped: tingling or burning',
  anotherReason: 'another reason',
  test: (measure: string) => `in a test: ${measure}`,
  not: (side: string) => `${side} not`,
  taken: (which: string) => `${which} taken? `,
  sayWhy: 'say why',
  keepAsStopSign: 'Keep it as a stop sign',
} as const;

export const readingField = {
  replaced: 'replaced',
  notSavedYet: 'not saved yet',
  notSavedEnteredElsewhere: (theirs: string) =>
    `Not saved: ${theirs} was entered elsewhere in the meantime. `,
  keepMine: 'Keep mine',
  takeOther: 'Take the other',
} as const;

export const readingsList = {
  oneReading: 'The one reading',
  allReadings: (count: number) => `All ${String(count)} readings`,
  measure: (count: string) => `${count} of this measure`,
  first: (value: string, reason: string) => `; first ${value}, ${reason}`,
  setAside: (reason: string) => `; set aside: ${reason}`,
  simulatedNotCounted: '; simulated, not counted',
  correct: 'correct',
  setAsideWord: 'set aside',
  includeAgain: 'include again',
  correctValue: 'Correct value',
  why: 'Why',
  saveCorrection: 'Save correction',
  setAside2: 'Set aside',
  cancel: 'Cancel',
} as const;

export const recheckView = {
  whichReadingsWorthRepeating: 'Which readings are worth repeating?',
  setUpsDone: (done: number, all: number) =>
    all === 0
      ? 'Working out every pose with one more reading'
      : `${String(done)} of ${sayCount(all, 'set-up')} with one more reading`,
  thereNoSetUp: 'There is no set-up yet to improve.',
  nothingWorthRepeatingOne:
    'Nothing is worth repeating: one more reading would hardly change a set-up.',
  worthRepeating: 'Worth repeating',
  setUpsTogetherGain: (setUps: number, gain: string) =>
    `; ${String(setUps)} set-ups together gain ${gain} of depth`,
  measureTheseAgain: 'Measure these again',
} as const;

export const roundOverview = {
  notAllowed: 'not allowed',
  notYet: 'not yet',
  notYetOf: (side: string) => `${side} not yet`,
  shortRound: 'A short round',
  fullRound: 'A full round',
  reMeasure: 'Re-measure',
  bothKeptWithEach: '. Both are kept with each reading.',
  everythingPosesNeedMeasured: 'Everything that the poses need is measured.',
  everythingHereMeasured: 'Everything here is measured.',
  measuresLeft: (count: number, count2: number) =>
    `${String(count)} of ${String(count2)} measures left.`,
  oneReadingPerSide: (lead: string) =>
    `${lead} One reading per side is enough to begin; two are more accurate. Stop at the first firm resistance; never press.`,
  measureAgain: 'Measure again',
  continue: 'Continue',
  seeSetUp: 'See the set-up',
  showWhatLeft: 'Show what is left',
  showAll: 'Show all',
  noGuardianNamedYet: '. No guardian is named yet.',
  underNoEndRange: (guardian: string) =>
    `Under 18: no end of range, with a guardian present${guardian}`,
  everyPose: 'every pose',
  onePose: 'one pose',
  poses: (count: number) => sayCount(count, 'pose'),
  forWord: (poses: string, count: number) => `For ${poses}: ${sayCount(count, 'measure')}`,
  whatPosesNeed: 'what the poses need',
  measure: 'Measure ',
  or: ', or ',
  instead: ' instead.',
} as const;

export const stopwatch = {
  stopwatch: 'Stopwatch',
  allSaved: 'all saved',
  nextMeasure: 'Next measure',
  space: 'Space',
  undo: 'Undo ',
} as const;

export const tapeReading = {
  tapeMeasureNeedsLegs: 'The tape measure needs this leg’s heights. Measure them first.',
  reading: (ordinal: string) => `, ${ordinal} reading`,
} as const;

export const valueLine = {
  notComparedOneCold: 'not compared: one was cold, one warm',
  notComparedTakenAnother: 'not compared: taken in another posture',
  notComparedSomeoneElse: 'not compared: someone else measured',
  beyondMeasuringError: (signed: string, error: string) =>
    `${signed}, beyond the measuring error of ${error}`,
  withinMeasuringError: (signed: string, error: string) =>
    `${signed}, within the measuring error of ${error}`,
  swapLeftRight: 'Swap left and right',
  noClearDifferenceBetween: (apart: string, error: string) =>
    `No clear difference between left and right: ${apart}, within the measuring error of ${error}.`,
  hasLessBeyondMeasuring: (side: string, apart: string, error: string) =>
    `The ${side} has ${apart} less, beyond the measuring error of ${error}.`,
  noReadingYet: 'no reading yet',
  spread: (spread: string) => `, spread ${spread}`,
  accuracy: 'Accuracy',
  before: (value: string, date: string, difference: string) =>
    `before: ${value}, ${date}; ${difference}`,
} as const;

export const confirmationChoice = {
  tone: 'a tone',
  voice: 'a voice',
  noSound: 'no sound',
  eachReadingConfirmedBy: 'Each reading is confirmed by ',
} as const;

export const liveReading = {
  liveReading: 'Live reading',
  practisingWithSimulation: 'Practising with a simulation.',
  itsReadingsMarkedNot: 'Its readings are marked and not counted.',
  personMadeUpSo: 'This person is made up, so its readings count.',
  allSaved: 'all saved',
  oneSide: 'one side',
  lastReadingNotSaved: 'The last reading is not saved yet.',
  nextMeasure: 'Next measure',
  save: 'Save',
  space: 'Space',
  zero: 'Zero ',
  undo: 'Undo ',
  battery: (batteryPercent: number) => ` Battery ${String(batteryPercent)} %.`,
  holdStillForSeconds: ' Or hold still for 3 seconds to save.',
  noInclinometerConnected: 'No inclinometer is connected.',
  typeNumberBelowUse: 'Type the number below, or use this phone.',
  practiseWithSimulation: 'Practise with a simulation',
} as const;

export const phoneStart = {
  layPhoneAlongLimb: 'Lay the phone along the limb on its ',
  longEdge: 'long edge',
  shortEdge: 'short edge',
  startReadingItsTilt: 'Start reading its tilt',
  browserGivesNoTilt:
    'This browser gives no tilt, or is not allowed to. Type the number, or use another instrument.',
} as const;

export const standInPanel = {
  moveSimulatedLimb: 'Move the simulated limb',
  limb: (deg: number) => `The limb is at ${String(deg)}°`,
  poorContact: ' poor contact',
  breakConnection: 'Break the connection',
  simulationDoesNotAnswer: 'The simulation does not answer. It needs the app’s own server.',
} as const;

export const photoReading = {
  knownLength: 'Known length',
  savedMarkAgainFor: (value: string, unit: string) =>
    `${value} ${unit} is saved. Mark again for another reading.`,
  readingFromPhoto: 'Reading from a photo',
  notKeptBecauseThey: ' and is not kept, because they have not agreed to pictures.',
  withoutPlaceDateRotation: ', without place, date or rotation in it.',
  standWellBackSquare: (consent: string) =>
    `Stand well back and square to the body, the camera level with its middle, a known length next to the limb. The picture stays in this browser${consent}`,
  straightenedBy: 'Straightened by ',
  somethingUpright: 'something upright',
  floorLine: 'the floor line',
  allReadingsSaved: 'All readings are saved',
  save: (side: string, ordinal: string) => `Save ${side} ${ordinal}`,
  suchPhotosLieWithin:
    '95 of 100 such photos lie within the ±: marks placed within 2 of 800 pixels, the camera turned by up to 10°.',
  onePictureKept: 'One picture is kept',
  picturesKept: (count: number) => `${String(count)} pictures are kept`,
  open: 'open',
  deletePictureKeepIts: 'delete the picture, keep its numbers',
} as const;
