import type { MeasureId } from '../measures/protocols/index.ts';
import type { Side } from '../measures/protocol.ts';
import type { Person } from '../person/person.ts';
import type { ArmDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import { saySwap } from '../poses/swaps.ts';
import { problem, type Problem } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { addMusts, ADAPTATIONS, type Adaptation } from './adaptations.ts';
import { findCautionKind } from './catalogue.ts';

/** A change as a set-up reports it. */
export interface ToldAdaptation {
  readonly caution: string;
  readonly name: string;
  readonly change: string;
  readonly reason: string;
}

/** What is taken off a measured range because of a caution. */
export interface RangeCut {
  readonly measure: MeasureId;
  readonly side: Side | null;
  /** Share kept in reserve. */
  readonly reserve: number;
  /** Not used beyond this, degrees; Infinity = no cap. */
  readonly cap: number;
}

export interface Adapted {
  readonly pose: PoseDefinition;
  readonly rules: HouseRules;
  readonly reserve: number;
  readonly cuts: readonly RangeCut[];
  readonly told: readonly ToldAdaptation[];
  /** Why this pose is left out; empty when it is not. */
  readonly excluded: readonly Problem[];
}

const lowerArm = (arm: ArmDefinition): ArmDefinition =>
  arm.reach === 'up' || arm.reach === 'forward' ? { ...arm, reach: 'beside' } : arm;

function lowerArms(pose: PoseDefinition): PoseDefinition {
  const { front, back } = pose.arms;
  return { ...pose, arms: { front: lowerArm(front), back: lowerArm(back) } };
}

/** Cuts of one adaptation, on the caution's own side or on both. */
function findCuts(
  { reserveOf, caps = {} }: Adaptation,
  side: Person['cautions'][number]['side'],
): RangeCut[] {
  const sides: readonly (Side | null)[] =
    side === 'left' || side === 'right' ? [side] : ['left', 'right', null];
  const reserves = (reserveOf?.measures ?? []).map((measure) => ({
    measure,
    reserve: reserveOf?.share ?? 0,
    cap: Infinity,
  }));
  const capped = Object.entries(caps).map(([measure, cap]) => ({
    measure: measure as MeasureId,
    reserve: 0,
    cap,
  }));
  return [...reserves, ...capped].flatMap((cut) => sides.map((each) => ({ ...cut, side: each })));
}

/**
 * Applies every caution of a person to a pose and the house rules. Stop signs are not
 * handled here: they hold back the set-up before anything is adapted.
 *
 * @param person with answers and cautions
 * @param pose the pose's data
 * @param rules house rules, all filled in
 * @returns pose and rules as they are to be used, with what was changed and why
 */
export function adapt(person: Person, pose: PoseDefinition, rules: HouseRules): Adapted {
  let adapted: Adapted = {
    pose,
    rules,
    reserve: 0,
    cuts: [],
    told: [],
    excluded: [],
  };
  for (const entry of person.cautions) {
    const adaptation = ADAPTATIONS.find((each) => each.caution === entry.id);
    if (adaptation === undefined) continue;
    const name = findCautionKind(entry.id)?.name ?? entry.id;
    const { caution, change, reason } = adaptation;
    const stanceShare = (adapted.pose.stanceShare ?? 1) * (adaptation.stanceShare ?? 1);
    const withMusts = { ...addMusts(adapted.pose, adaptation), stanceShare };
    const excludes =
      adaptation.excludes?.includes(pose.id) === true ||
      pose.supports?.some((each) => adaptation.excludesSupports?.includes(each)) === true;
    const swap = saySwap(pose);
    adapted = {
      pose: adaptation.armsBelowHead === true ? lowerArms(withMusts) : withMusts,
      rules: { ...adapted.rules, ...adaptation.rules },
      reserve: Math.max(adapted.reserve, adaptation.reserve ?? 0),
      cuts: [...adapted.cuts, ...findCuts(adaptation, entry.side)],
      told: [...adapted.told, { caution, name, change, reason }],
      excluded: excludes
        ? [
            ...adapted.excluded,
            problem('excluded-by-caution', 'pose', { caution: name, reason, swap }),
          ]
        : adapted.excluded,
    };
  }
  return adapted;
}

/**
 * The first caution of a person that keeps the head above the heart.
 *
 * @param person with answers and cautions
 * @returns null when none does
 */
export function findHeadUpCaution(person: Person): ToldAdaptation | null {
  for (const { id } of person.cautions) {
    const adaptation = ADAPTATIONS.find((each) => each.caution === id);
    if (adaptation?.musts?.some(({ quantity }) => quantity === 'head-above-heart') === true) {
      const { caution, change, reason } = adaptation;
      return { caution, name: findCautionKind(id)?.name ?? id, change, reason };
    }
  }
  return null;
}
