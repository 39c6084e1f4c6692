export const peopleView = {
  removed: (person: string) => `${person} is removed.`,
  people: 'People',
  findByName: 'Find by name',
  nobodyCalledClearSearch: (search: string) =>
    `Nobody is called “${search}”. Clear the search, or add them below.`,
  nobodyYetWriteName:
    'Nobody yet. Write a name below: a short round of measures comes next, then the first set-up.',
  tryWithMadeUp: 'Try it with made-up people',
  stopSign: 'stop sign',
  notMeasuredYet: 'not measured yet',
  measured: (date: string) => `measured ${date}`,
  health: 'Health',
  measures: 'Measures',
  setUps: 'Set-ups',
  session: 'Session',
  remove: 'remove',
  nameEmptyWriteWhat: 'Name is empty. Write what you call this person.',
  someoneNew: 'Someone new',
  name: 'Name',
  addMeasure: ' Add and measure',
  removedPeople: (count: number) => `Removed people (${String(count)})`,
  bringBack: 'bring back',
} as const;

export const reminders = {
  thereNoBackupYet: 'There is no backup yet. ',
  lastBackupFromThere: (date: string) =>
    `The last backup is from ${date}, and there is newer data. `,
  browsersStorageNearlyFull: 'This browser’s storage is nearly full. ',
  backUp: 'Back up',
  seeFiles: 'See Files',
} as const;
