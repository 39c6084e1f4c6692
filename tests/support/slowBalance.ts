/**
 * The slow search on one leg: the same blind random steps on the tree, whose other sole rests
 * on the standing leg, and on poses whose other leg is lifted. It shares nothing with the app
 * but the body's lengths and the pose's data.
 */
import type { Body } from '../../src/core/body/body.ts';
import type { PoseDefinition } from '../../src/core/poses/poseDefinition.ts';
import type { Measures } from './people.ts';
import {
  add,
  asin,
  climb,
  DEG,
  dot,
  frame,
  insideHull,
  MASSES,
  own,
  SOLE,
  turnChest,
  unit,
  WHOLE,
  type Outcome,
  type V,
} from './slowSearch.ts';

export interface SlowBalance {
  readonly pose: PoseDefinition;
  readonly body: Body;
  readonly ranges: Measures;
  /** A first depth that is held, degrees; null = the pose has only one. */
  readonly held: number | null;
}

const KNEE = 1 * DEG;
/** Knee flexion that stands in for what is not measured, and what a bent hip adds. */
const KNEE_FLEXION = 130;
const MORE_WITH_BENT_HIP = 9;
const length = (a: V): number => Math.sqrt(dot(a, a));
const reject = (a: V, from: V): V => unit(add(a, from, -dot(a, from)));
const mix = (from: number, to: number, share: number): number =>
  from + (to - from) * Math.max(0, Math.min(1, share));

/** The place at the end of two links whose bend lies in the plane of `toward`. */
function findJoint(start: V, end: V, upper: number, lower: number, toward: V): V | null {
  const span = length(add(end, start, -1));
  if (span > upper + lower || span < Math.abs(upper - lower)) return null;
  const down = unit(add(end, start, -1));
  const along = (upper ** 2 - lower ** 2 + span ** 2) / (2 * span);
  const out = Math.sqrt(Math.max(0, upper ** 2 - along ** 2));
  return add(add(start, down, along), reject(toward, down), out);
}

