/**
 * Everything that can be wrong with input, in one place: what is said and what
 * to do. `{path}` and the names of details are filled in.
 */
interface ProblemEntry {
  readonly severity: 'error' | 'warning' | 'note';
  readonly message: string;
  readonly hint: string;
}

const entries = {
  // What was typed
  'not-a-length': {
    severity: 'error',
    message: '{path}: “{text}” is not a length.',
    hint: 'Write a number with its unit, such as 86.5 cm, 34 1/2 in or 3\'2".',
  },
  'not-an-angle': {
    severity: 'error',
    message: '{path}: “{text}” is not an angle.',
    hint: 'Write degrees as a number, such as 62 or 62.5.',
  },
  'not-a-date': {
    severity: 'error',
    message: '{path}: “{text}” is not a date and time.',
    hint: 'Write it as 2026-11-02T09:10:00Z.',
  },
  'in-the-future': {
    severity: 'error',
    message: '{path}: {text} lies in the future.',
    hint: 'Check the date of the reading.',
  },
  'impossible-value': {
    severity: 'error',
    message:
      '{path}: {value} {unit} cannot be right for {measure}; it must be between {low} and {high}.',
    hint: 'Check the unit, the side and the landmark, and read it again.{unitGuess}',
  },
  'unusual-value': {
    severity: 'warning',
    message: '{path}: {value} {unit} is unusual for {measure}.',
    hint: 'Most people lie between {low} and {high}. Keep it if a second reading agrees.',
  },
  'outside-reference': {
    severity: 'warning',
    message: '{measure}: {value}{unit} is outside the range of {who}, {low} to {high}{unit}.',
    hint: 'Keep it if a second reading agrees. The range is not a target ({source}).',
  },
  'reading-unlike-own': {
    severity: 'warning',
    message: '{measure}{side}: {value}{unit} after {own}{unit}.',
    hint: 'Check the side and the landmark.{sideGuess} Keep it if a second reading agrees.',
  },
  'reading-unlike-other-side': {
    severity: 'warning',
    message: '{measure}{side}: {value}{unit}, and the {otherSide} has {other}{unit}.',
    hint: 'Check the side and the landmark. Keep it if a second reading agrees.',
  },
  'sides-swapped': {
    severity: 'warning',
    message: '{measure}: left and right look swapped compared with last time.',
    hint: 'Swap them if the sides were mixed up; keep them if not.',
  },
  'not-a-picture': {
    severity: 'error',
    message: '{path} is not a picture that this browser can open.',
    hint: 'Choose a JPEG, PNG or WebP file.',
  },
  'picture-too-large': {
    severity: 'error',
    message: '{path} has {megapixels} megapixels; at most {most} are opened.',
    hint: 'Make it smaller first: a reading needs no more than two megapixels.',
  },
  'not-a-film': {
    severity: 'error',
    message: '{path} is not a film that this browser can show.',
    hint: 'Choose a WebM or MP4 file, or take a photo of the pose instead.',
  },
  'film-too-long': {
    severity: 'error',
    message: '{path} lasts {minutes} minutes; at most {most} are opened.',
    hint: 'Cut it to the hold first: three frames of it are enough.',
  },
  'not-a-count': {
    severity: 'error',
    message: '{path}: “{text}” is not a number of things.',
    hint: 'Write a whole number from 0 to {most}.',
  },
  'name-missing': {
    severity: 'error',
    message: '{path}: there is no name.',
    hint: 'Write what you call it, such as “tall stool”.',
  },
  'prop-needs-length': {
    severity: 'error',
    message: '{name} has no length.',
    hint: 'Straps and mats need their length.',
  },
  'rail-below-seat': {
    severity: 'error',
    message: 'The rail of {name} ({railCm} cm) is not above its seat ({seatCm} cm).',
    hint: 'Measure both from the floor; leave the rail out if the chair has none.',
  },
  'side-missing': {
    severity: 'error',
    message: '{path}: {measure} is taken left and right, and no side was given.',
    hint: 'Say left or right.',
  },
  'side-unexpected': {
    severity: 'error',
    message: '{path}: {measure} has no side, and {side} was given.',
    hint: 'Leave the side empty (null).',
  },
  'wrong-unit': {
    severity: 'error',
    message: '{path}: {measure} is kept in {expected}, not {given}.',
    hint: 'Convert the value to {expected}.',
  },
  'csv-empty': {
    severity: 'error',
    message: 'This table has no rows under a first row of names.',
    hint: 'The first row names the columns; each further row is one reading.',
  },
  'csv-too-long': {
    severity: 'error',
    message: 'This table has more than {most} rows.',
    hint: 'That is more than one person’s readings. Split it, one file a person.',
  },
  'csv-broken': {
    severity: 'error',
    message: '{path}: the quotes do not close ({text}).',
    hint: 'Save the table as CSV again.',
  },
  'csv-unknown-measure': {
    severity: 'error',
    message: '{path}: there is no measure called “{text}”.',
    hint: 'Write its name or its id, such as “straight-leg-raise”.',
  },
  'not-a-side': {
    severity: 'error',
    message: '{path}: “{text}” is not a side.',
    hint: 'Write left or right, or L or R.',
  },
  'not-a-number': {
    severity: 'error',
    message: '{path}: “{text}” is not a number.',
    hint: 'Write it as 12 or 12.5.',
  },
  'unknown-measure': {
    severity: 'warning',
    message: '{path}: there is no measure called “{text}”.',
    hint: 'It is kept in the file as it is, and not used.',
  },
  'duplicate-id': {
    severity: 'error',
    message: '{path}: the id “{text}” is used twice.',
    hint: 'Give each one an id of its own.',
  },
  'sessions-overlap': {
    severity: 'warning',
    message: '{path}: this session begins at {at}, while the one of {from} was still running.',
    hint: 'Both are kept. If one was written down twice, end or delete one of them.',
  },
  // The shape of files and requests
  'not-json': {
    severity: 'error',
    message: 'This is not JSON: {text}',
    hint: 'Choose a file that was exported from Stillwater, or correct the place named.',
  },
  'home-of-another': {
    severity: 'error',
    message: 'These days were written by {text}, not by {person}.',
    hint: 'Open the record of {text}, and choose the file there.',
  },
  'day-to-come': {
    severity: 'error',
    message: '{path}: {text} is still to come.',
    hint: 'Write the day on which it was practised.',
  },
  'wrong-format': {
    severity: 'error',
    message: 'This is not a {expected} file.',
    hint: 'The field “format” must say “{expected}”.',
  },
  'newer-version': {
    severity: 'error',
    message: 'This file has version {given}; this app reads up to version {known}.',
    hint: 'Update the app, then open the file again. Nothing was changed.',
  },
  'not-a-backup': {
    severity: 'error',
    message: 'This is not a Stillwater backup, or it is incomplete.',
    hint: 'Choose a file whose name ends in .zip or .zip.age, as it was saved. Nothing was changed.',
  },
  'backup-too-large': {
    severity: 'error',
    message: 'Unpacked, this file is larger than two gigabytes.',
    hint: 'No backup of Stillwater is so large. Choose another file.',
  },
  'backup-file-missing': {
    severity: 'error',
    message: '{path} is missing in this backup.',
    hint: 'Use an earlier backup. Nothing was changed.',
  },
  'backup-file-damaged': {
    severity: 'error',
    message: '{path} has changed since the backup was made.',
    hint: 'Use another copy of this backup, or an earlier one. Nothing was changed.',
  },
  'wrong-passphrase': {
    severity: 'error',
    message: 'This passphrase does not open the backup.',
    hint: 'Look at capitals, spaces and the keyboard’s language, and try again. Without the passphrase nobody can open it.',
  },
  'encryption-damaged': {
    severity: 'error',
    message: 'This encrypted file is damaged or incomplete.',
    hint: 'Use another copy of this backup, or an earlier one. Nothing was changed.',
  },
  'wrong-shape': {
    severity: 'error',
    message: '{path}: {text}.',
    hint: 'See the format’s description under docs/formats.',
  },
  'unknown-pose': {
    severity: 'error',
    message: '{path}: there is no pose called “{text}”.',
    hint: 'Choose one of: {known}.',
  },
  'unknown-level': {
    severity: 'error',
    message: '{path}: this pose has no level called “{text}”.',
    hint: 'Leave it out, or choose one of: {known}.',
  },
  'unknown-error': {
    severity: 'error',
    message: '{path}: there is no error sign called “{text}”.',
    hint: 'Choose one that the log of the pose shows.',
  },
  // Cues
  'cue-line-unknown': {
    severity: 'error',
    message: '{path}: “{text}” does not say what it is.',
    hint: 'Begin each line with one of these and a colon: {names}.',
  },
  'cue-line-empty': {
    severity: 'error',
    message: '{path}: “{text}” has no words.',
    hint: 'Write what is said after the colon, or delete the line.',
  },
  'cue-line-alone': {
    severity: 'error',
    message: '{path}: “{text}” belongs to something that is often seen, and none stands above it.',
    hint: 'Put a line that begins with “Often seen:” before it.',
  },
  // Flows
  'unknown-movement': {
    severity: 'error',
    message: '{path}: there is no warm-up called “{text}”.',
    hint: 'Choose one of: {known}.',
  },
  'no-steps': {
    severity: 'error',
    message: 'This flow has no steps yet.',
    hint: 'Add a pose.',
  },
  'too-many-steps': {
    severity: 'error',
    message: 'This flow has {count} steps; {most} are the most.',
    hint: 'Split it into two flows.',
  },
  'too-many-people': {
    severity: 'error',
    message: '{count} people are more than one class: {most} are the most.',
    hint: 'Split them into two classes.',
  },
  'head-below-heart': {
    severity: 'error',
    message: '{caution}: {name} is left out, because the head would be below the heart.',
    hint: 'Stand at the front of the mat, kneel or sit instead.',
  },
  'no-way': {
    severity: 'warning',
    message: 'No way is known from {from} to {to} without a pose that this person leaves out.',
    hint: 'Put a pose between them, or say the way yourself.',
  },
  'way-is-gone': {
    severity: 'warning',
    message: 'The way that was chosen from {from} to {to} is no longer possible.',
    hint: 'The cheapest way is shown; choose another one if you like.',
  },
  'too-short-for-peak': {
    severity: 'error',
    message: '{minutes} min are too short to prepare {pose}.',
    hint: 'Give it more minutes, or choose a peak that asks less.',
  },
  'cannot-share-stance': {
    severity: 'note',
    message: '{poses} cannot be held on one stance by this person.',
    hint: 'Each has its own feet; the moves between them are shown.',
  },
  // Measures
  'missing-measure': {
    severity: 'error',
    message: '{measure}{side} is not measured yet. It is needed for {poses}.',
    hint: 'Take the reading, or ask for a provisional set-up.',
  },
  'third-reading': {
    severity: 'note',
    message: '{measure}{side}: the readings differ by {spread} {unit}.',
    hint: 'Take a third reading; the middle one then counts.',
  },
  'tape-missing': {
    severity: 'error',
    message: '{name} is missing.',
    hint: 'Write what the tape reads; the angle follows.',
  },
  'tape-impossible': {
    severity: 'error',
    message: '{name}: {value} cm is not possible; it must be between {low} and {high} cm.',
    hint: 'Read the tape again, in centimetres or with its unit.',
  },
  'no-triangle': {
    severity: 'error',
    message: 'These lengths do not form a triangle, or the angle is too steep for a tape measure.',
    hint: 'Measure again, or use an inclinometer.',
  },
  'leg-parts-disagree': {
    severity: 'error',
    message:
      'The {side} knee height ({knee} cm) must lie well between ankle height ({ankle} cm) and hip height ({trochanter} cm).',
    hint: 'Measure knee height and hip height again, standing, to the floor.',
  },
  'trunk-too-short': {
    severity: 'error',
    message:
      'Shoulder height ({shoulder} cm) must lie at least 25 cm above hip height ({trochanter} cm).',
    hint: 'Measure both again, standing, to the floor.',
  },
  'stature-needed': {
    severity: 'error',
    message: 'Height is not measured, and {measure} is missing too.',
    hint: 'Measure height; missing lengths are estimated from it.',
  },
  // Answers
  'stop-sign': {
    severity: 'error',
    message: 'A stop sign is set: {caution}.',
    hint: '{advice}',
  },
  'cannot-hold': {
    severity: 'error',
    message: 'This pose does not fit yet: {reasons}.',
    hint: 'Try another heel line or back foot, use {swap} instead, or measure the limiting joint again.',
  },
  'too-little-margin': {
    severity: 'error',
    message: 'This pose does not fit yet: at every depth a margin is too small: {reasons}.',
    hint: 'You can look at the deepest safe set-up, but it is not recommended. Easier: {swap}.',
  },
  'wish-far-off': {
    severity: 'warning',
    message:
      '{wish} is {off} away from what the pose aims for (more than two tolerances of {sigma}).',
    hint: 'Choose another school for this person, or use {swap} instead.',
  },
  'falls-short': {
    severity: 'note',
    message: '{wish} stays {off} short.',
    hint: 'This is common. Do not force it.',
  },
  'wide-ankle': {
    severity: 'warning',
    message: 'The back ankle needs about {asked}° of inversion.',
    hint: 'The outer edge may lift and the arch fall: press the outer edge of the back foot.',
  },
  'not-lying-flat': {
    severity: 'warning',
    message: '{caution}: in the later months, do not lie flat on the back for long.',
    hint: 'Raise head and chest on a bolster, or turn to the left side.',
  },
  'smallest-move': {
    severity: 'note',
    message: 'From the feet of {legs}, step the back foot {way} {cm} cm: {gain}.',
    hint: 'The set-up keeps the feet; move them only if the next pose allows it.',
  },
  'small-margin': {
    severity: 'note',
    message: 'The centre of mass is only {inside} cm inside the base of support.',
    hint: 'Set the feet a little wider across the mat, or practise next to a wall.',
  },
  'excluded-by-caution': {
    severity: 'error',
    message: '{caution}: this pose is left out. {reason}',
    hint: 'Choose instead: {swap}.',
  },
  'does-not-fit-mat': {
    severity: 'warning',
    message: 'The stance is {over} cm longer than the mat.',
    hint: 'Stand across two mats, or let the back foot leave the mat.',
  },
  'no-wall': {
    severity: 'warning',
    message: 'This version needs a wall, and the studio has none to stand at.',
    hint: 'Choose another version, use a door that is locked, or enter the wall in Studio.',
  },
  'more-problems': {
    severity: 'error',
    message: 'There are {count} more problems.',
    hint: 'Put these right first; the others may go with them.',
  },
  'nested-too-deep': {
    severity: 'error',
    message: 'This file holds lists within lists more than {most} deep.',
    hint: 'No file of this app does. Choose another file.',
  },
  'took-too-long': {
    severity: 'error',
    message: 'The answer took longer than {seconds} s and was stopped.',
    hint: 'Try again; reload the page if it happens twice.',
  },
  'worker-stopped': {
    severity: 'error',
    message: 'The calculation stopped unexpectedly.',
    hint: 'Try again; nothing that was saved is lost.',
  },
} as const satisfies Record<string, ProblemEntry>;

export type ProblemCode = keyof typeof entries;
export const CATALOGUE: Readonly<Record<ProblemCode, ProblemEntry>> = entries;
