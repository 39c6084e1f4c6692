import { sayCount } from '../../core/units/sayCount.ts';

export const backupPanel = {
  day: 'a day',
  passphraseFewerThanLetters: (FEWEST_LETTERS: number) =>
    `Passphrase: fewer than ${String(FEWEST_LETTERS)} letters. Use four words or more.`,
  backupCouldNotRead: 'The backup could not be read back after it was made. Nothing was saved.',
  doneReadBackComplete: (fileName: string, people: number, peopleWord: string, size: string) =>
    `Done. ${fileName} was read back and is complete: ${String(people)} ${peopleWord}, ${size}. Keep it somewhere other than on this device.`,
  noBackupMade: (error: string) => `No backup was made: ${error}`,
  encryptWithPassphrase: 'encrypt with a passphrase',
  anyoneWhoHasFile: 'Anyone who has the file can read everything in it.',
  withPictures: 'with pictures ',
  kept: (pictures: number) => `(${String(pictures)} kept)`,
  backUpEverything: 'Back up everything',
  packingChecking: 'Packing and checking…',
  noBackupYet: 'No backup yet.',
  lastBackup: (date: string) => `Last backup: ${date}.`,
  thereNewerData: ' There is newer data.',
  remindMeWhenThere: 'Remind me when there has been newer data for',
  passphrase: 'Passphrase',
  showWhatIType: 'show what I type',
  fourWordsMoreNobody: 'Four words or more that nobody else knows.',
  ifLostNobodyCan: (strength: string) =>
    `${strength} If it is lost, nobody can open the backup, and neither can we. Write it down and keep it away from this device.`,
} as const;

export const filesView = {
  backUpEverything: 'Back up everything',
  oneFileWithEvery:
    'One file with every person, reading, set-up, session and picture. Your data is kept in this browser and nowhere else: ',
  whereWhoCanSee: 'where it is and who can see it',
  restoreBackup: 'Restore a backup',
  browser: 'This browser',
  howLongDataKept: 'How long data is kept',
  importPerson: 'Import a person',
  exportPerson: 'Export a person',
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
  couldNotSaved: (writeError: string) => `It could not be saved. ${writeError}`,
  personFileJson: 'Person file (JSON)',
  fileCannotImported: 'This file cannot be imported',
  nothingChanged: (failed: string) => `Nothing was changed. ${failed}`,
  more: (count: number) => `And ${String(count)} more.`,
  importWord: 'Import',
  importAnyway: 'Import anyway',
  cancel: 'Cancel',
  imported: (person: string) => `${person} is imported. `,
  open: 'Open',
} as const;

export const planWords = {
  testNotTaken: 'test not taken',
  testsNotTaken: 'tests not taken',
  chosenSchool: 'chosen school',
  chosenSchools: 'chosen schools',
  entrySessionsHistory: 'entry in sessions or history',
  entriesSessionsHistory: 'entries in sessions or history',
  nothingNewImport: 'Nothing new to import.',
  newWord: (counts: string) => `New: ${counts}.`,
  removedHereImportingFile: (date: string) =>
    `Removed here on ${date}. Importing the file restores them.`,
  erasedHerePerhapsTheir: (date: string) => `Erased here on ${date}, perhaps at their request.`,
  newPersonBrowser: 'A new person in this browser. ',
  alreadyHere: 'Already here. ',
  removedHereRemoved: (count: number, wasOrWere: string, stays: string) =>
    ` ${String(count)} that ${wasOrWere} removed here ${stays} removed.`,
  whatChanges: 'What changes',
  whatStaysSame: 'What stays the same',
} as const;

export const restorePanel = {
  backupCannotOpened: 'This backup cannot be opened.',
  couldNotRead: (file: string, error: string) => `${file} could not be read: ${error}`,
  nothingRestored: (writeError: string) => `Nothing was restored. ${writeError}`,
  backupZipZipAge: 'Backup (.zip or .zip.age)',
  nothingChanged: (problem: string) => `${problem} Nothing was changed.`,
  openingChecking: 'Opening and checking…',
  restoring: 'Restoring…',
  restored: (count: number, peopleWord: string) => `Restored: ${String(count)} ${peopleWord}. `,
  people: 'People',
  passphraseBackup: 'Passphrase of this backup',
  open: 'Open it',
  withoutPictures: ', without pictures',
  backupFromPeopleWho: (date: string, pictures: string) =>
    `A backup from ${date}${pictures}. People who are already here are merged: nothing newer is lost.`,
  restoreEverything: 'Restore everything',
  restore: (size: number, count: number) => `Restore ${String(size)} of ${String(count)}`,
  cannotRead: ', cannot be read',
  notHereYet: ', not here yet',
  alreadyHere: ', already here',
  removed: (date: string) => `, removed on ${date}`,
  whatRestored: 'What is restored',
  picturesBackup: (pictures: number) => `Pictures in the backup: ${String(pictures)}.`,
} as const;

export const retentionPanel = {
  noPeriodSet: 'no period set',
  year: 'a year',
  afterTheirLastEntry: 'After their last entry, keep a person’s data for',
  nobodyPastPeriod: 'Nobody is past this period.',
  pastPeriodNothingErased: 'Past this period (nothing is erased automatically):',
  last: (date: string) => `, last ${date}`,
} as const;

export const storagePanel = {
  browserDoesNotReport: 'This browser does not report its storage.',
  browserHasPromisedKeep: 'This browser has promised to keep the data until you delete it.',
  browserHasNotPromised:
    'This browser has not promised to keep the data. It may delete it when storage runs low: back up often.',
  askKeepData: 'Ask it to keep the data',
  used: ' used',
  about: (bytes: string) => ` of about ${bytes}`,
  nearlyFullBackUp:
    ' It is nearly full: back up, then free some space on this device or delete pictures.',
} as const;

export const tablePanel = {
  id: 'Id',
  coldWarm: 'Cold or warm',
  measuredBy: 'Measured by',
  setAsideBecause: 'Set aside because',
  couldNotRead: (chosen: string, error: string) => `${chosen} could not be read: ${error}`,
  importedForWereAlready: (added: number, person: string, known: number) =>
    `${sayCount(added, 'reading')} imported for ${person}; already here: ${String(known)}.`,
  nothingSaved: (writeError: string) => `Nothing was saved. ${writeError}`,
  readingsCsv: (person: string) => `${person} readings.csv`,
  readingsAsTable: 'Readings as a table',
  readings: 'Readings of',
  choosePerson: 'choose a person',
  saveTheirReadingsAs: 'Save their readings as CSV',
  tableImportCsv: 'Table to import (CSV)',
  theyHaveAgreeBefore: 'They have to agree before readings can be imported: ',
  askForConsent: 'ask for consent',
  tableCannotImportedNothing: (failed: string) =>
    `This table cannot be imported. Nothing was changed. ${failed}`,
  noColumn: 'no column',
  of: ' of ',
  rowsCanImported: ' rows can be imported.',
  othersLeftOut: ' The others are left out:',
  more: (count: number) => `And ${String(count)} more.`,
  importWord: (count: number) => `Import ${sayCount(count, 'reading')}`,
} as const;

export const takenInLately = {
  backHowBeforeImport: (person: string) =>
    `${person} is back to how it was before the import. Later changes are kept.`,
  importedLastDays: 'Imported in the last 30 days',
  undoImport: 'undo import',
} as const;
