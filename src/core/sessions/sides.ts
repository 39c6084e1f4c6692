import { compareValues } from '../measures/compareValues.ts';
import { findValue, type MeasureSet } from '../measures/measureSet.ts';
import { listMeasuresOf } from '../conditions/motionMeasures.ts';
import { getProtocol } from '../measures/protocols/index.ts';
import { otherSide, SIDES, type Side } from '../measures/protocol.ts';
import { hasSides } from '../poses/hasSides.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { nameJoint } from '../setup/jointReport.ts';
import type { SetUp } from '../setup/setUp.ts';
import { readSession } from './readSession.ts';
import type { Session } from './session.ts';

/** The harder side of a pose, and how it is known. */
export interface HarderSide {
  readonly side: Side;
  readonly why: string;
}

/** Sessions looked back upon, and how many more notes of one side make it the harder one. Our choice. */
const LOOK_BACK = 4;
const CLEARLY_MORE = 2;

/** Whether what limits one side of a pose is measured as really less than on the other side. */
function isMeasuredHarder(setUp: SetUp, set: MeasureSet): string | null {
  const { limiting } = setUp;
  if (limiting?.side == null) return null;
  const { side } = limiting;
  for (const measure of listMeasuresOf(limiting)) {
    const own = findValue(set, measure, side);
    const other = findValue(set, measure, otherSide(side));
    if (own === null || other === null || own.value >= other.value) continue;
    const { verdict, difference } = compareValues(own, other);
    if (verdict !== 'real') continue;
    const less = `${Math.abs(difference).toFixed(0)}°`;
    return `${nameJoint(limiting, setUp)} is the limiting joint: ${getProtocol(measure).name.toLowerCase()} ${side} ${less} less, beyond its error`;
  }
  return null;
}

/** Which side was noted as the harder one more often, lately. */
function findLogged(pose: string, sessions: readonly Session[]): HarderSide | null {
  const notes = sessions
    .toSorted((a, b) => b.plannedAt.localeCompare(a.plannedAt))
    .map((each) =>
      readSession(each).holds.filter(({ plan, at }) => plan.pose === pose && at !== null),
    )
    .filter((holds) => holds.length > 0)
    .slice(0, LOOK_BACK);
  const count = (side: Side): number =>
    notes.filter((holds) =>
      holds.some(({ plan, notes: { isHarder } }) => isHarder && plan.side === side),
    ).length;
  const [more] = SIDES.filter((side) => count(side) - count(otherSide(side)) >= CLEARLY_MORE);
  if (more === undefined) return null;
  const times = `${String(count(more))} of the last ${String(notes.length)} times`;
  return { side: more, why: `the ${more} side was noted as the harder one ${times}` };
}

/**
 * The harder side of a pose by what is measured, else by what was logged; null when the
 * difference lies inside its error and nothing was noted.
 *
 * @param setUps of both sides
 * @param set values of one person
 * @param sessions of this person, in any order
 * @returns the side and why
 */
export function findHarderSide(
  setUps: Readonly<Record<Side, SetUp>>,
  set: MeasureSet,
  sessions: readonly Session[],
): HarderSide | null {
  const found = SIDES.flatMap((side): HarderSide[] => {
    const why = isMeasuredHarder(setUps[side], set);
    return why === null ? [] : [{ side, why }];
  });
  // Each side may be short of something else: then neither is the harder one.
  if (found.length === 1) return found[0]!;
  return found.length === 0 ? findLogged(setUps.left.pose, sessions) : null;
}

/** Which pose, on which side, how often in a row. */
export interface SideTurn {
  readonly pose: string;
  readonly side: Side;
  readonly rounds: number;
}

/**
 * The order of sides over the poses of a session.
 *
 * `harder-easier-harder`: the harder side once more; both alike where neither is harder.
 * `equal`: each side with all its rounds. `alternate`: the sides take turns round by round.
 * `one-side-first`: every pose on one side, then every pose on the other. A pose whose
 * sides do not differ is held once, as its right side.
 *
 * @param poses in order, each with its harder side
 * @param order of the sides
 * @param rounds how often each is held
 * @returns one turn after the other
 */
export function orderSides(
  poses: readonly { readonly id: string; readonly harder: Side | null }[],
  order: HouseRules['sides'],
  rounds: number,
): readonly SideTurn[] {
  const turn = (pose: string, side: Side, times = rounds): SideTurn => ({
    pose,
    side,
    rounds: times,
  });
  if (order === 'one-side-first') {
    const first = poses.find(({ harder }) => harder !== null)?.harder ?? 'right';
    const other = otherSide(first);
    const again = poses.filter(({ id }) => hasSides(id)).map(({ id }) => turn(id, other));
    return [...poses.map(({ id }) => turn(id, hasSides(id) ? first : 'right')), ...again];
  }
  return poses.flatMap(({ id, harder }): SideTurn[] => {
    if (!hasSides(id)) return [turn(id, 'right')];
    const first = harder ?? 'right';
    const both = [first, otherSide(first)];
    if (order === 'alternate') {
      return Array.from({ length: rounds }, () => both.map((side) => turn(id, side, 1))).flat();
    }
    const turns = both.map((side) => turn(id, side));
    return order === 'harder-easier-harder' && harder !== null
      ? [...turns, turn(id, harder)]
      : turns;
  });
}
