export const beforeView = {
  whatAboutToday: 'What about today?',
  session: 'The session',
  writeDown: 'Write it down',
  painNumbnessCatchingJoint:
    'Pain, numbness or a catching joint ends a pose. Nothing here is a diagnosis; local rules for teachers come first.',
} as const;

export const breatheStage = {
  breaths: (planned: number) => ` of ${String(planned)} breaths`,
  allPlanned: 'That is all that was planned.',
  tapAlong: 'tap along',
  count: 'count on',
  shorterBreaths: 'shorter breaths',
  sBreath: (pace: number) => `${String(pace)} s a breath`,
  longerBreaths: 'longer breaths',
  sound: (rest: string) => `sound ${rest}`,
  elseWord: (change: string) => `Else: ${change}`,
} as const;

export const clearPause = {
  cleared: 'it was cleared',
  byWhomDoctorPhysiotherapist: 'By whom (doctor, physiotherapist)',
  note: 'Note',
  clearedWord: 'Cleared',
} as const;

export const holdOutcome = {
  breathEasy: 'breath easy',
  breathHeld: 'breath held',
  sideHarder: 'this side was harder',
  endedEarly: 'ended early',
  skipped: 'skipped',
} as const;

export const judgeView = {
  whatComes: 'What comes of it',
  ended: (date: string) => `Ended ${date}`,
  beforeEverythingHeld: ', before everything was held',
  sessionStoppedBySign:
    '. The session was stopped by a sign: it has to be cleared before anything is set up again',
  holdsNoted: (rest: string, rest2: string, rest3: string, count: number, count2: number) =>
    `${rest}${rest2}${rest3}. ${String(count)} of ${String(count2)} holds noted.`,
  weighingWhatNoted: 'Weighing what was noted …',
  nothingNotedSoThere: 'Nothing was noted, so there is nothing to judge.',
  all: (count: number) => `all ${String(count)}`,
  accept: (rest: string) => `Accept ${rest}`,
  nextSession: 'The next session',
  overTime: 'Over time',
  accepted: ', accepted',
  overruled: (reason: string) => `, overruled: ${reason}`,
  offered: (verdict: string) => `Offered was: ${verdict}. `,
  measureAgain: (value: string) => ` Measure again: ${value}.`,
  because: (rest: string, value: string, rest2: string) => `${rest}Because: ${value}.${rest2}`,
  changeOverrule: 'change or overrule',
  decideAnew: 'decide anew',
  instead: 'Instead',
  whySoColleagueCan: 'Why, so that a colleague can follow',
  decide: 'Decide',
} as const;

export const logStage = {
  whatSeen: 'What was seen',
  how: 'How it was',
  note: 'Note',
  photoAgainstPlan: 'A photo against this plan',
  nothingNotedYet: 'Nothing noted yet.',
  saved: 'Saved.',
} as const;

export const openSessions = {
  sessionNotEndedHolds: (date: string, noted: number, count: number) =>
    `A session of ${date} is not ended: ${String(noted)} of ${String(count)} holds noted. `,
  goWith: 'go on with it',
  endedAfterwards: 'ended afterwards',
  endWhereStands: 'end it where it stands',
} as const;

export const painNote = {
  pain: 'Pain',
  painOf: (score: number) => `pain ${String(score)} of 10`,
  rising: 'rising',
} as const;

export const planForm = {
  harderEasierHarder: 'harder, easier, harder',
  bothSidesAlike: 'both sides alike',
  sidesTurnRoundBy: 'sides in turn, round by round',
  everyPoseOneSide: 'every pose on one side, then on the other',
  level: (words: string) => `${words}, level`,
  whatFits: 'what fits',
  earlier: (words: string) => `${words} earlier`,
  later: (words: string) => `${words} later`,
  leaveOut: (words: string) => `leave out ${words}`,
  addPose: 'Add a pose',
  orderSides: 'Order of sides',
  breaths: 'Breaths',
  asPoseSays: 'as the pose says',
  roundsSide: 'Rounds a side',
  heldAnotherDay: 'Held on another day',
} as const;

export const plannedHolds = {
  workingOutSetUps: 'Working out the set-ups …',
  choosePoseBeginWith: 'Choose a pose to begin with.',
  leftOut: (pose: string) => `${pose} is left out.`,
  instead: (instead: string) => ` Instead: ${instead}.`,
  holdsAboutMinutesWith: (count: number, minutes: number) =>
    `${String(count)} holds, about ${String(minutes)} minutes with the setting up.`,
  holdsTheirOrder: 'Holds in their order',
  and: 'and',
  harderSide: (pose: string, side: string, why: string) =>
    `${pose}: ${side} is the harder side, ${why}.`,
} as const;

export const responsePanel = {
  place: 'in place',
  instead: (instead: string) => ` Instead: ${instead}.`,
  endSession: 'End the session',
  leavePose: 'Leave this pose',
  insteadOf: (words: string) => `${words} instead`,
  session: 'in a session',
} as const;

export const runView = {
  whatSeen: 'What was seen',
  back: 'back',
  sessionHasNoHolds: 'This session has no holds. ',
  of: (value: number, count: number) => `${String(value)} of ${String(count)}`,
  undo: 'undo',
  leaveGoLater: 'leave, go on later',
  endHere: 'end here',
  holdBreaths: (breaths: number, rounds: string) => `hold it: ${String(breaths)} breaths${rounds}`,
  outSafely: 'out of it, safely',
  asPlannedBreathEasy: 'as planned, breath easy',
  leavePose: 'leave this pose',
  noted: 'noted, on',
} as const;

export const setStage = {
  fetchFirst: 'Fetch first:',
} as const;

export const signNote = {
  stopSign: 'A stop sign',
  stopSignOf: (words: string) => `Stop sign: ${words}`,
  clearedBy: (by: string) => `, cleared by ${by}`,
} as const;

export const staleNotice = {
  setUpsStillCome: 'The set-ups still to come were made anew.',
  somePosesCannotSet:
    'Some poses cannot be set up any more: their old numbers stay, with their date.',
  rulesChangedTheseSet: (date: string) =>
    `Rules changed: these set-ups were made on ${date}, by older rules.`,
  theseSetUpsWere: (date: string) =>
    `These set-ups were made on ${date}; measures or days have passed since.`,
  makingThemAnew: 'making them anew …',
  makeThemAnew: 'make them anew',
} as const;

export const swappedFor = {
  swappedFor: 'Swapped for',
} as const;

export const todayForm = {
  rested: 'Rested',
  rightNow: 'Right now',
  lastTimesPainNext: 'Last time’s pain next morning',
  soreToday: 'Sore today',
  hurtOperatedSinceLast: 'hurt or operated on since last time',
  anythingNew: 'Anything new',
  stopSignToday: 'A stop sign today',
  side: (words: string) => `${words}, side`,
  bothSides: 'both sides',
  left: 'left',
  right: 'right',
} as const;

export const used = {
  whatReallyUsed: 'What was really used',
  levelReached: 'Level reached',
} as const;

export const usedNumbers = {
  whatReallyUsed: 'What was really used',
  less: (words: string) => `${words}, less`,
  more: (words: string) => `${words}, more`,
} as const;
