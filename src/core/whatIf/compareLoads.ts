import { findPose } from '../poses/catalogue/index.ts';
import { withLevel } from '../poses/level.ts';
import { PLACES, restsOnProp, type PoseDefinition } from '../poses/poseDefinition.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { problem, type Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { SetUp } from '../setup/setUp.ts';
import { findOpenRules } from './compareSchools.ts';
import { changesLoads } from './loadChanges.ts';
import { holdByHand, planByHand, type HeldRequest } from './planMoved.ts';

/** A version of a pose that loads the joints otherwise. */
export interface LoadVersion {
  readonly id: string;
  /** As a teacher calls it: “Front knee past the ankle”. */
  readonly name: string;
  /** How it is asked for. */
  readonly asked: HeldRequest;
  readonly setUp: SetUp;
}

/** A set-up and the versions of it that load the joints otherwise. */
export interface LoadVersions {
  readonly now: SetUp;
  readonly versions: readonly LoadVersion[];
}

/** House rules that move weight between knees and hips, each option by the name of its shape. */
const RULES = {
  frontKnee: { stacked: 'Front knee over the ankle', 'may-pass': 'Front knee past the ankle' },
  chairStyle: {
    'equal-arms': 'Knees and hips share it',
    'knees-forward': 'Knees forward',
    'hips-back': 'Hips back',
  },
} as const satisfies {
  readonly [Rule in 'frontKnee' | 'chairStyle']: Readonly<Record<HouseRules[Rule], string>>;
};

interface Variant {
  readonly id: string;
  readonly name: string;
  readonly asked: HeldRequest;
}

/** The other schools of knee and chair. */
function listSchools(pose: PoseDefinition, now: SetUp, asked: HeldRequest): readonly Variant[] {
  const open = findOpenRules(pose);
  return (['frontKnee', 'chairStyle'] as const).flatMap((rule) => {
    const isOpen = open.has(rule);
    const others = Object.entries(RULES[rule]).filter(
      ([option]) => isOpen && option !== now.provenance.rules[rule],
    );
    return others.map(([id, name]) => ({
      id,
      name,
      asked: { ...asked, rules: { ...asked.rules, [rule]: id } },
    }));
  });
}

const restsHands = ({ arms }: PoseDefinition): boolean =>
  PLACES.some((place) => restsOnProp(arms[place]));

/** The first level with the hands on a prop where they are free, and with free hands where they are not. */
function listHands(usual: PoseDefinition, now: SetUp, asked: HeldRequest): readonly Variant[] {
  const pose = withLevel(usual, now.level);
  const other = usual.levels.find((level) => {
    const changed = withLevel(usual, level.id);
    return (
      restsHands(changed) !== restsHands(pose) &&
      changed.backContact === pose.backContact &&
      !(changed.supports ?? []).some((each) => each.startsWith('wall'))
    );
  });
  return other === undefined
    ? []
    : [{ id: other.id, name: other.name, asked: { ...asked, level: other.id } }];
}

/**
 * Versions of a pose that load knees, hips and back otherwise, at the depth of the set-up where
 * they can be held there: the knee over the ankle or past it, the styles of the chair, the hands
 * on a prop or in the air.
 *
 * @param context the person, see {@link PlanningContext}
 * @param asked the set-up as it is now
 * @returns `unknown-pose` for one that is not a standing pose, or why it is not planned
 */
export function compareLoads(context: PlanningContext, asked: HeldRequest): Result<LoadVersions> {
  const usual = findPose(asked.pose);
  if (usual === null) {
    return {
      ok: false,
      problems: [problem('unknown-pose', 'pose', { text: asked.pose, known: [] })],
    };
  }
  const planned = planByHand(context, asked);
  if (!planned.ok) return planned;
  const now = planned.value.plan.setUp;
  const pose = withLevel(usual, now.level);
  const variants = [...listSchools(pose, now, asked), ...listHands(usual, now, asked)];
  const versions = variants.flatMap(({ id, name, asked: other }): readonly LoadVersion[] => {
    const found = planByHand(context, other);
    if (!found.ok) return [];
    const sameDepth = { ...other, held: { ...other.held, depth: now.depth?.value ?? null } };
    const moved = holdByHand(found.value.recommended, sameDepth.held);
    const isHeld = moved !== null && moved.gives === null;
    return [
      isHeld
        ? { id, name, asked: sameDepth, setUp: moved.plan.setUp }
        : { id, name, asked: other, setUp: found.value.plan.setUp },
    ];
  });
  const differing = versions.filter(({ setUp }) => changesLoads(now, setUp));
  return { ok: true, value: { now, versions: differing } };
}
