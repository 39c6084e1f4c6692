import { sayCount } from '../../core/units/sayCount.ts';

export const asFoundView = {
  enterWhatYouSee:
    'Enter what you see, as much as you like. It is drawn as it is, with what it asks of each joint. Then change one thing at a time.',
  show: 'Show it',
} as const;

export const bandsView = {
  simulateMeasuringTimes: (times: string) => `Simulate measuring ${times} times`,
  repeatsDone: (done: string, all: string) => `${done} of ${all} repeats`,
  sameJointLimitsRepeats: (share: number) =>
    `The same joint limits it in ${String(share)} of 100 repeats: ± gives the whole uncertainty.`,
  mostFrequentLimitingJoint: (share: number) =>
    `The most frequent limiting joint limits it in only ${String(share)} of 100 repeats, so ± alone says too little.`,
  poseCouldNotHeld: (failed: string, draws: string) =>
    ` In ${failed} of ${draws} the pose could not be held.`,
  to: (low: string, high: string) => `${low}° to ${high}°`,
  toOf: (low: string, high: string) => `${low} to ${high}`,
} as const;

export const beside = {
  limitingJointMargins: 'Limiting joint and margins',
  orderWork: 'Order of work',
  usesChosenSchool: 'Set up as a chosen school has it.',
  goodKnow: 'Good to know',
  changedForPerson: 'Changed for this person',
  withPerson: 'With this person',
  fitsMat: (size: string) => `It fits a mat of ${size}.`,
  howDepthFound: 'How the depth was found',
  whatLookOrder: 'What to look at, in order',
  out: 'In and out',
  measuresUsed: 'Measures used',
  notDiagnosis:
    'A plan, not a diagnosis: pain, numbness or a catching joint ends the pose. Press ? for the keys.',
} as const;

export const chosenSchools = {
  because: (reason: string) => `, because ${reason}.`,
  line: (who: string, rule: string, option: string, reason: string) =>
    `${who}: ${rule} ${option}${reason} `,
  everybody: 'For everybody',
  everybodyInPose: 'For everybody in this pose',
  personEverywhere: (person: string) => `For ${person} in every pose`,
  person: (person: string) => `For ${person}`,
  overruled: 'Another choice below wins. ',
  inStudio: 'change it in Studio',
  remove: 'remove it',
  removed: (rule: string) => `The school for ${rule.toLowerCase()} is removed.`,
} as const;

export const furtherView = {
  accuracyLimitsCompensations: 'Accuracy, limits, compensations',
  propsFromCupboard: 'Props from the cupboard',
  workingOut: 'Working it out…',
  smallestMove: 'Smallest move',
  stance: 'Stance',
  worksFrom: (shortest: string, shortReason: string, longest: string, longReason: string) =>
    `Works from ${shortest} (${shortReason}) to ${longest} (${longReason}).`,
  ifForced: (to: string) => `If forced to ${to}`,
  show: 'show it',
  underHand: 'Under the hand',
  balance: 'Balance',
  centreMassLiesInside: (
    inside: string,
    toFront: string,
    toBack: string,
    toLeft: string,
    toRight: string,
  ) =>
    `The centre of mass lies ${inside} inside the base of support: ${toFront} to its front, ${toBack} to its back, ${toLeft} to the left, ${toRight} to the right.`,
  oneStandardError: 'One standard error',
  nineRepeatsTen: 'Nine repeats in ten',
} as const;

export const keptView = {
  withWhatMoved: ', with what was moved',
  keepSetUpBecause: (moved: string) => `Keep this set-up${moved}, because`,
  keep: 'Keep it',
  removed: 'Removed. ',
  undo: 'Undo',
  movedByHand: ', moved by hand',
  because: (reason: string) => `, because ${reason}.`,
  side: (
    date: string,
    side: string,
    moved: string,
    values: string,
    reason: string,
    state: string,
  ) => `${date}, ${side} side${moved}${values}${reason}${state} `,
  show: 'show it',
  remove: 'remove it',
  rulesChangedTheseNumbers:
    'Rules changed: these numbers follow older rules of Stillwater, which may be the only difference.',
  outDate: (why: string) => `Out of date. ${why}`,
  whatDiffersToday: 'What differs today',
  thereNoSetUp: 'There is no set-up for it today.',
  cautionsCorrectedReadingsRules: 'Cautions, corrected readings or rules have changed since.',
  measuredAgainSince: (measures: string) => `Measured again since: ${measures}.`,
} as const;

export const levelsNote = {
  needsMore: (joint: string, amount: number, unit: string) =>
    `${joint} needs ${String(amount)}${unit} more`,
  needsLess: (what: string, amount: number, unit: string) =>
    `${what} needs to be ${String(amount)}${unit} less`,
  feet: 'On the feet of ',
  forWord: (small: string, needs: string) => `For “${small}”, ${needs}.`,
} as const;

export const versionsView = {
  summary: 'Versions of this pose, and which fits',
  workingOut: (count: number) => `Working out ${String(count)} versions …`,
  ladder: 'From easier to harder',
  variants: 'Variants, neither easier nor harder',
  noneFits: 'No version fits within the measures yet.',
  because: {
    record: ' is proposed, because their sessions have led there.',
    fits: ' is proposed, because it is the hardest that fits their measures.',
    nearest: ' is proposed, because it comes nearest to fitting.',
  },
  proposed: 'Proposed',
  excluded: 'Left out for this person',
  notMeasured: 'Needs more measures',
  needs: (needs: string, orHandHigher: boolean) =>
    `Not yet: ${needs}${orHandHigher ? ', or the hand one face higher' : ''}`,
  nearly: (margin: string) => `Nearly: part of the pose falls short. ${margin}`,
  margin: (joint: string, deg: number) => `${String(deg)}° margin, ${joint}`,
  noLimit: 'No joint limits it',
  atUsualDepth: (changes: string) => `At the usual depth it asks ${changes}`,
  hip: (joint: string, deg: number) =>
    `${String(Math.abs(deg))}° ${deg > 0 ? 'more' : 'less'} of ${joint}`,
  takes: (props: string) => `Takes ${props}`,
} as const;

