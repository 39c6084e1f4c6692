export const bodyView = {
  bodyGlance: 'The body at a glance',
  filledLeftSideAbove:
    'Filled: the left side above the line, the right below it; the whisker is one standard error. The grey band is where most people are: a question, never a target; named where it is published, our own choice elsewhere. Open: the first value. Only what is more than measuring error is said.',
  drawing: 'Drawing',
  left: 'left',
  right: 'right',
  whatSays: 'what it says',
  aboutEstimated: (words: string) => `about ${words}, estimated`,
  dueAgain: ', due again',
  ordinary: 'That is ordinary.',
  eachSideSetUp:
    'Each side is set up with its own leg. If it is new, a professional should see it.',
  moreThanCmDoctor: 'More than 2 cm: a doctor or physiotherapist should see it.',
  hasLess: (less: string, round: string) => `${less} has ${round} less.`,
  since: (value: string, sign: string, round: string, since: string) =>
    `${value}: ${sign} ${round} since ${since}.`,
  morePoses: (count: number) => `${String(count)} more poses`,
  waitsFor: (pose: string) => `${pose} waits for it.`,
  waitFor: (pose: string, others: string) => `${pose} and ${others} wait for it.`,
} as const;

export const howTaken = {
  whoMeasures: 'who measures',
  rangesTaken: 'Ranges are taken ',
  warmedUp: 'warmed up',
  change: (rest: string) => `, change to ${rest}`,
  by: 'by ',
  whoMeasuresWord: 'who measures?',
  typed: 'typed in',
  byTapeWithIts: 'by tape, with its sum',
  fromInclinometer: 'from the inclinometer',
  fromPhone: 'from this phone',
  byStopwatch: 'by stopwatch',
  offPicture: 'off a picture',
  howReadingComes: 'how the reading comes in',
} as const;

export const measureStep = {
  or: (value: string, value2: string) => `${value} or ${value2}`,
  of: (value: number, count: number, posture: string) =>
    `${String(value)} of ${String(count)}, ${posture}`,
  by: (capitalise: string, listWords: string) => `${capitalise}; by ${listWords}.`,
  spoiledBy: (value: string) => `Spoiled by: ${value}`,
  next: (value: string) => `Next: ${value}`,
  notTaken: 'not to be taken. ',
  enterSavesLeadsEmpty:
    'Enter saves and leads on. An empty field and Enter skips it. Lengths may be written as 34 1/2 in, 3\'2" or 86.5 cm.',
} as const;

export const measureView = {
  doesAgree: (person: string) => `Does ${person} agree?`,
  beforeFirstMeasure: 'Before the first measure',
  askTheseYourOwn:
    'Ask these in your own words. A yes to one of the first three groups means no measuring and no set-up until it is cleared. Ask before you touch.',
  stopHere: 'Stop here',
  noneTheseGo: 'None of these, go on',
} as const;

export const notTaken = {
  notAllowed: 'not allowed',
  stoppedTinglingBurning: 'stopped: tingling or burning',
  anotherReason: 'another reason',
  test: (measure: string) => `in a test: ${measure}`,
  not: (side: string) => `${side} not`,
  taken: (rest: string) => `${rest} taken? `,
  sayWhy: 'say why',
  keepAsStopSign: 'Keep it as a stop sign',
} as const;

export const readingField = {
  typedOver: 'typed over',
  notSavedYet: 'not saved yet',
  notSavedEnteredElsewhere: (value: string) =>
    `Not saved: ${value} was entered elsewhere meanwhile. `,
  keepMine: 'Keep mine',
  takeOther: 'Take the other',
} as const;

export const readingsList = {
  oneReading: 'The one reading',
  allReadings: (count: number) => `All ${String(count)} readings`,
  measure: (rest: string) => `${rest} of this measure`,
  first: (words: string, reason: string) => `; first ${words}, ${reason}`,
  setAside: (reason: string) => `; set aside: ${reason}`,
  simulatedCountsForNothing: '; simulated, counts for nothing',
  correct: 'correct',
  setAsideWord: 'set aside',
  countAgain: 'count it again',
  rightValue: 'Right value',
  why: 'Why',
  correctIt: 'Correct it',
  setItAside: 'Set it aside',
  leave: 'Leave it',
} as const;

export const recheckView = {
  whichReadingsWorthRepeating: 'Which readings are worth repeating?',
  solvingEveryPoseWith: 'Solving every pose with one reading more…',
  noSetUpYet: 'No set-up yet whose readings could be repeated.',
  nothingWorthRepeatingOne:
    'Nothing is worth repeating: one reading more would hardly change a set-up.',
  worthRepeating: 'Worth repeating',
  depthsSetUpsTogether: (setUps: number, value: string) =>
    `; the depths of ${String(setUps)} set-ups together come ${value} further`,
  measureTheseAgain: 'Measure these again',
} as const;

