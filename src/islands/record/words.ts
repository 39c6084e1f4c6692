export const appointments = {
  session: (person: string) => `Session, ${person}`,
  nextAppointments: 'Next appointments',
  noneWrittenDown: 'None is written down.',
  weeksRow: (weeks: number) => `, ${String(weeks)} weeks in a row`,
  min: (date: string, minutes: number, rest: string, rest2: string) =>
    `${date}, ${String(minutes)} min${rest}${rest2} `,
  remove: (date: string) => `remove ${date}`,
  removeWord: 'remove',
  start: 'Start',
  minutes: 'Minutes',
  weeksInARow: 'Weeks in a row',
  note: 'Note',
  writeDown: 'Write it down',
  calendarFile: 'Calendar file',
} as const;

export const recordView = {
  record: (person: string) => `The record of ${person}`,
  mind: 'To mind: ',
  clearedBy: (clearedBy: string) => ` (cleared by ${clearedBy})`,
  print: 'Print',
  sessionsCsv: (person: string) => `${person} sessions.csv`,
  sessionsAsCsv: 'Sessions as CSV',
  nothingHasHappenedYet: 'Nothing has happened yet.',
  sessions: 'Sessions',
  sessionRemoved: (date: string) => `The session of ${date} is removed. `,
  putBack: 'put it back',
  noneYet: 'None yet. ',
  planFirst: 'Plan the first',
  removeSession: (date: string) => `remove the session of ${date}`,
  remove: 'remove',
} as const;
