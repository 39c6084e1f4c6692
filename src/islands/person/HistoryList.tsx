import { findCautionKind } from '../../core/cautions/catalogue.ts';
import type { Person } from '../../core/person/person.ts';
import { writeDate } from '../shared/words.ts';

const FIELD_WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  birthYear: 'year of birth',
  sexForReference: 'reference bands',
  bodyMassKg: 'body mass, kg',
  experience: 'experience',
  consentToData: 'agrees to numbers being kept',
  consentToPictures: 'agrees to pictures being kept',
  guardian: 'guardian',
  hurts: 'what hurts',
  operations: 'what was operated on',
  wishes: 'what they come for',
};

function nameField(field: string): string {
  const [, caution] = /^caution (.+)$/.exec(field) ?? [];
  if (caution !== undefined) return findCautionKind(caution)?.name ?? caution;
  return FIELD_WORDS[field] ?? field;
}

const quote = (text: string): string => (text === '' ? 'nothing' : `“${text}”`);

/** What was answered when, newest first. */
export function HistoryList({ person }: { person: Person }) {
  const changes = [...person.history].reverse();
  if (changes.length === 0) return null;
  return (
    <details className="history">
      <summary>
        {changes.length === 1 ? 'One change' : `${String(changes.length)} changes`} of these answers
      </summary>
      <ul>
        {changes.map(({ at, field, from, to }, i) => (
          <li key={`${at} ${field} ${String(i)}`}>
            <span className="quiet">{writeDate(at)}</span> {nameField(field)}: {quote(from)} →{' '}
            {quote(to)}
          </li>
        ))}
      </ul>
    </details>
  );
}
