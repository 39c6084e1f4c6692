import { sayCount } from '../../core/units/sayCount.ts';

export const peopleView = {
  removed: (person: string) => `${person} is removed.`,
  people: 'People',
  findByName: 'Find by name',
  nobodyCalledClearSearch: (search: string) =>
    `Nobody is called “${search}”. Clear the search, or add them below.`,
  nameEmptyWriteWhat: 'Name is empty. Write what you call this person.',
  someoneNew: 'Someone new',
  name: 'Name',
  addMeasure: ' Add and measure',
  removedPeople: (count: number) => `Removed people (${String(count)})`,
  bringBack: 'bring back',
} as const;

export const firstPage = {
  drawing:
    'Warrior II for one person: 110.5 cm from heel to heel, the back foot turned 73°, drawn on the mat.',
  measure: 'Measure hips, legs and how far they move: about twenty minutes, a tape and a phone.',
  setUp:
    'See each standing pose set up for this body: stance, feet, props, and which joint limits it.',
  practise: 'Set it on the mat, note what you saw, and know what to change next time.',
  begin: 'Nobody yet. Write a name below to begin,',
  or: 'or',
  tryWithMadeUp: 'Try it with made-up people',
} as const;

export const personLine = {
  stopSign: 'stop sign',
  notMeasuredYet: 'not measured yet',
  measured: (date: string) => `measured ${date}`,
  lastHeld: (pose: string) => `last held: ${pose}`,
  health: 'Health',
  measures: 'Measures',
  setUps: 'Set-ups',
  session: 'Session',
  progress: 'Progress',
  record: 'Record',
  remove: 'remove',
  more: (person: string) => `More about ${person}`,
  seeHealth: 'See Health',
  measure: 'Measure',
  measureMore: (count: number) => `Measure ${String(count)} more`,
  goOn: 'Go on with session',
  reMeasure: (count: number) => `Re-measure ${sayCount(count, 'reading')}`,
  seeSetUps: 'See set-ups',
  startSession: 'Start session',
} as const;

export const reminders = {
  thereNoBackupYet: 'There is no backup yet. ',
  lastBackupFromThere: (date: string) =>
    `The last backup is from ${date}, and there is newer data. `,
  browsersStorageNearlyFull: 'This browser’s storage is nearly full. ',
  backUp: 'Back up',
  seeFiles: 'See Files',
} as const;
