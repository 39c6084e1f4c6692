import homeSchema from '../../../docs/formats/home.schema.json' with { type: 'json' };
import { isToCome, type HomeDay } from '../person/homeDay.ts';
import type { Person } from '../person/person.ts';
import { problem, type Result } from '../problems/problem.ts';
import { joiFromSchema } from './joiFromSchema.ts';
import { readJson } from './personFile.ts';
import { findShapeProblems } from './validate.ts';

export const HOME_FORMAT = 'stillwater.home';
export const HOME_VERSION = 1;

const schema = joiFromSchema(homeSchema);

/** What a person’s own page hands back. */
export interface HomeFile {
  readonly format: typeof HOME_FORMAT;
  readonly version: typeof HOME_VERSION;
  /** One page that was handed out. */
  readonly sheet: string;
  readonly person: Pick<Person, 'id' | 'name'>;
  readonly days: readonly (Pick<HomeDay, 'day' | 'poses' | 'words'> & { readonly line: number })[];
}

/**
 * Reads the days that a person wrote on their own page.
 *
 * @param text of the file
 * @param person whose record it is taken into
 * @param now ISO date; the core has no clock
 * @returns the days, or `not-json`, `wrong-shape`, `home-of-another` or `day-to-come` by path
 */
export function readHomeFile(
  text: string,
  person: Pick<Person, 'id' | 'name'>,
  now: string,
): Result<readonly HomeDay[]> {
  const json = readJson(text);
  if (!json.ok) return json;
  const shape = findShapeProblems(schema, json.value);
  if (shape.length > 0) return { ok: false, problems: shape };
  const { sheet, person: from, days } = json.value as HomeFile;
  if (from.id !== person.id) {
    const details = { text: from.name, person: person.name };
    return { ok: false, problems: [problem('home-of-another', 'person.id', details)] };
  }
  const early = days.flatMap(({ day }, i) =>
    isToCome(day, now) ? [problem('day-to-come', `days[${String(i)}].day`, { text: day })] : [],
  );
  if (early.length > 0) return { ok: false, problems: early };
  return {
    ok: true,
    value: days.map(({ line, day, poses, words }) => ({
      id: `${sheet} ${String(line)}`,
      day,
      poses,
      words,
      by: 'file',
      takenInAt: now,
    })),
  };
}
