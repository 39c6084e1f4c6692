import type { Side } from '../../src/core/measures/protocol.ts';
import type { Person } from '../../src/core/person/person.ts';
import type { HouseRules } from '../../src/core/rules/houseRules.ts';
import { planSetUp } from '../../src/core/setup/planSetUp.ts';
import type { LandmarkCm } from '../../src/core/skeleton/landmark.ts';
import type { DepthReport, SetUp } from '../../src/core/setup/setUp.ts';
import type { SettingId } from '../../src/core/setup/settingKinds.ts';
import { PLAIN_RULES, contextOf, type Measures } from './people.ts';

/** Plans with plain limits; a problem is the test's failure. */
export function planPlain(
  measures: Measures,
  pose: string,
  side: Side = 'right',
  rules: Partial<HouseRules> = {},
  level: string | null = null,
  person: Partial<Person> = {},
): SetUp {
  const planned = planSetUp(
    contextOf(measures, person),
    pose,
    side,
    { ...PLAIN_RULES, ...rules },
    level,
  );
  if (!planned.ok) throw new Error(planned.problems.map((each) => each.message).join(' '));
  return planned.value;
}

export function settingOf(setUp: SetUp, id: SettingId): number {
  const found = setUp.settings.find((each) => each.id === id);
  if (found === undefined) throw new Error(`No setting ${id} in ${setUp.pose}`);
  return found.value;
}

export function markOf(setUp: SetUp, name: string): LandmarkCm {
  const found = setUp.landmarks[name];
  if (found === undefined) throw new Error(`No landmark ${name}`);
  return found;
}

export const distanceCm = (a: LandmarkCm, b: LandmarkCm): number =>
  Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** The depth of a set-up whose pose has one. */
export function depthOf({ depth, pose }: SetUp): DepthReport {
  if (depth === null) throw new Error(`${pose} has no depth`);
  return depth;
}
