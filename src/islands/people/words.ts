export const peopleView = {
  removed: (words: string) => `${words} is removed.`,
  whoMat: 'Who is on the mat?',
  findByName: 'Find by name',
  nobodyCalledClearSearch: (search: string) =>
    `Nobody is called “${search}”. Clear the search, or add them below.`,
  nobodyYetWriteName:
    'Nobody yet. Write a name below to begin; a short round of measures follows, and then the first set-up.',
  lookAroundWithMade: 'Look around with made-up people',
  stopSignSet: 'a stop sign is set',
  notMeasuredYet: 'not measured yet',
  measured: (rest: string) => `measured ${rest}`,
  whatMind: 'what to mind',
  measure: 'measure',
  setUp: 'set up',
  mat: 'on the mat',
  remove: 'remove',
  nameEmptyWriteWhat: 'Name: it is empty. Write what you call this person.',
  someoneNew: 'Someone new',
  name: 'Name',
  addMeasure: ' Add and measure',
  removedPeople: (count: number) => `Removed people (${String(count)})`,
  bringBack: 'bring back',
} as const;

export const reminders = {
  thereNoBackupYet: 'There is no backup yet of what is kept here. ',
  lastBackupThereNewer: (date: string) => `The last backup is of ${date}; there is newer data. `,
  browsersRoomForData: 'This browser’s room for data is nearly full. ',
  backUp: 'Back up',
  seeFilesPage: 'See the files page',
} as const;
