import { PlanningContext } from '../../src/core/planning/planningContext.ts';
import type { MeasureId } from '../../src/core/measures/protocols/index.ts';
import type { PersonRecord } from '../../src/core/person/person.ts';
import { FITTING_LEVEL } from '../../src/core/poses/level.ts';
import { getValue } from '../../src/core/setup/setUp.ts';
import { planSetUp } from '../../src/core/setup/planSetUp.ts';
import type { StudyBody } from './bodies.ts';

const SWEPT: readonly MeasureId[] = [
  'hip-abduction',
  'hip-external-rotation',
  'hip-extension',
  'hip-flexion',
  'leg-length',
];
const POSES = [
  'warrior-two',
  'warrior-one',
  'triangle',
  'pyramid',
  'high-lunge',
  'side-angle',
  'revolved-triangle',
  'tree',
] as const;

/** Degrees or centimetres, to either side of what the body has. */
const STEP = 0.5;
const STEPS_EACH_WAY = 10;
/** A number that moves by more than this within one step jumps. */
const MOST_CM = 2;
const MOST_DEG = 3;
/** More range may cost this much depth, degrees: the least that is told. */
const MOST_DEPTH_LOST = 0.5;

/** One measure of one body moved step by step, both sides alike, in one pose. */
export interface Sweep {
  readonly body: number;
  readonly pose: string;
  readonly measure: MeasureId;
  /** Numbers that jump between two neighbours of one level. */
  readonly jumps: readonly string[];
  /** Where more range costs depth at the same level, degrees at most. */
  readonly depthLost: number;
}

interface Point {
  readonly by: number;
  readonly level: string | null;
  readonly depth: number | null;
  readonly stance: number | null;
  readonly hand: number | null;
  readonly backFoot: number | null;
}

function moveMeasure(record: PersonRecord, measure: MeasureId, by: number): PersonRecord {
  const readings = record.readings.map((each) =>
    each.measure === measure ? { ...each, value: each.value + by } : each,
  );
  return { ...record, readings };
}

function solvePoint(
  { record }: StudyBody,
  pose: string,
  measure: MeasureId,
  by: number,
): Point | null {
  const held = [{ pose, level: 'not chosen' }];
  const moved = { ...moveMeasure(record, measure, by), held };
  const planned = planSetUp(new PlanningContext(moved), pose, 'right', {}, FITTING_LEVEL);
  if (!planned.ok || planned.value.status === 'failed') return null;
  const { value: setUp } = planned;
  return {
    by,
    level: setUp.level,
    depth: setUp.depth?.value ?? null,
    stance: getValue(setUp, 'stance-length'),
    hand: getValue(setUp, 'hand-height'),
    backFoot: getValue(setUp, 'back-foot-angle'),
  };
}

function listJumps(before: Point, after: Point): readonly string[] {
  const compare = (name: 'depth' | 'stance' | 'hand' | 'backFoot', most: number): string[] => {
    const [from, to] = [before[name], after[name]];
    if (from === null || to === null || Math.abs(to - from) <= most) return [];
    return [`${name} ${from.toFixed(1)} → ${to.toFixed(1)} at ${after.by.toFixed(1)}`];
  };
  return [
    ...compare('depth', MOST_DEG),
    ...compare('backFoot', MOST_DEG),
    ...compare('stance', MOST_CM),
    ...compare('hand', MOST_CM),
  ];
}

function sweep(body: StudyBody, index: number, pose: string, measure: MeasureId): Sweep {
  const points = Array.from({ length: 2 * STEPS_EACH_WAY + 1 }, (_, i) =>
    solvePoint(body, pose, measure, (i - STEPS_EACH_WAY) * STEP),
  );
  const pairs = points.slice(1).flatMap((after, i) => {
    const before = points[i];
    const isAlike = before != null && after !== null && before.level === after.level;
    return isAlike ? [{ before, after }] : [];
  });
  const lost = pairs.map(({ before, after }) => (before.depth ?? 0) - (after.depth ?? 0));
  return {
    body: index,
    pose,
    measure,
    jumps: pairs.flatMap(({ before, after }) => listJumps(before, after)),
    depthLost: measure === 'leg-length' ? 0 : Math.max(0, ...lost),
  };
}

/** Every pose and measure of one body. */
export const sweepBody = (body: StudyBody, index: number): readonly Sweep[] =>
  POSES.flatMap((pose) => SWEPT.map((measure) => sweep(body, index, pose, measure)));

export function printSweeps(sweeps: readonly Sweep[]): void {
  const jumping = sweeps.filter(({ jumps }) => jumps.length > 0);
  const losing = sweeps.filter(({ depthLost }) => depthLost > MOST_DEPTH_LOST);
  const percent = (count: number): string => ((100 * count) / sweeps.length).toFixed(1);
  console.log(
    `${String(jumping.length)} of ${String(sweeps.length)} sweeps hold a jump (${percent(jumping.length)} %):`,
  );
  for (const { body, pose, measure, jumps } of jumping) {
    console.log(`- body ${String(body)}, ${pose}, ${measure}: ${jumps.join('; ')}`);
  }
  console.log(
    `More range costs over ${String(MOST_DEPTH_LOST)}° of depth in ${String(losing.length)} (${percent(losing.length)} %):`,
  );
  for (const { body, pose, measure, depthLost } of losing) {
    console.log(`- body ${String(body)}, ${pose}, ${measure}: ${depthLost.toFixed(1)}°`);
  }
}
