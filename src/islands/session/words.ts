import { sayCount } from '../../core/units/sayCount.ts';

export const gentlerPanel = {
  title: 'Lying and seated today',
  why: 'Proposed because of what was answered. The usual plan stays as it is.',
  usual: 'take the usual plan',
  gentle: 'take lying and seated forms',
  usualTaken: 'The usual plan is taken, though less is proposed.',
} as const;

export const beforeView = {
  beforeYouStart: 'Before you start',
  session: 'The session',
  log: 'Log it',
  painNumbnessCatchingJoint:
    'Pain, numbness or a catching joint ends a pose. Nothing here is a diagnosis; local rules for teachers come first.',
} as const;

export const breatheStage = {
  of: (planned: number) => ` of ${sayCount(planned, 'breath')}`,
  plannedNumber: 'That was the planned number.',
  tapEachBreath: 'tap each breath',
  countForMe: 'count for me',
  shorterBreaths: 'shorter breaths',
  sBreath: (pace: number) => `${String(pace)} s a breath`,
  longerBreaths: 'longer breaths',
  sound: (state: string) => `sound ${state}`,
  otherwise: (change: string) => `Otherwise: ${change}`,
} as const;

export const clearPause = {
  hasBeenCleared: 'it has been cleared',
  clearedByDoctorPhysiotherapist: 'Cleared by (doctor, physiotherapist)',
  note: 'Note',
  cleared: 'Cleared',
} as const;

export const holdOutcome = {
  breathEasy: 'breath easy',
  breathHeld: 'breath held',
  sideHarder: 'this side was harder',
  endedEarly: 'ended early',
  skipped: 'skipped',
} as const;

