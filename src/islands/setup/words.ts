import { sayCount } from '../../core/units/sayCount.ts';

export const asFoundView = {
  enterWhatYouSee:
    'Enter what you see, as much as you like. It is drawn as it is, with what it asks of each joint. Then change one thing at a time.',
  show: 'Show it',
} as const;

export const bandsView = {
  simulateMeasuringTimes: (value: string) => `Simulate measuring ${value} times`,
  workingOutTimes: (value: string) => `Working it out ${value} times…`,
  sameJointLimitsRepeats: (share: number) =>
    `The same joint limits it in ${String(share)} of 100 repeats: ± gives the whole uncertainty.`,
  mostFrequentLimitingJoint: (share: number) =>
    `The most frequent limiting joint limits it in only ${String(share)} of 100 repeats, so ± alone says too little.`,
  poseCouldNotHeld: (value: string, value2: string) =>
    ` In ${value} of ${value2} the pose could not be held.`,
  to: (value: string, value2: string) => `${value}° to ${value2}°`,
  toOf: (words: string, words2: string) => `${words} to ${words2}`,
} as const;

export const beside = {
  limitingJointMargins: 'Limiting joint and margins',
  orderWork: 'Order of work',
  usesSchoolChosenFor: (person: string) => `Uses the school chosen for ${person}.`,
  goodKnow: 'Good to know',
  changedForPerson: 'Changed for this person',
  withPerson: 'With this person',
  fitsMat: (size: string) => `It fits a mat of ${size}.`,
  howDepthFound: 'How the depth was found',
  whatLookOrder: 'What to look at, in order',
  out: 'In and out',
  measuresUsed: 'Measures used',
  keysSOtherSide:
    'Keys: s other side, d recommended or deepest, n next pose, p the one before. A plan, not a diagnosis: pain, numbness or a catching joint ends the pose.',
} as const;

export const chosenSchools = {
  because: (reason: string) => `, because ${reason}.`,
  forWord: (person: string, value: string, option: string, rest: string) =>
    `For ${person}: ${value} ${option}${rest} `,
  remove: 'remove it',
} as const;

export const furtherView = {
  accuracyLimitsCompensations: 'Accuracy, limits, compensations',
  propsFromCupboard: 'Props from the cupboard',
  workingOut: 'Working it out…',
  levelsFromEasierHarder: 'Levels, from easier to harder',
  smallestMove: 'Smallest move',
  stance: 'Stance',
  worksFrom: (words: string, reason: string, words2: string, reason2: string) =>
    `Works from ${words} (${reason}) to ${words2} (${reason2}).`,
  ifForced: (to: string) => `If forced to ${to}`,
  show: 'show it',
  underHand: 'Under the hand',
  balance: 'Balance',
  centreMassLiesInside: (
    words: string,
    words2: string,
    words3: string,
    words4: string,
    words5: string,
  ) =>
    `The centre of mass lies ${words} inside the base of support: ${words2} to its front, ${words3} to its back, ${words4} to the left, ${words5} to the right.`,
  oneStandardError: 'One standard error',
  nineRepeatsTen: 'Nine repeats in ten',
  nothingCupboardMakes: (words: string) => `nothing in the cupboard makes ${words}`,
  margin: (words: string, words2: string) => `${words}, margin ${words2}`,
  nothingCupboardHighEnough: (words: string) =>
    `Nothing in the cupboard is high enough: ${words} too low.`,
  floor: 'The floor.',
  at: (each: string, words: string) => `${each} at ${words}`,
  elbowBends: (value: string) => ` The elbow bends ${value}°.`,
  trunkLifts: (value: string) => ` The trunk lifts ${value}°.`,
  aboveHandsOwnHeight: (words: string) => `, ${words} above the hand’s own height`,
} as const;

export const guidanceView = {
  whileHeld: 'While it is held',
  breaths: (breaths: number) => sayCount(breaths, 'breath'),
  active: 'Active. ',
  resting: 'Resting. ',
  gazeReachAwayFrom: (rest: string, value: string, capital: string, value2: string) =>
    `${rest}Gaze: ${value} ${capital} and ${value2} reach away from each other.`,
  inWord: 'In',
  out: 'Out',
  oftenSeen: 'Often seen',
  easier: 'Easier',
  harder: 'Harder',
  preparesFor: 'Prepares for',
  letWord: (part: string, value: string, direction: string) => `let ${part} ${value} ${direction}`,
} as const;