export const movableSheet = {
  frontFoot: 'front foot',
  backFoot: 'back foot',
  turnBackFoot: 'turn of the back foot',
  heightHand: 'height of the hand',
  move: (handle: string) => `Move the ${handle}`,
} as const;

export const moving = {
  diagonallyAcrossMat: 'diagonally across the mat',
  feet: (heelLine: string) => `Feet ${heelLine}. `,
  workingOut: 'Working it out…',
  movedPoseHoldsHere: 'Moved. The pose holds here.',
  moved: (sentence: string) => `Moved. ${sentence}`,
  most: (deepest: string) => ` of at most ${deepest}`,
  textbook: (depth: string) => `; textbook ${depth}`,
  undo: 'undo',
  redo: 'redo',
  reset: 'reset',
  toRecommended: ' to the recommended set-up',
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

export const nextBest = {
  insteadToday: 'What to do instead',
  easier: (level: string) => `Easier: ${level}`,
  lying: (form: string) => `Lying or seated: ${form}`,
  otherSchools: 'Compare schools',
  withoutSchools: (person: string) => `Leave the schools chosen for ${person}`,
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
  card: 'card',
  onlyLooking: (rule: string, option: string) =>
    `Only looking, not chosen: ${rule.toLowerCase()} ${option}.`,
  leave: 'leave',
  schools: 'schools',
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
  of: (value: string, unit: string, deepest: string) => `, ${value}${unit} of ${deepest}${unit}`,
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

export const schoolChange = {
  undo: 'Undo',
} as const;

export const schoolsView = {
  schoolsDone: (done: number, all: number) =>
    all === 0 ? 'Working out each school' : `${String(done)} of ${sayCount(all, 'school')}`,
  workOutSchools: 'Work out each school',
  schoolsAgreePose: 'The schools agree on this pose.',
  compareSchoolsUpFour: 'Compare schools: up to four are drawn',
  asChosen: 'as chosen',
  draw: (school: string) => `Draw ${school}`,
  cannotHeld: 'cannot be held',
  margin: (joint: string, deg: number) => `${joint}, ${String(deg)}° margin`,
  yourDepth: (sentence: string) => `At your depth: ${sentence}`,
  school: 'School',
  forWhom: 'For whom',
  personPose: (person: string) => `${person} in this pose`,
  person: (person: string) => `${person} in every pose`,
  housePose: 'everybody in this pose',
  cannotBeHeld: ' (cannot be held)',
  because: 'because',
  choose: 'Choose it',
  look: 'look at it',
  lookFirst: 'Look at it first',
  chosen: (rule: string, option: string, whom: string) =>
    `${rule} ${option} is chosen for ${whom}.`,
  cannotBeHeldYet: (rule: string, option: string) =>
    `${rule} ${option} cannot be held by this person, so there would be no set-up.`,
  chooseAnyway: 'Choose it anyway',
  doNotChoose: 'Do not choose it',
} as const;

export const setUpSentence = {
  allVersions: 'all versions',
  change: (otherSide: string) => `, change to ${otherSide}`,
  deepestSafeSetUp: 'the deepest safe set-up',
  asRecommended: 'as recommended',
  changeTo: (other: string) => `, change to ${other}`,
  provisionalMissingMeasuresTaken: 'Provisional: missing measures are taken from a stiff body.',
  leave: 'leave',
  level: 'Level',
  bestFit: (fitting: string) => `best fit${fitting}`,
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

export const sheetFacts = {
  movedByHand: 'Moved by hand.',
  stance: 'Stance',
  noProp: 'No prop.',
  limitedBy: 'Limited by',
  heldBack: (deg: number) => (deg < 1 ? '.' : `, ${String(deg)}° held back.`),
  warm: 'Measured warm.',
  cold: 'Measured cold.',
} as const;

export const sheetView = {
  noSetUp: 'No set-up',
  health: 'Health',
  measures: 'Measures',
} as const;

export const sidesView = {
  workingOutBothSides: 'Working out both sides…',
  noDifferenceBetweenSides: 'No difference between the sides beyond error.',
  beyondItsError: (measures: string) => `Beyond its error: ${measures}.`,
  leftAgainstRight: 'Left against right',
  real: (difference: string) => `${difference}, real`,
  withinItsError: 'within its error',
  more: (joint: string, difference: string, side: string) =>
    `${joint} ${difference} more on the ${side}`,
  noSetUp: 'no set-up',
  limitedBy: (joint: string) => `limited by the ${joint}`,
} as const;

export const largeStepView = {
  oneThingTime: (pose: string) => `${pose}, one thing at a time`,
  leg: (side: string) => `${side} leg`,
  of: (place: number, count: number) => `${String(place)} of ${String(count)}`,
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
  usable: (deg: string) => `${deg}° usable`,
  measuredHeldBack: (usable: string, measured: string, heldBack: string, why: string) =>
    `${usable} (${measured}° measured, ${heldBack}° held back${why})`,
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
  askedOf: (asked: string, usable: string) => `asked ${asked}°, ${usable}`,
} as const;
