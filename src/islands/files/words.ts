export const backupPanel = {
  day: 'a day',
  passphraseHasFewerThan: (FEWEST_LETTERS: number) =>
    `Passphrase: it has fewer than ${String(FEWEST_LETTERS)} letters. Use four words or more.`,
  backupMadeButCould: 'The backup was made, but it could not be read back. Nothing was saved.',
  doneReadBackWhole: (words: string, people: number, rest: string, bytes: string) =>
    `Done. ${words} was read back and is whole: ${String(people)} ${rest}, ${bytes}. Keep it somewhere other than on this device.`,
  noBackupMade: (error: string) => `No backup was made: ${error}`,
  encryptWithPassphrase: 'encrypt it with a passphrase',
  whoeverHasFileCan: 'Whoever has the file can read all that is in it.',
  withPictures: 'with pictures ',
  kept: (pictures: number) => `(${String(pictures)} kept)`,
  backUpEverything: 'Back up everything',
  packingReadingBack: 'Packing, and reading it back…',
  noBackupMadeHere: 'No backup was made here yet.',
  lastBackup: (date: string) => `Last backup: ${date}.`,
  thereNewerData: ' There is newer data.',
  remindMeWhenNewest: 'Remind me when the newest data is later than the last backup by',
  passphrase: 'Passphrase',
  showWhileIType: 'show it while I type',
  fourWordsMoreKnown: 'Four words or more, known to nobody else.',
  lostLostWithoutNobody: (rest: string) =>
    `${rest} Lost is lost: without it nobody can open the backup, and we cannot either. Write it down away from this device.`,
} as const;

export const filesView = {
  backUpEverything: 'Back up everything',
  oneFileWithEvery:
    'One file with every person, reading, set-up, session and picture. Everything is kept in this browser and nowhere else: ',
  whereWhoSees: 'where it is and who sees it',
  restoreBackup: 'Restore a backup',
  browser: 'This browser',
  howLongDataKept: 'How long data is kept',
  takePersonFile: 'Take a person file in',
  handPersonFileOut: 'Hand a person file out',
  oneFileHoldsPerson:
    'One file holds a person with every reading, set-up and session, in an open format. It is not encrypted.',
  formats: 'The formats: ',
  personFile: 'person file',
  setUpFile: 'set-up file',
  houseRules: 'house rules',
  backup: 'backup',
} as const;

export const importPanel = {
  couldNotRead: (chosen: string, error: string) => `${chosen} could not be read: ${error}`,
  couldNotStored: (writeError: string) => `It could not be stored. ${writeError}`,
  personFileJson: 'Person file (JSON)',
  fileCannotCome: 'This file cannot come in',
  nothingChanged: (failed: string) => `Nothing was changed. ${failed}`,
  more: (value: number) => `And ${String(value)} more.`,
  take: 'Take it in',
  takeAllSame: 'Take it in all the same',
  leave: 'Leave it',
  savedHere: (words: string) => `${words} is saved here. `,
  open: 'Open',
} as const;

export const planWords = {
  testNotTaken: 'test not taken',
  testsNotTaken: 'tests not taken',
  chosenSchool: 'chosen school',
  chosenSchools: 'chosen schools',
  entrySessionsHistory: 'entry of sessions or of the history',
  entriesSessionsHistory: 'entries of sessions or of the history',
  nothingNewComes: 'Nothing new comes in.',
  newWord: (value: string) => `New: ${value}.`,
  removedHereTakingFile: (date: string) =>
    `Removed here on ${date}; taking the file in brings them back.`,
  erasedHerePerhapsBecause: (date: string) =>
    `Erased here on ${date}, perhaps because they asked for it.`,
  newPersonBrowser: 'A new person in this browser. ',
  alreadyHere: 'Already here. ',
  removedHereRemoved: (staysRemoved: number, rest: string, rest2: string) =>
    ` ${String(staysRemoved)} that ${rest} removed here ${rest2} removed.`,
  whatChanges: 'What changes',
  whatStaysAsHere: 'What stays as it is here',
} as const;