export const keptView = {
  withWhatMoved: ', with what was moved',
  keepSetUpBecause: (rest: string) => `Keep this set-up${rest}, because`,
  keep: 'Keep it',
  removed: 'Removed. ',
  undo: 'Undo',
  movedByHand: ', moved by hand',
  because: (reason: string) => `, because ${reason}.`,
  side: (date: string, side: string, rest: string, rest2: string, rest3: string, rest4: string) =>
    `${date}, ${side} side${rest}${rest2}${rest3}${rest4} `,
  show: 'show it',
  remove: 'remove it',
  rulesChangedTheseNumbers:
    'Rules changed: these numbers follow older rules of Stillwater, which may be the only difference.',
  outDate: (why: string) => `Out of date. ${why}`,
  whatDiffersToday: 'What differs today',
  thereNoSetUp: 'There is no set-up for it today.',
  cautionsCorrectedReadingsRules: 'Cautions, corrected readings or rules have changed since.',
  measuredAgainSince: (value: string) => `Measured again since: ${value}.`,
} as const;

export const levelsNote = {
  needsMore: (words: string, amount: number, rest: string) =>
    `${words} needs ${String(amount)}${rest} more`,
  feet: 'On the feet of ',
  forWord: (small: string, needs: string) => `For “${small}”, ${needs}.`,
  nearlyPartPoseFalls: 'nearly: part of the pose falls short',
  notYet: 'not yet',
  readyByChoice: 'ready, by choice',
} as const;

export const movableSheet = {
  frontFoot: 'front foot',
  backFoot: 'back foot',
  turnBackFoot: 'turn of the back foot',
  heightHand: 'height of the hand',
  move: (value: string) => `Move the ${value}`,
} as const;

export const moving = {
  diagonallyAcrossMat: 'diagonally across the mat',
  feet: (heelLine: string) => `Feet ${heelLine}. `,
  workingOut: 'Working it out…',
  movedPoseHoldsHere: 'Moved. The pose holds here.',
  moved: (sentence: string) => `Moved. ${sentence}`,
  depth: 'depth',
  undo: 'undo',
  redo: 'redo',
  backRecommended: 'back to recommended',
  same: (otherSide: string) => `the same on the ${otherSide}`,
} as const;

export const noSetUp = {
  workingOut: 'Working it out…',
  notYet: 'Not yet',
  noSetUp: 'No set-up',
  poseNeedsFewMore: 'This pose needs a few more readings:',
  measureNow: 'Measure now',
  provisionalSetUp: 'Provisional set-up',
  provisionalSetUpTakes:
    'A provisional set-up takes missing measures from a stiff body and marks them. It needs height, hip height, hip opening and straight-leg raise.',
} as const;

export const onward = {
  frontView: 'Front view',
  leftRight: 'Left and right',
  compareSchools: 'Compare schools',
  checkTodaysStance: 'Check today’s stance',
  keptSetUps: 'Kept set-ups',
  drawingAsTable: 'Drawing as a table',
} as const;

export const plannedSetUp = {
  largeStepView: 'large step view',
} as const;

export const poseShelf = {
  allPoses: 'all poses',
  ready: 'ready',
  needsMeasures: 'needs measures',
  withCaution: 'with a caution',
  poses: 'Poses',
  keepPose: 'keep this pose',
  anotherPose: 'another pose',
  findPose: 'Find a pose',
  findAPose: 'find a pose',
  whichPoses: 'Which poses',
  noPoseMatches: 'No pose matches.',
  noSetUp: 'no set-up',
  needs: (missing: number) => `needs ${sayCount(missing, 'reading')}`,
  stopSign: 'stop sign',
  of: (value: string, unit: string, value2: string) => `, ${value}${unit} of ${value2}${unit}`,
} as const;

export const saveSheet = {
  cardPaper: 'Card on paper',
  cardFullSizeTemplates: 'Card or full-size templates on paper',
  photoAgainstPlan: 'A photo against this plan',
  saveSetUpAs: '. Save the set-up as ',
  file: 'a file',
  drawingAs: ' the drawing as ',
  svg: 'SVG',
  pdf: 'PDF',
  or: ' or ',
  png: 'PNG',
} as const;

