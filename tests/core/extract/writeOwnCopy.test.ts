import { expect, it } from 'vitest';
import { writeOwnCopy } from '../../../src/core/extract/writeOwnCopy.ts';
import type { PersonFile } from '../../../src/core/formats/personFile.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const { person, readings } = recordOf(REFERENCE);
const raise = readings.find((each) => each.measure === 'straight-leg-raise')!;

const file: Omit<PersonFile, 'format' | 'version'> = {
  person: {
    ...person,
    name: 'Ada <script>',
    notes: 'likes the wall',
    intake: { ...person.intake, hurts: 'a "knee" & a hip' },
  },
  readings: [
    ...readings,
    { ...raise, id: 'later', value: raise.value + 12, takenAt: '2026-11-29T10:00:00Z' },
    { ...raise, id: 'aside', value: 3, setAside: { reason: 'typo', at: '2026-11-29T10:00:00Z' } },
  ] as PersonFile['readings'],
  setUps: [],
  sessions: [],
  flows: [],
  appointments: [
    {
      id: 'a',
      start: '2026-12-03T18:30',
      timeZone: 'Europe/Oslo',
      minutes: 60,
      weeks: 4,
      note: '',
    },
  ],
  changes: { stamps: {}, removed: {} },
};

it('holds every answer, measure and appointment, and no mark-up of anybody’s own', () => {
  const html = writeOwnCopy({
    file,
    pictures: [
      { path: 'pictures/1.jpeg', measure: 'hip-opening', takenAt: '2026-11-02T09:00:00Z' },
    ],
    madeAt: '2026-11-30T09:00:00Z',
    writeDate: (iso) => iso.slice(0, 10),
    nameField: (field) => field,
  });
  expect(html).toContain('What is kept of Ada &lt;script&gt;');
  expect(html).not.toContain('<script>');
  expect(html).toContain('a &quot;knee&quot; &amp; a hip');
  expect(html).toContain('likes the wall');
  expect(html).toContain('2026-12-03, 18:30, 60 minutes, 4 weeks in a row');
  expect(html).toContain('<img src="pictures/1.jpeg"');
  // One chart: only one measure has two dates. It is drawn from both.
  expect(html.match(/<svg/g)).toHaveLength(1);
  expect(html).toMatch(
    new RegExp(
      `aria-label="Straight-leg raise, [^"]*: ${raise.value.toFixed(0)} on .*, ${(raise.value + 12).toFixed(0)} on 2026-11-29"`,
    ),
  );
  expect(html).toMatch(/Straight-leg raise, .*: \+ 12° since/);
});
