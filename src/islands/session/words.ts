import { sayCount } from '../../core/units/sayCount.ts';

export const beforeView = {
  whatAboutToday: 'Before you start',
  session: 'The session',
  writeDown: 'Log it',
  painNumbnessCatchingJoint:
    'Pain, numbness or a catching joint ends a pose. Nothing here is a diagnosis; local rules for teachers come first.',
} as const;

export const breatheStage = {
  breaths: (planned: number) => ` of ${sayCount(planned, 'breath')}`,
  allPlanned: 'That was the planned number.',
  tapAlong: 'tap each breath',
  count: 'count for me',
  shorterBreaths: 'shorter breaths',
  sBreath: (pace: number) => `${String(pace)} s a breath`,
  longerBreaths: 'longer breaths',
  sound: (rest: string) => `sound ${rest}`,
  elseWord: (change: string) => `Otherwise: ${change}`,
} as const;

export const clearPause = {
  cleared: 'it has been cleared',
  byWhomDoctorPhysiotherapist: 'Cleared by (doctor, physiotherapist)',
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
  whatComes: 'Next time',
  ended: (date: string) => `Ended ${date}`,
  beforeEverythingHeld: ', before everything was held',
  sessionStoppedBySign:
    '. A stop sign ended the session: it has to be cleared before the next set-up',
  holdsNoted: (rest: string, rest2: string, rest3: string, count: number, count2: number) =>
    `${rest}${rest2}${rest3}. ${String(count)} of ${String(count2)} holds logged.`,
  weighingWhatNoted: 'Working out the next step…',
  nothingNotedSoThere: 'Nothing was logged, so nothing changes.',
  all: (count: number) => `all ${String(count)}`,
  accept: (rest: string) => `Accept ${rest}`,
  nextSession: 'The next session',
  overTime: 'Progress',
  accepted: ', accepted',
  overruled: (reason: string) => `, changed: ${reason}`,
  offered: (verdict: string) => `Suggested: ${verdict}. `,
  measureAgain: (value: string) => ` Measure again: ${value}.`,
  because: (rest: string, value: string, rest2: string) => `${rest}Because: ${value}.${rest2}`,
  changeOverrule: 'change',
  decideAnew: 'decide again',
  instead: 'Instead',
  whySoColleagueCan: 'Reason, for a colleague to follow',
  decide: 'Decide',
} as const;

export const logStage = {
  whatSeen: 'What was seen',
  how: 'How it went',
  note: 'Note',
  photoAgainstPlan: 'A photo against this plan',
  nothingNotedYet: 'Nothing logged yet.',
  saved: 'Saved.',
} as const;

export const openSessions = {
  sessionNotEndedHolds: (date: string, noted: number, count: number) =>
    `The session of ${date} is still open: ${String(noted)} of ${sayCount(count, 'hold')} logged. `,
  goWith: 'continue it',
  endedAfterwards: 'ended later',
  endWhereStands: 'end it now',
} as const;

export const painNote = {
  pain: 'Pain',
  painOf: (score: number) => `pain ${String(score)} of 10`,
  rising: 'rising',
} as const;

export const planForm = {
  harderEasierHarder: 'harder, easier, harder',
  bothSidesAlike: 'both sides equally',
  sidesTurnRoundBy: 'alternate sides, round by round',
  everyPoseOneSide: 'every pose on one side, then on the other',
  level: (words: string) => `${words}, level`,
  whatFits: 'level that fits',
  earlier: (words: string) => `${words} earlier`,
  later: (words: string) => `${words} later`,
  leaveOut: (words: string) => `leave out ${words}`,
  addPose: 'Add a pose',
  orderSides: 'Order of sides',
  breaths: 'Breaths',
  asPoseSays: 'as the pose says',
  roundsSide: 'Rounds a side',
  heldAnotherDay: 'Held earlier, on',
} as const;

export const plannedHolds = {
  workingOutSetUps: 'Working out the set-ups…',
  choosePoseBeginWith: 'Choose a pose to begin with.',
  leftOut: (pose: string) => `${pose} is left out.`,
  instead: (instead: string) => ` Instead: ${instead}.`,
  holdsAboutMinutesWith: (count: number, minutes: number) =>
    `${sayCount(count, 'hold')}, about ${sayCount(minutes, 'minute')} including set-up.`,
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
  leaveGoLater: 'pause, continue later',
  endHere: 'end session',
  holdBreaths: (breaths: number, rounds: string) => `Hold: ${sayCount(breaths, 'breath')}${rounds}`,
  outSafely: 'Come out safely',
  asPlannedBreathEasy: 'As planned, breath easy',
  leavePose: 'Leave this pose',
  noted: 'Save, next',
} as const;

export const setStage = {
  fetchFirst: 'Props:',
} as const;

export const signNote = {
  stopSign: 'A stop sign',
  stopSignOf: (words: string) => `Stop sign: ${words}`,
  clearedBy: (by: string) => `, cleared by ${by}`,
} as const;

export const staleNotice = {
  setUpsStillCome: 'The remaining set-ups are updated.',
  somePosesCannotSet:
    'Some poses can no longer be set up: their old numbers stay, with their date.',
  rulesChangedTheseSet: (date: string) =>
    `Rules changed: these set-ups were made on ${date}, by older rules.`,
  theseSetUpsWere: (date: string) =>
    `These set-ups were made on ${date}; measures have changed or days have passed since.`,
  makingThemAnew: 'updating…',
  makeThemAnew: 'update them',
} as const;

export const swappedFor = {
  swappedFor: 'Swapped for',
} as const;

export const todayForm = {
  rested: 'Rested',
  rightNow: 'Warm or cold',
  lastTimesPainNext: 'The morning after last time, the pain was',
  soreToday: 'Sore today',
  hurtOperatedSinceLast: 'injury or operation since last time',
  anythingNew: 'Anything new',
  stopSignToday: 'A stop sign today',
  side: (words: string) => `${words}, side`,
  bothSides: 'both sides',
  left: 'left',
  right: 'right',
} as const;

export const used = {
  whatReallyUsed: 'What was actually used',
  levelReached: 'Level reached',
} as const;

export const usedNumbers = {
  whatReallyUsed: 'What was actually used',
  less: (words: string) => `${words}, less`,
  more: (words: string) => `${words}, more`,
} as const;
