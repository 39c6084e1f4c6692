import type { BodyPreset } from '../../core/classes/guest.ts';
import type { ClassSetting } from '../../core/classes/lossOnGrid.ts';
import { sayCount } from '../../core/units/sayCount.ts';

/** What the class views say. */

export const classesView = {
  title: 'Classes',
  none: 'No class yet. Name one, and choose who comes.',
  name: 'Name of the class',
  nameMissing: 'A class needs a name. Write one, such as “Thursday, early”.',
  add: 'Add class',
  people: (count: number) => sayCount(count, 'person', 'people'),
  notFound: 'This class is not here any more.',
  allClasses: 'all classes',
  calendar: 'Calendar file',
  calendarSummary: (name: string) => `Class: ${name}`,
  noTime: 'no time set',
} as const;

export const PART_WORDS = {
  plan: 'Plan',
  props: 'Props',
  room: 'Room',
  sheet: 'Sheet',
  teach: 'Teach',
  after: 'After',
} as const;

export const classView = {
  parts: (name: string) => `Parts of ${name}`,
  remove: 'remove this class',
  removed: (name: string) => `“${name}” was removed.`,
  undo: 'Undo',
  inTwoClasses: (name: string, other: string) =>
    `${name} is in “${other}” at the same time. Take them out of one, or change its time.`,
  tooMany: (count: number, most: number) =>
    `${String(count)} people are more than one teacher sees: at most ${String(most)} are planned. Make two classes of them.`,
  removedPerson: (name: string) =>
    `${name} was removed from People and is not planned. Bring them back there, or take them out here.`,
  gonePerson: 'Somebody of this class is not in this browser any more.',
  takeOut: 'take out',
  planning: (done: number, all: number) => `Planning: ${String(done)} of ${String(all)} set-ups`,
  stopped: (done: number, all: number) =>
    `Stopped: ${String(done)} of ${String(all)} set-ups are planned.`,
  goOn: 'go on',
  failed: (count: number) =>
    `${sayCount(count, 'set-up')} could not be worked out: the calculation stopped. Nothing that was saved is lost.`,
  tryAgain: 'try again',
  nobody: 'Choose who comes, and at least one pose.',
} as const;

export const whoPanel = {
  who: 'Who comes',
  nobodyYet: 'Nobody is in People yet.',
  find: 'Find by name',
  guests: 'Guests',
  guestNote:
    'Guests have no file. Their set-ups are estimates from height and build; they are erased when the class ends.',
  guestName: 'Name',
  stature: 'Height',
  build: 'Build',
  askSigns: 'Ask before they start: does any of this apply?',
  none: 'none of these',
  addGuest: 'Add guest',
  remove: 'remove',
  nameMissing: 'Write a name for the guest.',
  statureWrong: (text: string) =>
    `“${text}” is no height. Write it as 168 cm or 5 ft 6; from 120 to 220 cm.`,
  askFirst: 'Ask about the stop signs first, then choose what was answered.',
  estimate: 'estimate',
  makePerson: 'make a person',
  consent: (name: string) => `${name} agrees to this`,
  madePerson: (name: string) => `${name} is in People now.`,
} as const;

export const PRESET_WORDS: Readonly<Record<BodyPreset, string>> = {
  'short-and-stiff': 'short legs and stiff',
  usual: 'usual',
  'usual-with-long-legs': 'usual, long legs',
  supple: 'supple',
  'older-and-stiff': 'older and stiff',
};

export const whenPanel = {
  when: 'When',
  start: 'First time',
  startMissing: 'Choose a day and a time first.',
  save: 'Save time',
  saved: 'saved',
} as const;

export const posesPanel = {
  poses: 'Poses',
  add: 'Add a pose',
  choose: 'choose one',
  fromFlow: 'Take the poses of a flow',
  earlier: (name: string) => `${name} earlier`,
  later: (name: string) => `${name} later`,
  leaveOut: (name: string) => `Leave out ${name}`,
  ownFlow: (name: string, person: string) => `${name} (${person})`,
} as const;

export const posePlan = {
  pose: 'Pose',
  columns: ['Name', 'Version', 'Stance', 'Back foot', 'Hand', 'Group'] as const,
  keepFrom: (instead: string) =>
    instead === '' ? 'keep from this pose' : `keep from this pose; instead: ${instead}`,
  unmeasured: (why: string) => `set up by eye. ${why}`,
  own: 'own number',
  waiting: '…',
  left: (value: string) => ` (left ${value})`,
  harder: (side: string) => `${side} side harder`,
} as const;

