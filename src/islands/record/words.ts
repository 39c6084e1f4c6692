export const appointments = {
  session: (person: string) => `Session, ${person}`,
  nextAppointments: 'Next appointments',
  nonePlanned: 'None planned.',
  weeklyForWeeks: (weeks: number) => `, weekly for ${String(weeks)} weeks`,
  min: (start: string, minutes: number, weeks: string, note: string) =>
    `${start}, ${String(minutes)} min${weeks}${note} `,
  remove: (date: string) => `remove ${date}`,
  removeWord: 'remove',
  start: 'Start',
  startMissing: 'Start is not complete. Write the day and the time.',
  note: 'Note',
  addAppointment: 'Add appointment',
  calendarFile: 'Calendar file',
} as const;

export const recordView = {
  inClass: (name: string) => `in the class “${name}”`,
  record: (person: string) => `Record of ${person}`,
  health: 'Health: ',
  clearedBy: (clearedBy: string) => ` (cleared by ${clearedBy})`,
  print: 'Print',
  sessionsCsv: (person: string) => `${person} sessions.csv`,
  sessionsAsCsv: 'Sessions as CSV',
  noEntriesYet: 'No entries yet.',
  sessions: 'Sessions',
  sessionRemoved: (date: string) => `The session of ${date} is removed. `,
  undo: 'Undo',
  noneYet: 'None yet. ',
  planFirst: 'Plan the first',
  removeSession: (date: string) => `remove the session of ${date}`,
  remove: 'remove',
} as const;

export const homeDays = {
  title: 'From home',
  ownPage: 'their own page, to print or to fill in',
  reported: (days: string) => `${days} in the record, as they reported.`,
  day: 'Day',
  poses: 'Poses',
  words: 'In their own words',
  add: 'Add the day',
  dayMissing: 'The day is not there yet. Write on which day it was.',
  emptyLine: 'Nothing is written yet. Choose a pose, or write a few words.',
  file: 'The file they hand back (.json)',
  takenIn: (days: string) => `${days} added. `,
  couldNotRead: (name: string, why: string) => `${name} could not be read: ${why}`,
  undo: 'Undo',
} as const;
