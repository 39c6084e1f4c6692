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