export const SETTING_CHOICES: Readonly<Record<ClassSetting, string>> = {
  'stance-length': 'stance, heel to heel',
  'back-foot-angle': 'back foot, turned out',
  'hand-height': 'hand, above the mat',
};

export const groupsPanel = {
  title: 'One instruction for many',
  sameFeet: (names: string) => `The same feet serve ${names}: one number for all of them.`,
  what: 'What is said',
  count: 'How many numbers',
  working: (done: number, all: number) =>
    `Working out what each number costs: ${String(done)} of ${sayCount(all, 'person', 'people')}`,
  workOut: 'Work out the numbers',
  nobodyLoses: 'Nobody loses any depth.',
  worst: (share: string, deg: string) =>
    deg === '' ? `Nobody loses more than ${share}.` : `Nobody loses more than ${deg} (${share}).`,
  noShared: 'No number serves two people: everybody has their own.',
  leftOut: 'Their own number:',
  only: 'Alone with theirs:',
  side: (name: string, side: string) => `${name}, ${side}`,
  own: (name: string, value: string) => `${name} ${value}`,
  take: 'Use these numbers',
  taken: 'In use:',
  release: 'everybody their own',
  costs: 'What it costs each',
  columns: ['Name', 'Own', 'Group', 'Loses'] as const,
  nothing: 'nothing',
  noSetting: 'Nobody’s set-up has such a number.',
} as const;

export const propsPart = {
  sharing: 'Sharing the cupboard …',
  title: 'Who gets what',
  everyone: 'Everyone has what they need.',
  without: (count: number) =>
    `${sayCount(count, 'person', 'people')} ${count === 1 ? 'goes' : 'go'} without something in some pose.`,
  gap: (deg: string) =>
    `The time was up: a better way of sharing would spare the class at most ${deg}° of depth in all.`,
  proven: 'No way of sharing serves the class better.',
  noStand:
    'Nothing in the cupboard stands firm under a hand. Add blocks in Studio, or lend something in.',
  empty: 'The cupboard is empty.',
  shopping: (items: string) => `${items} would serve everyone.`,
  shoppingSome: (items: string, left: number) =>
    `${items} would help most; nothing a studio usually has serves the remaining ${sayCount(left, 'need')}.`,
  more: (count: number, name: string) =>
    `${String(count)} more ${name.toLowerCase()}${count === 1 || name.endsWith('s') ? '' : 's'}`,
  lookFor: 'Work out what is missing',
  looking: 'Working out what is missing …',
  columns: ['Name', 'Needs', 'Gets'] as const,
  nobody: 'Nobody needs a prop in this pose.',
  nothing: 'nothing that is high enough is left',
  atWall: 'At the wall:',
  planned: (name: string) => `${name} (as planned)`,
  chairs: 'On the chair:',
  lying: 'Lying version:',
  lyingForm: (name: string, form: string) => `${name} (${form.toLowerCase()})`,
  shallower: 'Less deep, hand on the thigh:',
  wallLength: (m: string) => `${m} of free wall, from Studio.`,
  lent: 'Lent for this class',
  lentNote: 'What comes from outside for the hour. It is shared with what the studio has.',
  lend: 'Lend something in',
  blocks: 'Block from next door',
  giveBack: 'give back',
  studio: 'The studio’s cupboard',
  wait: 'The props are shared when everybody is planned.',
  kept: 'What is handed out stays with those who have it.',
  again: 'Share again',
} as const;

export const roomPart = {
  size: 'The room',
  noSize: 'How large is the room? It is kept in Studio.',
  length: 'Length, from the teacher to the back',
  width: 'Width',
  save: 'Save',
  wrong: (text: string) => `“${text}” is no length of a room. Write it as 9 m, from 2 to 60 m.`,
  title: (width: string, length: string) => `${width} wide, ${length} long, from above`,
  tooSmall: (missing: string, pose: string) =>
    `The room is too small: it would have to be ${missing} longer. ${pose} is the reason.`,
  wait: 'The places are final when everybody is planned and the props are shared.',
  fits: 'Everyone has room in every pose.',
  meets: (a: string, b: string, pose: string) => `${a} and ${b} meet in ${pose}.`,
  meetsWall: (a: string, pose: string) => `${a} meets a wall in ${pose}.`,
  hidden: (a: string, by: string) => `You do not see ${a}: ${by} stands before them.`,
  teacher: 'you',
  place: (name: string) => `Place of ${name}. Arrow keys move it.`,
  byApp: 'Place everyone again',
  hint: 'Drag a mat, or choose it and use the arrow keys: 10 cm a press, with Shift 50 cm.',
  backWall: 'back wall, free to stand at',
  chair: (name: string) => `chair of ${name}`,
  choose: 'Clear space in',
  everyPose: 'every pose',
} as const;