export const roundOverview = {
  notAllowed: 'not allowed',
  notYet: 'not yet',
  notYetOf: (side: string) => `${side} not yet`,
  shortRound: 'A short round',
  fullRound: 'A full round',
  reCheck: 'A re-check',
  bothKeptWithEach: '. Both are kept with each reading.',
  everythingPosesNeedMeasured: 'Everything the poses need is measured.',
  everythingHereMeasured: 'Everything here is measured.',
  measuresLeft: (count: number, count2: number) =>
    `${String(count)} of ${String(count2)} measures are left.`,
  oneReadingSideEnough: (rest: string) =>
    `${rest} One reading a side is enough to begin; two make it surer. Stop at the first firm resistance; never press.`,
  measureAgain: 'Measure again',
  go: 'Go on',
  seeSetUp: 'See the set-up',
  showOnlyWhatLeft: 'Show only what is left',
  showWhatDoneToo: 'Show what is done too',
  nobodyNamedYet: '. Nobody is named yet.',
  underNoEndRange: (rest: string) => `Under 18: no end of range, and a guardian is present${rest}`,
  everyPose: 'every pose',
  onePose: 'one pose',
  poses: (count: number) => `${String(count)} poses`,
  forMeasures: (rest: string, count: number) => `For ${rest}: ${String(count)} measures`,
  whatPosesNeed: 'what the poses need',
  measure: 'Measure ',
  or: ', or ',
  instead: ' instead.',
} as const;

export const stopwatch = {
  stopwatch: 'Stopwatch',
  allTaken: 'all taken',
  nextMeasure: 'Next measure',
  space: 'Space',
  undo: 'Undo ',
} as const;

export const tapeReading = {
  tapeNeedsLegsHeights: 'The tape needs this leg’s heights: measure them first.',
  reading: (value: string) => `, ${value} reading`,
} as const;

export const valueLine = {
  notComparedColdWarm: 'not compared: cold and warm differ by themselves',
  notComparedTakenAnother: 'not compared: it was taken in another posture',
  notCalledChangeSomeone: 'not called a change: someone else measured',
  moreThanMeasuringError: (signed: string, words: string) =>
    `${signed}, more than the ${words} of measuring error`,
  insideMeasuringError: (signed: string, words: string) =>
    `${signed}, inside the ${words} of measuring error`,
  changeThemOver: 'Change them over',
  noClearDifferenceBetween: (apart: string, error: string) =>
    `No clear difference between left and right: ${apart}, and measuring alone gives up to ${error}.`,
  hasLessMoreThan: (rest: string, apart: string, error: string) =>
    `The ${rest} has ${apart} less, more than the ${error} of measuring error.`,
  noReadingYet: 'no reading yet',
  spread: (words: string) => `, spread ${words}`,
  howSure: 'how sure this is',
  before: (words: string, date: string, difference: string) =>
    `before: ${words}, ${date}; ${difference}`,
} as const;

export const confirmationChoice = {
  tone: 'a tone',
  voice: 'a voice',
  noSound: 'no sound',
  confirmedBy: 'Confirmed by ',
} as const;

export const liveReading = {
  liveReading: 'Live reading',
  practiceWithSimulation: 'Practice with a simulation.',
  itsReadingsMarkedCount: 'Its readings are marked, and count for nothing.',
  personMadeUpSo: 'This person is made up, so its readings count.',
  allTaken: 'all taken',
  oneSide: 'one side',
  lastReadingNotStored: 'The last reading is not stored yet.',
  nextMeasure: 'Next measure',
  take: 'Take it',
  space: 'Space',
  zero: 'Zero ',
  undo: 'Undo ',
  battery: (batteryPercent: number) => ` Battery ${String(batteryPercent)} %.`,
  restThreeSecondsTakes: ' A rest of three seconds takes it too.',
  noInclinometerConnected: 'No inclinometer is connected.',
  numbersCanTypedBelow: 'Numbers can be typed below, or read by this phone.',
  practiseWithSimulation: 'Practise with a simulation',
} as const;

export const phoneStart = {
  layPhoneAlongLimb: 'Lay the phone along the limb by its ',
  longEdge: 'long edge',
  shortEdge: 'short edge',
  startReadingItsTilt: 'Start reading its tilt',
  browserGivesNoTilt:
    'This browser gives no tilt, or was not allowed to. Type the number, or take another instrument.',
} as const;

export const standInPanel = {
  leadSimulatedLimbBy: 'Lead the simulated limb by hand',
  limb: (deg: number) => `The limb is at ${String(deg)}°`,
  poorContact: ' poor contact',
  breakConnection: 'Break the connection',
  simulationDoesNotAnswer: 'The simulation does not answer. It needs the app’s own server.',
} as const;

export const photoReading = {
  knownLength: 'Known length',
  savedMarkAgainFor: (value: string, words: string) =>
    `${value} ${words} is saved. Mark it again for another reading.`,
  readingOffPicture: 'Reading off a picture',
  notKeptNobodyHas: ' and is not kept: nobody has noted that they agree to pictures.',
  withoutPlaceDateRotation: ', without place, date or rotation in it.',
  standWellBackSquare: (rest: string) =>
    `Stand well back, square to the body, the camera at its middle; a known length lies beside the limb. The picture stays in this browser${rest}`,
  straightenedBy: 'Straightened by ',
  somethingUpright: 'something upright',
  floorLine: 'the floor line',
  everyReadingTaken: 'Every reading is taken',
  take: (value: string, value2: string) => `Take it: ${value} ${value2}`,
  suchPicturesLieWithin:
    '95 of 100 such pictures lie within the ±: marks within 2 pixels at 800, a camera turned by up to 10°.',
  onePictureKept: 'One picture is kept',
  picturesKept: (count: number) => `${String(count)} pictures are kept`,
  open: 'open',
  deletePictureKeepIts: 'delete the picture, keep its numbers',
} as const;