export const offeredChange = {
  step: (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}:`,
  nextVersion: (name: string) => `Next version: ${name}`,
  closes: (what: string) => `What closes the gap: ${what}.`,
  others: (count: number) => sayCount(count, 'more change'),
} as const;

export const judgeView = {
  nextTime: 'Next time',
  ended: (date: string) => `Ended ${date}`,
  beforeEverythingHeld: ', before everything was held',
  stopSignEndedSession:
    '. A stop sign ended the session: it has to be cleared before the next set-up',
  holdsLogged: (ended: string, early: string, stopped: string, logged: number, count: number) =>
    `${ended}${early}${stopped}. ${String(logged)} of ${String(count)} holds logged.`,
  workingOutNextStep: 'Working out the next step…',
  nothingLoggedSoNothing: 'Nothing was logged, so nothing changes.',
  all: (count: number) => `all ${String(count)}`,
  accept: (which: string) => `Accept ${which}`,
  nextSession: 'The next session',
  progress: 'Progress',
  accepted: ', accepted',
  changed: (reason: string) => `, changed: ${reason}`,
  suggested: (verdict: string) => `Suggested: ${verdict}. `,
  measureAgain: (measures: string) => ` Measure again: ${measures}.`,
  because: (suggestion: string, facts: string, measures: string) =>
    `${suggestion}Because: ${facts}.${measures}`,
  change: 'change',
  decideAgain: 'decide again',
  instead: 'Instead',
  reasonForColleagueFollow: 'Reason, for a colleague to follow',
  decide: 'Decide',
} as const;

export const logStage = {
  whatSeen: 'What was seen',
  howWent: 'How it went',
  note: 'Note',
  photoAgainstPlan: 'A photo against this plan',
  nothingLoggedYet: 'Nothing logged yet.',
  saved: 'Saved.',
} as const;

export const openSessions = {
  sessionStillOpenLogged: (date: string, noted: number, count: number) =>
    `The session of ${date} is still open: ${String(noted)} of ${sayCount(count, 'hold')} logged. `,
  continue: 'continue it',
  endedLater: 'ended later',
  endNow: 'end it now',
} as const;

export const painNote = {
  pain: 'Pain',
  painOf: (score: number) => `pain ${String(score)} of 10`,
  rising: 'rising',
} as const;

export const planForm = {
  harderEasierHarder: 'harder, easier, harder',
  bothSidesEqually: 'both sides equally',
  alternateSidesRoundBy: 'alternate sides, round by round',
  everyPoseOneSide: 'every pose on one side, then on the other',
  level: (pose: string) => `${pose}, level`,
  levelFits: 'best fit',
  earlier: (pose: string) => `${pose} earlier`,
  later: (pose: string) => `${pose} later`,
  leaveOut: (pose: string) => `leave out ${pose}`,
  addPose: 'Add a pose',
  orderSides: 'Order of sides',
  breaths: 'Breaths',
  asPoseSays: 'as the pose says',
  roundsSide: 'Rounds a side',
  heldEarlier: 'Held earlier, on',
} as const;

export const plannedHolds = {
  workingOutSetUps: 'Working out the set-ups…',
  choosePoseBeginWith: 'Choose a pose to begin with.',
  leftOut: (pose: string) => `${pose} is left out.`,
  instead: (instead: string) => ` Instead: ${instead}.`,
  aboutIncludingSetUp: (count: number, minutes: number) =>
    `${sayCount(count, 'hold')}, about ${sayCount(minutes, 'minute')} including set-up.`,
  holdsTheirOrder: 'Holds in their order',
  and: 'and',
  harderSide: (pose: string, side: string, why: string) =>
    `${pose}: ${side} is the harder side, ${why}.`,
} as const;

export const leadIn = {
  hands: (where: string) => `Hands: ${where}.`,
  onTheWay: 'On the way.',
  begin: (length: string) => `The front heels stand ${length} from the mat’s front edge.`,
} as const;

export const shortenPanel = {
  howLong: 'Minutes that are left:',
  minutesLeft: (minutes: number) => `${String(minutes)} minutes left`,
  working: 'Shortening the flow …',
  leftOut: (names: string) => `Left out, as it matters least for the peak: ${names}.`,
  nothingLeftOut: 'Nothing had to be left out.',
  lasts: (minutes: number) => `The rest of the flow takes ${sayCount(minutes, 'minute')}.`,
  stillLonger: (minutes: number) =>
    `It still takes ${sayCount(minutes, 'minute')}: the peak and the rest stay.`,
  close: 'close',
} as const;

export const flowChoice = {
  what: 'What is held',
  poses: 'poses chosen here',
  flow: (name: string) => `the flow “${name}”`,
  build: 'open it to change it',
  gone: 'This flow is not here any more.',
} as const;

export const responsePanel = {
  place: 'in place',
  instead: (instead: string) => ` Instead: ${instead}.`,
  endSession: 'End the session',
  leavePose: 'Leave this pose',
  insteadOf: (pose: string) => `${pose} instead`,
  session: 'in a session',
} as const;

export const runView = {
  watchFor: 'What to watch for',
  whatSeen: 'What was seen',
  back: 'back',
  sessionHasNoHolds: 'This session has no holds. ',
  of: (place: number, count: number) => `${String(place)} of ${String(count)}`,
  undo: 'undo',
  pauseContinueLater: 'pause, continue later',
  endSession: 'end session',
  hold: (breaths: number, rounds: string) => `Hold: ${sayCount(breaths, 'breath')}${rounds}`,
  comeOutSafely: 'Come out safely',
  asPlannedBreathEasy: 'As planned, breath easy',
  leavePose: 'Leave this pose',
  saveNext: 'Save, next',
  next: (name: string) => `Next: ${name}`,
  end: 'End of the flow',
  times: (count: number) => `${sayCount(count, 'time')}, with the breath`,
  stay: (breaths: number) => `Stay: ${sayCount(breaths, 'breath')}`,
  shorten: 'less time',
} as const;

export const setStage = {
  props: 'Props:',
} as const;

export const signNote = {
  stopSign: 'A stop sign',
  stopSignOf: (sign: string) => `Stop sign: ${sign}`,
  clearedBy: (by: string) => `, cleared by ${by}`,
} as const;

export const staleNotice = {
  remainingSetUpsUpdated: 'The remaining set-ups are updated.',
  somePosesCanNo: 'Some poses can no longer be set up: their old numbers stay, with their date.',
  rulesChangedTheseSet: (date: string) =>
    `Rules changed: these set-ups were made on ${date}, by older rules.`,
  theseSetUpsWere: (date: string) =>
    `These set-ups were made on ${date}; measures have changed or days have passed since.`,
  updating: 'updating…',
  updateThem: 'update them',
} as const;

export const swappedFor = {
  swappedFor: 'Swapped for',
} as const;

export const todayForm = {
  rested: 'Rested',
  energy: 'Energy',
  wish: 'The wish for today',
  asUsual: 'the usual plan',
  gentle: 'lying and seated',
  warmCold: 'Warm or cold',
  morningAfterLastTime: 'The morning after last time, the pain was',
  soreToday: 'Sore today',
  injuryOperationSinceLast: 'injury or operation since last time',
  anythingNew: 'Anything new',
  stopSignToday: 'A stop sign today',
  side: (what: string) => `${what}, side`,
  bothSides: 'both sides',
  left: 'left',
  right: 'right',
} as const;

export const used = {
  whatActuallyUsed: 'What was actually used',
  levelReached: 'Level reached',
} as const;

export const usedNumbers = {
  whatActuallyUsed: 'What was actually used',
  less: (what: string) => `${what}, less`,
  more: (what: string) => `${what}, more`,
} as const;