export const sheetPart = {
  onPaper: 'One page for each pose',
  pdf: 'Save the sheet as PDF',
  handover: 'Hand over to a substitute',
  cards: 'Cards for everyone',
  cues: 'Cues, a page for each pose',
  csv: 'Table as CSV',
  print: 'Print',
  groups: 'Everybody',
  exceptions: 'Each their own',
  layOut: 'Lay out:',
  keepFrom: 'Keep from:',
  instead: (name: string, instead: string) => (instead === '' ? name : `${name} (${instead})`),
  byEye: 'Set up by eye, not measured:',
  noGroups: 'Everybody has their own number.',
  table: 'The whole class',
  filter: 'Find in the table',
  name: 'Name',
  noRows: 'Nothing in the table says that.',
  sortBy: (column: string) => `Sort by ${column}`,
  notes:
    'Pain, numbness or a catching joint: come out as you came in. Nothing here is a diagnosis; local rules for teachers come first.',
  making: 'Preparing the pages …',
  wait: 'The sheet is complete when everybody is planned.',
} as const;

export const teachPart = {
  title: 'Teach this class',
  who: 'Who is here? Tap those who are missing.',
  start: 'Begin the class',
  wait: 'Everybody is planned first.',
  next: 'Next pose',
  back: 'Back',
  end: 'End the class',
  ended: 'The class has ended.',
  finish: 'Finish',
  of: (at: number, all: number) => `${String(at)} of ${String(all)}`,
  latecomer: 'Late or gone',
  here: 'here',
  notHere: 'not here',
  everybody: 'Everybody has their own number.',
  close: 'Close',
  health: 'Pain, or a stop sign',
  hide: 'Hide',
  hides: 'Closes by itself after 20 seconds.',
  easier: 'took the easier one',
  errors: 'What you see',
  saved: 'saved',
  noSetUp: 'No set-up: by eye, or another pose.',
  keepFrom: 'keep from this pose',
  byEye: 'set up by eye',
  harder: 'this side is harder',
  side: (side: string) => `${side} side`,
  legend: 'The class in this pose',
  nobodyHere: 'Nobody is here.',
  undo: 'Undo the last note',
  planned: 'planned',
  guestSession: 'A guest: what is noted is erased when the class ends.',
} as const;

export const afterPart = {
  title: 'What comes of it',
  none: 'This class has not been taught yet.',
  last: (date: string) => `Taught on ${date}`,
  working: 'Working out the next step …',
  nothing: 'nothing was noted',
  acceptKeep: (count: number) => `Accept all ${String(count)} that say “keep”`,
  keeps: (count: number) => sayCount(count, 'line that says “keep”', 'lines that say “keep”'),
  others: 'Look at these',
  noOthers: 'Nothing else to look at.',
  accepted: 'accepted',
  look: 'look at it',
  columns: ['Name', 'Pose', 'Side', 'What the ladder says', ''] as const,
  keepAccepted: 'Every “keep” is accepted.',
  weeks: 'Over the weeks',
  attendance: 'Who came',
  times: (count: number, all: number) => `${String(count)} of ${String(all)}`,
  moved: (count: number, all: number) =>
    `${String(count)} of ${sayCount(all, 'person', 'people')} measured twice moved on beyond the measuring error.`,
  noise: (count: number) =>
    `${sayCount(count, 'person', 'people')} changed by less than the measuring error: that is noise, not change.`,
  once: (count: number) => `${sayCount(count, 'person', 'people')} measured once or not at all.`,
  changeColumns: ['Name', 'Came', 'Largest change since the first reading'] as const,
  noChange: 'no change beyond error',
  notTwice: 'not measured twice',
} as const;

export const addSomebody = {
  add: 'Somebody else of People',
  choose: 'choose one',
} as const;
