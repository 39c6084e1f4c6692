import { sayCount } from '../../core/units/sayCount.ts';

export const studioView = {
  studio: 'Studio',
  intro: 'What is the same for everybody: the cupboard, and how the house does things.',
  cupboard: 'Cupboard',
  houseRules: 'House rules',
  habits: 'Room and habits',
  file: 'Studio file',
} as const;

export const cupboardPanel = {
  intro:
    'Set-ups use what is here. A change shows in every set-up that is not frozen in a session.',
  add: 'Add a thing',
  change: 'change',
  remove: 'remove',
  undo: 'Undo',
  removed: (name: string) => `${name} is removed.`,
  usual: 'Back to the usual cupboard',
  usualAgain: 'The usual cupboard is back.',
  empty: 'The cupboard is empty: hands go to the floor.',
  saved: (name: string) => `${name} is saved.`,
  faces: (heights: string) => `${heights} high`,
  long: (length: string) => `${length} long`,
  wide: (width: string) => `${width} wide`,
  rail: (height: string) => `rail at ${height}`,
  deep: (depth: string) => `seat ${depth} deep`,
  firm: 'firm under a hand',
  notFirm: 'not under a hand',
} as const;

export const itemForm = {
  name: 'Name',
  kind: 'Kind',
  kinds: {
    block: 'block',
    chair: 'chair',
    blanket: 'blanket, folded',
    bolster: 'bolster',
    pad: 'knee pad',
    wedge: 'heel wedge',
    strap: 'strap',
    mat: 'mat',
    book: 'stack of books',
    own: 'something of our own',
  },
  count: 'How many',
  heights: 'Height (a block: its three, with commas)',
  length: 'Length',
  width: 'Width',
  rail: 'Rail above the floor (none: leave empty)',
  depth: 'Seat depth',
  firm: 'stands firm under a hand',
  save: 'Save',
  cancel: 'Cancel',
} as const;

export const habits = {
  breath: 'One easy breath, seconds (a person’s own pace wins)',
  paper: 'Paper size',
  saved: 'saved',
  roomLength: 'Room length, metres',
  roomWidth: 'Room width, metres',
  wall: 'Free wall to stand at, metres',
  notANumber: (least: number, most: number) =>
    `Write a number from ${String(least)} to ${String(most)}.`,
} as const;

export const housePanel = {
  intro:
    'How the house does it, for everybody in every pose. A pose, a person or one set-up may differ; cautions come last.',
  asUsual: (usual: string) => `as usual: ${usual}`,
  inPoses: (count: number) => `differs in ${sayCount(count, 'pose')}`,
  reset: 'reset',
  changed: (rule: string, option: string) => `${rule}: ${option}, for everybody.`,
} as const;

export const studioFile = {
  export: 'Export the studio',
  file: 'Studio file (JSON)',
  cannot: 'This file cannot be imported',
  nothingChanged: 'Nothing was changed.',
  couldNotRead: (name: string, why: string) => `${name} could not be read: ${why}`,
  would: (things: number, schools: number) =>
    `${sayCount(things, 'kind')} of things and ${sayCount(schools, 'house rule')} replace what is here.`,
  import: 'Import',
  cancel: 'Cancel',
  imported: 'The studio is imported.',
} as const;