export const schoolsView = {
  workingOutEachSchool: 'Working out each school…',
  schoolsAgreePose: 'The schools agree on this pose.',
  compareSchoolsUpFour: 'Compare schools: up to four are drawn',
  asChosen: 'as chosen',
  draw: (words: string) => `Draw ${words}`,
  cannotHeld: 'cannot be held',
  margin: (joint: string, value: number) => `${joint}, ${String(value)}° margin`,
  yourDepth: (sentence: string) => `At your depth: ${sentence}`,
  forPersonPose: 'For this person in this pose',
  cannotBeHeld: ' (cannot be held)',
  because: 'because',
  choose: 'Choose it',
} as const;

export const setUpSentence = {
  change: (otherSide: string) => `, change to ${otherSide}`,
  deepestSafeSetUp: 'the deepest safe set-up',
  asRecommended: 'as recommended',
  changeTo: (rest: string) => `, change to ${rest}`,
  provisionalMissingMeasuresTaken: 'Provisional: missing measures are taken from a stiff body.',
  leave: 'leave',
  level: 'Level',
  whatFits: (fitting: string) => `what fits${fitting}`,
  most: ' of at most ',
  textbook: (words: string) => `; textbook ${words}`,
} as const;

export const setUpTable = {
  nearestEdge: 'to the nearest edge',
  itsFront: 'to its front',
  itsBack: 'to its back',
  itsLeft: 'to its left',
  itsRight: 'to its right',
  numbersSetUp: 'Numbers of the set-up',
  centreMassInsideBase: 'centre of mass inside the base',
  centreMass: 'centre of mass',
  jointsMeasuredHeldBack: 'Joints: measured, held back, asked, margin',
} as const;

export const settingsList = {
  cm: (value: string) => `${value} cm`,
  working: 'Working',
} as const;

export const sheetView = {
  noSetUp: 'No set-up',
  health: 'Health',
  measures: 'Measures',
} as const;

export const sidesView = {
  workingOutBothSides: 'Working out both sides…',
  noDifferenceBetweenSides: 'No difference between the sides beyond error.',
  beyondItsError: (value: string) => `Beyond its error: ${value}.`,
  leftAgainstRight: 'Left against right',
  real: (number: string) => `${number}, real`,
  withinItsError: 'within its error',
  more: (number: string, number2: string, rest: string) =>
    `${number} ${number2} more on the ${rest}`,
  noSetUp: 'no set-up',
  limitedBy: (joint: string) => `limited by the ${joint}`,
} as const;

export const studioView = {
  oneThingTime: (pose: string) => `${pose}, one thing at a time`,
  leg: (side: string) => `${side} leg`,
  of: (value: number, count: number) => `${String(value)} of ${String(count)}`,
  close: 'close',
  less: 'less',
  more: 'more',
  undo: 'undo',
  back: 'back',
  next: 'next',
  first: (change: string) => `First: ${change}`,
} as const;

export const vessels = {
  becauseMeasuringError: 'because of measuring error',
  byExperience: 'by experience',
  asLeastMargin: 'as the least margin',
  becauseCaution: 'because of a caution',
  becausePoseUsesOnly: 'because this pose uses only part of it',
  usable: (value: string) => `${value}° usable`,
  measuredHeldBack: (usable: string, value: string, value2: string, why: string) =>
    `${usable} (${value}° measured, ${value2}° held back${why})`,
  askedForMoreThan: ' is asked for more than it has',
  usesSomeWhatHeld: ' uses some of what is held back',
  limitingJoint: ' is the limiting joint',
  the: 'The ',
  sameForEveryone: ', the same for everyone.',
  from: ', from ',
  asked: (
    end: string,
    value: string,
    usable: string,
    rest: string,
    value2: string,
    rest2: string,
  ) => `${end}: asked ${value}°, ${usable}${rest}${value2}${rest2}`,
  measuredOtherSide: 'measured on the other side',
  estimatedFromOtherLengths: 'estimated from other lengths',
  notMeasuredSameValue: 'not measured, same value for everyone',
  notMeasuredTakenFrom: 'not measured, taken from a stiff body',
  beyondItsRange: 'beyond its range',
  usesWhatHeldBack: 'uses what is held back',
  askedOf: (value: string, usable: string) => `asked ${value}°, ${usable}`,
} as const;
