import { CLASS_SETTINGS, type ClassSetting } from '../classes/lossOnGrid.ts';
import type { ClassAsked } from '../classes/planSettings.ts';
import type { PersonRecord } from '../person/person.ts';
import { POSES } from '../poses/catalogue/index.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import { withHeldPoses } from '../sessions/heldPoses.ts';
import { checkPersonFile } from './personFile.ts';
import { checkRules } from './rulesFile.ts';

/** More people than this are no class that one teacher sees. Our choice. */
const MOST_PEOPLE = 60;

const isSetting = (value: unknown): value is ClassSetting =>
  CLASS_SETTINGS.some((each) => each === value);

/**
 * Checks what the endpoint takes: `{people, pose, level?, setting?, rules?}`, each person as in a
 * person file.
 *
 * @param value as read from a body
 * @param now ISO date, against which dates are judged; null = they are not
 * @returns the request, or every problem by path
 */
export function checkClassRequest(value: unknown, now: string | null): Result<ClassAsked> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return { ok: false, problems: [problem('wrong-shape', '', { text: 'must be an object' })] };
  }
  const {
    people,
    pose,
    level = FITTING_LEVEL,
    setting = 'stance-length',
    rules = {},
  } = value as Record<string, unknown>;
  const problems: Problem[] = [];
  const records: PersonRecord[] = [];
  if (!Array.isArray(people) || people.length === 0) {
    problems.push(problem('wrong-shape', 'people', { text: 'must be a list of person files' }));
  } else if (people.length > MOST_PEOPLE) {
    const details = { count: people.length, most: MOST_PEOPLE };
    problems.push(problem('too-many-people', 'people', details));
  } else {
    for (const [i, each] of people.entries()) {
      const file = checkPersonFile(each, now);
      const path = `people[${String(i)}]`;
      if (!file.ok) {
        problems.push(...file.problems.map((one) => ({ ...one, path: `${path}.${one.path}` })));
        continue;
      }
      const { file: record } = file.value;
      if (records.some(({ person }) => person.id === record.person.id)) {
        problems.push(problem('duplicate-id', `${path}.person.id`, { text: record.person.id }));
      }
      records.push(withHeldPoses(record, record.sessions));
    }
  }
  if (!POSES.some(({ id }) => id === pose)) {
    const known = POSES.map(({ id }) => id);
    problems.push(problem('unknown-pose', 'pose', { text: String(pose), known }));
  }
  if (typeof level !== 'string' && level !== null) {
    problems.push(problem('wrong-shape', 'level', { text: 'must be the id of a level' }));
  }
  if (!isSetting(setting)) {
    const text = `must be one of ${CLASS_SETTINGS.join(', ')}`;
    problems.push(problem('wrong-shape', 'setting', { text }));
  }
  const house = checkRules(rules);
  if (!house.ok) problems.push(...house.problems);
  if (problems.length > 0 || !house.ok || !isSetting(setting)) return { ok: false, problems };
  const asked = { pose: pose as string, level: level as string | null, setting };
  return { ok: true, value: { ...asked, people: records, rules: house.value } };
}
