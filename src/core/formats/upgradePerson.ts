/**
 * What earlier versions of the person file called otherwise. Files and databases are
 * upgraded when they are opened; nothing else knows the old names.
 */

type Json = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const HEEL_LINES: Json = { 'hip-rails': 'hip-width', 'two-fist-rails': 'two-fists' };
/** What was as long as the back heel allows, up to a leg length, has a name of its own. */
const PYRAMID_STANCES: Json = { long: 'leg-length' };
const ERRORS: Json = {
  'stance-short': 'legs-upright',
  'toes-in': 'feet-turned-in',
  tightrope: 'heels-in-line',
};
const OPTIONS: Readonly<Record<string, Json>> = {
  heelLine: HEEL_LINES,
  pyramidStance: PYRAMID_STANCES,
};

/** The rules of the numbers that the first version made. */
export const FIRST_RULES = 1;

const rename = (names: Json, value: unknown): unknown =>
  typeof value === 'string' && Object.hasOwn(names, value) ? names[value] : value;

function upgradeRules(rules: unknown): unknown {
  if (!isObject(rules)) return rules;
  return Object.fromEntries(
    Object.entries(rules).map(([id, value]) => [
      id,
      Object.hasOwn(OPTIONS, id) ? rename(OPTIONS[id]!, value) : value,
    ]),
  );
}

function upgradeSchool(school: unknown): unknown {
  if (!isObject(school) || typeof school.rule !== 'string') return school;
  const names = Object.hasOwn(OPTIONS, school.rule) ? OPTIONS[school.rule]! : {};
  return { ...school, option: rename(names, school.option) };
}

const mapList = (list: unknown, each: (item: unknown) => unknown): unknown =>
  Array.isArray(list) ? list.map(each) : list;

const upgradeErrors = (errors: unknown): unknown => mapList(errors, (each) => rename(ERRORS, each));

function upgradeEntry(entry: unknown): unknown {
  if (!isObject(entry)) return entry;
  if (entry.kind === 'error') return { ...entry, error: rename(ERRORS, entry.error) };
  if (entry.kind !== 'note' || !isObject(entry.change) || !('errors' in entry.change)) return entry;
  return { ...entry, change: { ...entry.change, errors: upgradeErrors(entry.change.errors) } };
}

/**
 * Something with rules that was made by the first version: a kept set-up or a planned hold.
 *
 * @param made by an earlier version
 * @returns the same with other names; anything else as it is
 */
export const upgradeMade = (made: unknown): unknown =>
  isObject(made) ? { rulesVersion: FIRST_RULES, ...made, rules: upgradeRules(made.rules) } : made;

/**
 * The schools that were chosen for a person, under the names of today.
 *
 * @param person of an earlier version
 * @returns the same with other names; anything else as it is
 */
export const upgradePersonSchools = (person: unknown): unknown =>
  isObject(person) && 'schools' in person
    ? { ...person, schools: mapList(person.schools, upgradeSchool) }
    : person;

/**
 * A session with the names and versions of today.
 *
 * @param session of an earlier version
 * @returns the same with other names; anything else as it is
 */
export const upgradeSession = (session: unknown): unknown =>
  isObject(session)
    ? {
        ...session,
        holds: mapList(session.holds, upgradeMade),
        entries: mapList(session.entries, upgradeEntry),
      }
    : session;

/**
 * A person file of an earlier version as one of today; anything else as it is.
 *
 * @param file as read from a file
 * @returns a file of today's version
 */
export function upgradePersonFile(file: unknown): unknown {
  if (!isObject(file)) return file;
  // The second version had the names of today, but no times of changes.
  if (file.version === 2) return { ...file, version: 3 };
  if (file.version !== 1) return file;
  const { setUps, sessions } = file;
  return {
    ...file,
    version: 3,
    person: upgradePersonSchools(file.person),
    ...(setUps === undefined ? {} : { setUps: mapList(setUps, upgradeMade) }),
    ...(sessions === undefined ? {} : { sessions: mapList(sessions, upgradeSession) }),
  };
}