export const restorePanel = {
  backupCannotOpened: 'This backup cannot be opened.',
  couldNotRead: (file: string, error: string) => `${file} could not be read: ${error}`,
  nothingRestored: (writeError: string) => `Nothing was restored. ${writeError}`,
  backupZipZipAge: 'Backup (.zip or .zip.age)',
  nothingChanged: (words: string) => `${words} Nothing was changed.`,
  openingChecking: 'Opening and checking it…',
  restoring: 'Restoring…',
  restored: (count: number, rest: string) => `Restored: ${String(count)} ${rest}. `,
  whoMat: 'Who is on the mat?',
  passphraseBackup: 'Passphrase of this backup',
  open: 'Open it',
  withoutPictures: ', without pictures',
  backupPeopleWhoHere: (date: string, rest: string) =>
    `A backup of ${date}${rest}. People who are here already are merged: nothing newer is lost.`,
  restoreEverything: 'Restore everything',
  restore: (size: number, count: number) => `Restore ${String(size)} of ${String(count)}`,
  cannotRead: ', cannot be read',
  notHereYet: ', not here yet',
  hereAlready: ', here already',
  removed: (date: string) => `, removed on ${date}`,
  whatComes: 'What comes in',
  picturesBackup: (pictures: number) => `Pictures in the backup: ${String(pictures)}.`,
} as const;

export const retentionPanel = {
  noPeriodSet: 'no period is set',
  year: 'a year',
  keepPersonsDataAfter: 'Keep a person’s data, after the last of it, for',
  nobodyPast: 'Nobody is past it.',
  pastNothingErasedBy: 'Past it; nothing is erased by itself:',
  last: (date: string) => `, last ${date}`,
} as const;

export const storagePanel = {
  browserSaysNothingIts: 'This browser says nothing of its storage.',
  browserHasPromisedKeep: 'This browser has promised to keep the data until you delete it.',
  browserHasNotPromised:
    'This browser has not promised to keep the data: it may clear it when its room runs short. Back up often.',
  ask: 'Ask it to',
  used: ' used',
  about: (bytes: string) => ` of about ${bytes}`,
  nearlyFullBackUp:
    ' It is nearly full: back up, then free some space on this device or delete pictures.',
} as const;

export const tablePanel = {
  itsOwnId: 'Its own id',
  coldWarm: 'Cold or warm',
  measuredBy: 'Measured by',
  setAsideBecause: 'Set aside because',
  couldNotRead: (chosen: string, error: string) => `${chosen} could not be read: ${error}`,
  readingsCameForWere: (added: number, words: string, value: number) =>
    `${String(added)} readings came in for ${words}; ${String(value)} were here already.`,
  nothingStored: (writeError: string) => `Nothing was stored. ${writeError}`,
  readingsCsv: (words: string) => `${words} readings.csv`,
  readingsAsTable: 'Readings as a table',
  whose: 'Whose',
  choosePerson: 'choose a person',
  saveTheirReadingsAs: 'Save their readings as CSV',
  tableTakeCsv: 'Table to take in (CSV)',
  noTableCanCome: 'No table can come in before they agree: ',
  askThem: 'ask them',
  tableCannotComeNothing: (failed: string) =>
    `This table cannot come in. Nothing was changed. ${failed}`,
  noColumn: 'no column',
  of: ' of ',
  rowsCanCome: ' rows can come in.',
  othersStayOut: ' The others stay out:',
  more: (value: number) => `And ${String(value)} more.`,
  takeReadings: (count: number) => `Take ${String(count)} readings in`,
} as const;

export const takenInLately = {
  asBeforeWhatChanged: (words: string) =>
    `${words} is as before. What was changed since the file came in stays.`,
  takenDuringLastDays: 'Taken in during the last 30 days',
  takeBack: 'take back',
} as const;
