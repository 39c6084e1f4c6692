import type { CautionEntry, AnswerChange, Intake, Person } from './person.ts';

/** Fields that are kept with what they were before. */
const FIELDS = [
  'name',
  'birthYear',
  'sexForReference',
  'bodyMassKg',
  'experience',
  'notes',
] as const satisfies readonly (keyof Person)[];

const write = (value: string | number | null): string => (value === null ? '' : String(value));

/** A caution in a few words: `mild, left, cleared by Dr Okoro`. */
function describeCaution(entry: CautionEntry): string {
  const cleared = entry.clearedBy === null ? '' : `cleared by ${entry.clearedBy}`;
  return [entry.severity, entry.side ?? '', cleared, entry.note]
    .filter((each) => each !== '')
    .join(', ');
}

/** Every answer of a person as a pair of field and words. */
function listAnswers(person: Person): Map<string, string> {
  const answers = new Map<string, string>(FIELDS.map((field) => [field, write(person[field])]));
  for (const [field, value] of Object.entries(person.intake) as [keyof Intake, string | null][]) {
    answers.set(field, write(value));
  }
  for (const { pose, rule, option, reason } of person.schools) {
    answers.set(`school ${pose} ${rule}`, reason === '' ? option : `${option}: ${reason}`);
  }
  for (const { id } of person.cautions) {
    const entries = person.cautions.filter((each) => each.id === id).map(describeCaution);
    answers.set(`caution ${id}`, entries.join('; '));
  }
  return answers;
}

/**
 * What differs between two states of a person, each field with its old and new words.
 *
 * @param before as stored
 * @param after as it is to be stored
 * @param at ISO date; the core has no clock
 * @returns none when nothing differs
 */
export function findChanges(before: Person, after: Person, at: string): AnswerChange[] {
  const [old, now] = [listAnswers(before), listAnswers(after)];
  return [...new Set([...old.keys(), ...now.keys()])]
    .map((field) => ({ at, field, from: old.get(field) ?? '', to: now.get(field) ?? '' }))
    .filter(({ from, to }) => from !== to);
}