function weighBalance(
  { pose, body, ranges, held }: SlowBalance,
  x: readonly number[],
): Outcome | null {
  const [along, across, yaw, tilt, list, flexion, bend, turn, p, q, r] = x as unknown as [
    ...[number, number, number, number, number, number],
    ...[number, number, number, number, number],
  ];
  const range = (id: keyof Measures): number => ranges[id] as number;
  const isTree = pose.backContact === 'on-front-leg';
  let broken = 0;
  const atMost = (value: number, most: number): void => {
    broken += Math.max(0, value - most);
  };
  const { right: thigh } = body.thigh;
  const { right: shank } = body.shank;
  const straight = Math.sqrt(thigh ** 2 + shank ** 2 + 2 * thigh * shank * Math.cos(KNEE));
  const ahead = (share: number): number => (share - 0.1) * body.footLength;
  const ankle: V = [ahead(0.25), 0, body.ankleHeight];
  const legUp: V = [
    Math.sin(along * DEG),
    Math.sin(across * DEG),
    Math.sqrt(Math.max(0, 1 - Math.sin(along * DEG) ** 2 - Math.sin(across * DEG) ** 2)),
  ];
  const frontHip = add(ankle, legUp, straight);
  // Tipped by a right angle, yaw and list are one: then it is tipped first and turned about its own length.
  const pelvis = isTree ? frame(yaw, tilt, list) : turnChest(frame(0, 0, 0), tilt, list, yaw);
  const half = body.hipCentreDistance / 2;
  const pelvisCentre = add(frontHip, pelvis[1], half);
  const backHip = add(pelvisCentre, pelvis[1], half);
  const frontKnee = findJoint(frontHip, ankle, thigh, shank, [1, 0, 0]);
  if (frontKnee === null) return null;

  let backKnee: V;
  let backAnkle: V;
  let backFoot: readonly [V, V];
  let facing: V;
  if (isTree) {
    // Its sole on the inside of the shin, toes down.
    const sole = q / 100;
    const rise = (sole - ankle[2]) / (frontKnee[2] - ankle[2]);
    const beside = add(ankle, add(frontKnee, ankle, -1), rise);
    backAnkle = [beside[0], beside[1] + 0.05 + body.ankleHeight, sole];
    facing = [Math.cos(p * DEG), Math.sin(p * DEG), 0];
    const knee = findJoint(backHip, backAnkle, thigh, shank, facing);
    if (knee === null) return null;
    backKnee = knee;
    const lowest = 0.75 * body.footLength;
    atMost(lowest - sole, 0);
    atMost(100 * (sole - (body.ankleHeight + shank - 0.04 - 0.25 * body.footLength)), 0);
    backFoot = [
      [backAnkle[0], backAnkle[1], backAnkle[2] + 0.15 * body.footLength],
      [backAnkle[0], backAnkle[1], backAnkle[2] - 0.75 * body.footLength],
    ];
  } else {
    const [cf, sf, ca, sa] = [
      Math.cos(p * DEG),
      Math.sin(p * DEG),
      Math.cos(q * DEG),
      Math.sin(q * DEG),
    ];
    const inPelvis = (forward: number, left: number, up: number): V =>
      add(add([0, 0, 0], pelvis[0], forward), add(add([0, 0, 0], pelvis[1], left), pelvis[2], up));
    const down = inPelvis(ca * sf, sa, -ca * cf);
    const floating = inPelvis(cf, 0, sf);
    const lateral = inPelvis(-sa * sf, ca, sa * cf);
    facing = add(add([0, 0, 0], floating, Math.cos(r * DEG)), lateral, Math.sin(r * DEG));
    backKnee = add(backHip, down, thigh);
    const shankDown = add(add([0, 0, 0], down, Math.cos(KNEE)), facing, -Math.sin(KNEE));
    backAnkle = add(backKnee, shankDown, shank);
    const toes = unit(reject(facing, shankDown));
    const under = add(backAnkle, shankDown, body.ankleHeight);
    backFoot = [
      add(under, toes, -0.15 * body.footLength),
      add(under, toes, 0.75 * body.footLength),
    ];
  }

  const judge = (hip: V, knee: V, foot: V, toward: V, side: 1 | -1, bears: boolean): void => {
    const lateral: V = [side * pelvis[1][0], side * pelvis[1][1], side * pelvis[1][2]];
    const t = unit(add(knee, hip, -1));
    const s = unit(add(foot, knee, -1));
    const k = Math.acos(Math.max(-1, Math.min(1, dot(t, s)))) / DEG;
    const flex = Math.atan2(dot(t, pelvis[0]), -dot(t, pelvis[2])) / DEG;
    const abduct = asin(dot(t, lateral));
    const floating = add(
      add([0, 0, 0], pelvis[0], Math.cos(flex * DEG)),
      pelvis[2],
      Math.sin(flex * DEG),
    );
    const kneeTo = reject(toward, t);
    const rotation = Math.atan2(dot(kneeTo, reject(lateral, t)), dot(kneeTo, floating)) / DEG;
    atMost(flex, mix(range('straight-leg-raise'), range('hip-flexion'), k / 90));
    const extension = mix(range('hip-extension'), range('hip-extension-bent-knee'), k / 90);
    atMost(-flex, k <= 90 ? extension : mix(extension, 0, (k - 90) / (KNEE_FLEXION - 90)));
    atMost(abduct, mix(range('hip-abduction'), range('hip-opening'), flex / 60));
    atMost(-abduct, 20);
    atMost(rotation, range('hip-external-rotation'));
    atMost(-rotation, range('hip-internal-rotation'));
    atMost(k, KNEE_FLEXION + mix(0, MORE_WITH_BENT_HIP, flex / 45));
    if (!bears) return;
    const shin: V = [-s[0], -s[1], -s[2]];
    atMost(Math.atan2(shin[0], shin[2]) / DEG, range('ankle-dorsiflexion-straight'));
  };
  judge(frontHip, frontKnee, ankle, [1, 0, 0], -1, true);
  judge(backHip, backKnee, backAnkle, facing, 1, false);
  atMost(flexion, 10);
  atMost(-flexion, range('trunk-extension'));
  atMost(Math.abs(bend), 25);
  atMost(Math.abs(turn), (pose.trunkShares?.rotation ?? 1) * range('trunk-rotation'));

  const chest = turnChest(pelvis, flexion, bend, turn);
  const chestCentre = add(pelvisCentre, chest[2], body.trunk);
  const palms: V[] = [];
  let sum: V = [0, 0, 0];
  const put = (mass: number, from: V, to: V, share: number): void => {
    sum = add(sum, add(from, add(to, from, -1), share), mass / WHOLE);
  };
  put(MASSES.trunk, pelvisCentre, chestCentre, 0.5);
  put(MASSES.head, add(chestCentre, chest[2], 0.118 * body.stature), chestCentre, 0);
  const frontFoot: readonly [V, V] = [
    [0, 0, 0],
    [ahead(1), 0, 0],
  ];
  for (const [hip, knee, end, foot] of [
    [frontHip, frontKnee, ankle, frontFoot],
    [backHip, backKnee, backAnkle, backFoot],
  ] as const) {
    put(MASSES.thigh, hip, knee, 0.433);
    put(MASSES.shank, knee, end, 0.433);
    put(MASSES.foot, foot[0], foot[1], 0.5);
  }
  const reach = body.armReach.right;
  const [elbowAt, wristAt] = [0.186 / 0.386, 0.332 / 0.386];
  for (const place of ['front', 'back'] as const) {
    const side = place === 'front' ? -1 : 1;
    const shoulder = add(chestCentre, chest[1], (side * body.shoulderWidth) / 2);
    const { reach: way } = pose.arms[place];
    let palm = add(shoulder, chest[1], side * reach);
    if (way === 'down') palm = [shoulder[0], shoulder[1], Math.max(0, shoulder[2] - reach)];
    if (way === 'folded') {
      palm = add(add(chestCentre, chest[0], 0.25 * reach), chest[2], -0.15 * reach);
    }
    palms.push(palm);
    const span = length(add(palm, shoulder, -1));
    const wrist = add(palm, add(shoulder, palm, -1), ((1 - wristAt) * reach) / span);
    const outward = add([0, 0, 0], chest[1], side);
    const elbow =
      findJoint(shoulder, wrist, elbowAt * reach, (wristAt - elbowAt) * reach, outward) ??
      add(shoulder, add(wrist, shoulder, -1), elbowAt / wristAt);
    put(MASSES.upper, shoulder, elbow, 0.436);
    put(MASSES.fore, elbow, wrist, 0.43);
    put(MASSES.hand, wrist, palm, 0.506);
  }
  const base = SOLE.flatMap(([share, width]): [number, number][] =>
    [-1, 1].map((side) => [ahead(share), side * width * body.footWidth]),
  );
  for (const [i, place] of (['front', 'back'] as const).entries()) {
    if (pose.arms[place].bears !== true) continue;
    const [px, py] = palms[i]!;
    for (const dx of [-0.04, 0.04]) for (const dy of [-0.04, 0.04]) base.push([px + dx, py + dy]);
  }

  const up = unit(add(backHip, backAnkle, -1));
  const roll = ([f, l]: readonly [V, V, V]): number => Math.atan2(l[2], -f[2]) / DEG;
  const ball = ahead(0.72);
  const handAhead = Math.max(palms[0]![0], palms[1]![0]);
  const values: Readonly<Record<string, number>> = {
    'back-knee-out': p,
    'sole-height': q,
    'back-leg-lift': Math.acos(Math.max(-1, Math.min(1, up[2]))) / DEG,
    'back-leg-across': asin(up[1]),
    'front-leg-lean-along': along,
    'front-leg-lean-across': across,
    'trunk-from-back-leg': asin(up[2]) - asin(chest[2][2]),
    'pelvis-turn': Math.atan2(-pelvis[1][0], pelvis[1][1]) / DEG,
    'pelvis-tilt': Math.atan2(-pelvis[0][2], pelvis[2][2]) / DEG,
    'pelvis-level': asin(pelvis[1][2]),
    'pelvis-stacking': roll(pelvis),
    'chest-turned-to-front-leg': -roll(chest),
    'chest-turn': Math.atan2(chest[0][1], chest[0][0]) / DEG,
    'trunk-lean-along': asin(chest[2][0]),
    'trunk-lean-across': asin(chest[2][1]),
    'spine-flexion': flexion,
    'spine-side-bend': bend,
    'hips-beside-front-foot': 100 * (frontHip[1] - ankle[1]),
    'hand-load': (100 * (sum[0] - ball)) / Math.max(0.05, handAhead - ball),
    'weight-inside-base': 100 * insideHull(base, [sum[0], sum[1]]),
  };
  const valueOf = (quantity: string): number => {
    const value = values[quantity];
    if (value === undefined) throw new Error(`The slow search does not know ${quantity}`);
    return value;
  };
  for (const must of pose.musts) {
    const [low, high] = [own(must.atLeast), own(must.atMost)];
    if (low !== undefined) atMost(low, valueOf(must.quantity));
    if (high !== undefined) atMost(valueOf(must.quantity), high);
  }
  for (const wish of pose.wishes) {
    atMost(Math.abs(valueOf(wish.quantity) - own(wish.goal)!), 2 * own(wish.sigma)!);
  }
  if (held !== null) atMost(Math.abs(valueOf(pose.firstDepth!.quantity) - held), 0.1);
  const { quantity, textbook } = pose.depth!;
  return { depth: Math.min(valueOf(quantity), textbook), broken };
}

/** Where random starts lie: leg, pelvis, spine, then the other leg. */
function findStarts({ pose, held }: SlowBalance): readonly (readonly [number, number])[] {
  if (pose.backContact === 'on-front-leg') {
    return [
      ...([
        [-3, 3],
        [-6, 6],
        [-3, 3],
        [-10, 15],
        [-5, 5],
      ] as const),
      ...([
        [-10, 5],
        [-8, 8],
        [-5, 5],
        [20, 60],
        [22, 34],
        [0, 0],
      ] as const),
    ];
  }
  const lift = held ?? 45;
  return [
    ...([
      [-5, 5],
      [-5, 5],
      [-10, 10],
      [lift - 15, lift + 10],
      [-15, 10],
    ] as const),
    ...([
      [-10, 8],
      [-8, 8],
      [-35, -5],
      [-10, 15],
      [-8, 8],
      [-10, 10],
    ] as const),
  ];
}

/** Conditions that hold a trunk and a leg in one line leave a blind step little room. */
const STEPS = 4000;

/** The deepest it stumbles on, degrees; null when nothing it tried kept every condition. */
export const searchBalanceSlowly = (task: SlowBalance, random: () => number): number | null =>
  climb((x) => weighBalance(task, x), findStarts(task), random, STEPS);
