/**
 * A slow, independent search for the deepest pose. It shares nothing with the app but the
 * body's lengths and the pose's data: its own kinematics, its own limits, and blind random
 * steps from many starts instead of slopes.
 *
 * Every candidate closes its legs exactly, so that only inequalities are left: a front leg
 * that bends is stacked and its bend is a free number; a back leg that is straight sets the
 * stance, or with both legs straight the height of the hips.
 */
import type { Body } from '../../src/core/body/body.ts';
import type {
  AngleDefinition,
  ByRule,
  PoseDefinition,
} from '../../src/core/poses/poseDefinition.ts';
import type { Measures } from './people.ts';

export type V = readonly [number, number, number];
export const DEG = Math.PI / 180;
export const add = (a: V, b: V, by = 1): V => [
  a[0] + by * b[0],
  a[1] + by * b[1],
  a[2] + by * b[2],
];
export const dot = (a: V, b: V): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: V, b: V): V => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const unit = (a: V): V => {
  const size = Math.sqrt(dot(a, a)) || 1;
  return [a[0] / size, a[1] / size, a[2] / size];
};
export const asin = (x: number): number => Math.asin(Math.max(-1, Math.min(1, x))) / DEG;

/** Forward, left and up of a frame turned by yaw, then tilt, then list, degrees. */
export function frame(yaw: number, tilt: number, list: number): readonly [V, V, V] {
  const [cy, sy] = [Math.cos(yaw * DEG), Math.sin(yaw * DEG)];
  const [ct, st] = [Math.cos(tilt * DEG), Math.sin(tilt * DEG)];
  const [cl, sl] = [Math.cos(list * DEG), Math.sin(list * DEG)];
  const forward: V = [cy * ct, sy * ct, -st];
  const left0: V = [-sy, cy, 0];
  const up0 = cross(forward, left0);
  return [
    forward,
    add([left0[0] * cl, left0[1] * cl, left0[2] * cl], up0, sl),
    add([up0[0] * cl, up0[1] * cl, up0[2] * cl], left0, -sl),
  ];
}

/** Chest in the pelvis: flexion, then side bend to the left, then rotation to the left. */
export function turnChest(
  [f, l, u]: readonly [V, V, V],
  flexion: number,
  bend: number,
  turn: number,
): readonly [V, V, V] {
  const rotate = (a: V, axis: V, deg: number): V => {
    const [c, s] = [Math.cos(deg * DEG), Math.sin(deg * DEG)];
    const k = dot(a, axis) * (1 - c);
    const w = cross(axis, a);
    return [
      a[0] * c + w[0] * s + axis[0] * k,
      a[1] * c + w[1] * s + axis[1] * k,
      a[2] * c + w[2] * s + axis[2] * k,
    ];
  };
  const all = (axes: readonly [V, V, V], axis: V, deg: number) =>
    axes.map((a) => rotate(a, axis, deg)) as unknown as readonly [V, V, V];
  const folded = all([f, l, u], l, flexion);
  const bent = all(folded, folded[0], -bend);
  return all(bent, bent[2], turn);
}

interface Leg {
  readonly hip: V;
  readonly knee: V;
  readonly ankle: V;
  readonly heel: V;
  readonly toe: V;
  readonly bend: number;
  readonly pointing: V;
  readonly footUp: V;
  readonly footForward: V;
}

/** What one posture gives: the depth, and by how much it breaks its conditions in all. */
export interface Outcome {
  readonly depth: number;
  readonly broken: number;
}

const rule = (value: ByRule | undefined, chosen: string): number | undefined =>
  typeof value === 'object' ? value.options[chosen] : value;

/** House rules as they stand by default, by the rules the six poses mention. */
const CHOSEN: Readonly<Record<string, string>> = {
  backFoot: 'turned-in',
  pelvisOpen: 'as-hips-allow',
  pelvisWarriorOne: 'open',
  pelvisReverseWarrior: 'level',
  frontKnee: 'stacked',
  triangleShape: 'long',
  pyramidStance: 'leg-length',
  twist: 'by-pose',
};
export const own = (value: ByRule | undefined): number | undefined =>
  rule(value, typeof value === 'object' ? (CHOSEN[value.rule] ?? '') : '');

/** A pose's back foot as it is by default. */
const angleOf = (angle: PoseDefinition['backFootYaw']): AngleDefinition =>
  'rule' in angle ? angle.options[CHOSEN[angle.rule] ?? '']! : angle;
/** Where an angle is held, or stands while it is not searched. */
const startOf = (angle: AngleDefinition): ByRule =>
  angle.kind === 'held' ? angle.at : angle.start;

export const MASSES = {
  foot: 0.0145,
  shank: 0.0465,
  thigh: 0.1,
  trunk: 0.497,
  head: 0.081,
  upper: 0.028,
  fore: 0.016,
  hand: 0.006,
};
export const WHOLE =
  MASSES.trunk +
  MASSES.head +
  2 * (MASSES.foot + MASSES.shank + MASSES.thigh + MASSES.upper + MASSES.fore + MASSES.hand);

export interface SlowTask {
  readonly pose: PoseDefinition;
  readonly body: Body;
  /** Ranges used as limits, both sides alike. */
  readonly ranges: Measures;
  /** Metres; null = the back leg sets it. */
  readonly stance: number | null;
  readonly width: (backFootDeg: number) => number;
}

const KNEE = 1 * DEG;
export const SOLE: readonly (readonly [number, number])[] = [
  [0, 0.3],
  [0.1, 0.36],
  [0.72, 0.5],
  [0.92, 0.36],
  [1, 0.12],
];

/** Builds a posture from free numbers and weighs it. null = the legs cannot close. */
function weigh(task: SlowTask, x: readonly number[]): Outcome | null {
  const { pose, body, ranges } = task;
  const [bendOrLean, azimuth, yaw, tilt, list, footOrLift, flexion, bend, turn] = x as unknown as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const range = (id: keyof Measures): number => ranges[id] as number;
  const thigh = body.thigh.right;
  const shank = body.shank.right;
  const straight = Math.sqrt(thigh ** 2 + shank ** 2 + 2 * thigh * shank * Math.cos(KNEE));
  const frontBends = !pose.straightLegs.includes('front');
  const up = pose.backContact === 'ball';
  const frontYaw = own(startOf(pose.frontFootYaw)) ?? 0;
  const back0 = angleOf(pose.backFootYaw);
  const isSearched = back0.kind === 'free' && pose.origin !== 'mid-stance';
  const backYaw = isSearched ? footOrLift : (own(startOf(back0)) ?? 0);
  const lift = up ? footOrLift : 0;
  const pelvis = frame(yaw, tilt, list);
  const half = body.hipCentreDistance / 2;
  const foot = (heel: V, yawDeg: number, liftDeg: number): Omit<Leg, 'hip' | 'knee' | 'bend'> => {
    const pointing: V = [Math.cos(yawDeg * DEG), Math.sin(yawDeg * DEG), 0];
    const forward: V = [
      pointing[0] * Math.cos(liftDeg * DEG),
      pointing[1] * Math.cos(liftDeg * DEG),
      -Math.sin(liftDeg * DEG),
    ];
    const footUp: V = [
      pointing[0] * Math.sin(liftDeg * DEG),
      pointing[1] * Math.sin(liftDeg * DEG),
      Math.cos(liftDeg * DEG),
    ];
    // Lifted about the ball: `heel` is then the ball.
    const from = (share: number): V =>
      liftDeg === 0 && !up
        ? add(heel, pointing, (share - 0.1) * body.footLength)
        : add(heel, forward, (share - 0.72) * body.footLength);
    const flat = liftDeg === 0 && !up;
    return {
      ankle: add(from(0.25), footUp, body.ankleHeight),
      heel: from(0.1),
      toe: flat ? from(1) : add(heel, pointing, 0.28 * body.footLength),
      pointing,
      footForward: forward,
      footUp,
    };
  };
  const front = foot0(body, frontYaw);
  // The front hip: on the bent leg, or on the sphere of the straight one.
  let frontHip: V;
  let frontKnee: V | null = null;
  const widthNow = task.width(backYaw);
  const backAt = (stance: number) => foot([-stance, widthNow, 0], backYaw, lift);
  if (frontBends) {
    frontKnee = add(front.ankle, [0, 0, shank]);
    // Its knee bends in the plane that holds the foot's direction: stacked, that plane is upright.
    const b = bendOrLean * DEG;
    frontHip = add(frontKnee, [-Math.sin(b), 0, Math.cos(b)], thigh);
  } else {
    const back = backAt(task.stance!);
    const hipOn = (lean: number): V =>
      add(
        front.ankle,
        [
          -Math.sin(lean) * Math.cos(azimuth * DEG),
          Math.sin(lean) * Math.sin(azimuth * DEG),
          Math.cos(lean),
        ],
        straight,
      );
    const short = (lean: number): number => {
      const hip = add(hipOn(lean), pelvis[1], 2 * half);
      const d = add(back.ankle, hip, -1);
      return Math.sqrt(dot(d, d)) - straight;
    };
    let [low, high] = [-0.2, 1.3];
    if (short(low) * short(high) > 0) return null;
    for (let i = 0; i < 40; i += 1) {
      const middle = (low + high) / 2;
      if (short(low) * short(middle) <= 0) high = middle;
      else low = middle;
    }
    frontHip = hipOn((low + high) / 2);
  }
  const backHip = add(frontHip, pelvis[1], 2 * half);
  let stance: number;
  if (task.stance === null) {
    const at0 = backAt(0);
    const dy = backHip[1] - at0.ankle[1];
    const dz = backHip[2] - at0.ankle[2];
    const rest = straight ** 2 - dy ** 2 - dz ** 2;
    if (rest <= 0) return null;
    stance = at0.ankle[0] - (backHip[0] - Math.sqrt(rest));
  } else stance = task.stance;
  const back = backAt(stance);

  let broken = 0;
  const atMost = (value: number, most: number): void => {
    broken += Math.max(0, value - most);
  };
  const leg = (hip: V, end: Omit<Leg, 'hip' | 'knee' | 'bend'>, knee: V | null): Leg => {
    if (knee !== null) return { ...end, hip, knee, bend: bendOrLean };
    const down = unit(add(end.ankle, hip, -1));
    const outward = unit(add(end.pointing, down, -dot(end.pointing, down)));
    const along = (thigh ** 2 - shank ** 2 + straight ** 2) / (2 * straight);
    return {
      ...end,
      hip,
      bend: KNEE / DEG,
      knee: add(add(hip, down, along), outward, Math.sqrt(Math.max(0, thigh ** 2 - along ** 2))),
    };
  };
  const legs = [leg(frontHip, front, frontKnee), leg(backHip, back, null)] as const;
  legs.forEach((each, i) => {
    const lateral: V = i === 0 ? [-pelvis[1][0], -pelvis[1][1], -pelvis[1][2]] : pelvis[1];
    const t = unit(add(each.knee, each.hip, -1));
    const s = unit(add(each.ankle, each.knee, -1));
    const flex = Math.atan2(dot(t, pelvis[0]), -dot(t, pelvis[2])) / DEG;
    const abduct = asin(dot(t, lateral));
    const kneeTo = unit(add(each.pointing, t, -dot(each.pointing, t)));
    const floating: V = add(
      [
        pelvis[0][0] * Math.cos(flex * DEG),
        pelvis[0][1] * Math.cos(flex * DEG),
        pelvis[0][2] * Math.cos(flex * DEG),
      ],
      pelvis[2],
      Math.sin(flex * DEG),
    );
    const side = unit(add(lateral, t, -dot(lateral, t)));
    const rotation = Math.atan2(dot(kneeTo, side), dot(kneeTo, floating)) / DEG;
    const mix = (from: number, to: number, share: number): number =>
      from + (to - from) * Math.max(0, Math.min(1, share));
    const k = each.bend;
    atMost(flex, mix(range('straight-leg-raise'), range('hip-flexion'), k / 90));
    atMost(-flex, mix(range('hip-extension'), range('hip-extension-bent-knee'), k / 90));
    atMost(abduct, mix(range('hip-abduction'), range('hip-opening'), flex / 60));
    atMost(-abduct, 20);
    atMost(rotation, range('hip-external-rotation'));
    atMost(-rotation, range('hip-internal-rotation'));
    const shin: V = [-s[0], -s[1], -s[2]];
    const ankle = Math.atan2(dot(shin, each.footForward), dot(shin, each.footUp)) / DEG;
    atMost(
      ankle,
      mix(range('ankle-dorsiflexion-straight'), range('ankle-dorsiflexion-bent'), (k - 20) / 20),
    );
  });
  atMost(flexion, 10);
  atMost(-flexion, range('trunk-extension'));
  atMost(Math.abs(bend), 25);
  atMost(Math.abs(turn), range('trunk-rotation'));

  const chest = turnChest(pelvis, flexion, bend, turn);
  const pelvisCentre = add(frontHip, pelvis[1], half);
  const chestCentre = add(pelvisCentre, chest[2], body.trunk);
  const inside = weightInside(body, pose, legs, pelvisCentre, chestCentre, chest, up);
  const upright: V = [
    -(pelvis[1][2] * pelvis[1][0]),
    -(pelvis[1][2] * pelvis[1][1]),
    pelvis[1][0] ** 2 + pelvis[1][1] ** 2,
  ];
  const normal: V = [pelvis[1][1], -pelvis[1][0], 0];
  const across = Math.hypot(pelvis[1][0], pelvis[1][1]) || 1;
  const values: Readonly<Record<string, number>> = {
    'front-knee-bend': legs[0].bend,
    'back-foot-angle': backYaw,
    'back-heel-lift': lift,
    'pelvis-turn': Math.atan2(-pelvis[1][0], pelvis[1][1]) / DEG,
    'pelvis-tilt': Math.atan2(dot(pelvis[2], normal), dot(pelvis[2], upright) / across) / DEG,
    'pelvis-level': asin(pelvis[1][2]),
    'trunk-lean': Math.acos(Math.max(-1, Math.min(1, chest[2][2]))) / DEG,
    'trunk-lean-along': asin(chest[2][0]),
    'trunk-lean-across': asin(chest[2][1]),
    'chest-turn': Math.atan2(chest[0][1], chest[0][0]) / DEG,
    'chest-forward-along': asin(chest[0][0]),
    'chest-forward-up': asin(chest[0][2]),
    'spine-flexion': flexion,
    'spine-side-bend': bend,
    'spine-rotation': turn,
    'front-knee-beside-ankle': 0,
    'front-knee-ahead-of-ankle': 0,
    'weight-inside-base': inside * 100,
    'hips-ahead-of-heel-line': pelvisCentre[1] * 100,
  };
  for (const must of pose.musts) {
    const value = values[must.quantity];
    if (value === undefined) throw new Error(`The slow search does not know ${must.quantity}`);
    const [low, high] = [own(must.atLeast), own(must.atMost)];
    if (low !== undefined) atMost(low, value);
    if (high !== undefined) atMost(value, high);
  }
  if (back0.kind === 'free') {
    atMost(back0.from, backYaw);
    atMost(backYaw, back0.to);
  }
  if (pose.backHeelLift !== null) {
    atMost(pose.backHeelLift.from, lift);
    atMost(lift, pose.backHeelLift.to);
    atMost(lift, 60);
  }
  for (const wish of pose.wishes) {
    const value = values[wish.quantity];
    if (value === undefined) throw new Error(`The slow search does not know ${wish.quantity}`);
    const off = Math.abs(value - own(wish.goal)!);
    atMost(off, 2 * own(wish.sigma)!);
  }
  const depth = values[pose.depth!.quantity]!;
  return { depth: Math.min(depth, pose.depth!.textbook), broken };
}

function foot0(body: Body, yawDeg: number): Omit<Leg, 'hip' | 'knee' | 'bend'> {
  const pointing: V = [Math.cos(yawDeg * DEG), Math.sin(yawDeg * DEG), 0];
  const from = (share: number): V => [
    pointing[0] * (share - 0.1) * body.footLength,
    pointing[1] * (share - 0.1) * body.footLength,
    0,
  ];
  return {
    ankle: add(from(0.25), [0, 0, body.ankleHeight]),
    heel: from(0.1),
    toe: from(1),
    pointing,
    footForward: pointing,
    footUp: [0, 0, 1],
  };
}

/** Weight point inside the base, metres. */
function weightInside(
  body: Body,
  pose: PoseDefinition,
  legs: readonly [Leg, Leg],
  pelvis: V,
  chest: V,
  [, left, up]: readonly [V, V, V],
  backIsUp: boolean,
): number {
  let sum: V = [0, 0, 0];
  const put = (mass: number, from: V, to: V, share: number): void => {
    sum = add(sum, add(from, add(to, from, -1), share), mass / WHOLE);
  };
  put(MASSES.trunk, pelvis, chest, 0.5);
  put(MASSES.head, add(chest, up, 0.118 * body.stature), chest, 0);
  legs.forEach((leg, i) => {
    put(MASSES.thigh, leg.hip, leg.knee, 0.433);
    put(MASSES.shank, leg.knee, leg.ankle, 0.433);
    put(MASSES.foot, leg.heel, leg.toe, 0.5);
    const side = i === 0 ? -1 : 1;
    const shoulder = add(chest, left, (side * body.shoulderWidth) / 2);
    const { reach } = pose.arms[i === 0 ? 'front' : 'back'];
    const arm = body.armReach.right;
    let to: V = reach === 'up' ? add(shoulder, up, arm) : add(shoulder, left, side * arm);
    if (reach === 'down') to = [shoulder[0], shoulder[1], Math.max(0, shoulder[2] - arm)];
    const at = (share: number): V => add(shoulder, add(to, shoulder, -1), share);
    const [elbow, wrist] = [0.186 / 0.386, 0.332 / 0.386];
    put(MASSES.upper, at(0), at(elbow), 0.436);
    put(MASSES.fore, at(elbow), at(wrist), 0.43);
    put(MASSES.hand, at(wrist), at(1), 0.506);
  });
  const corners: [number, number][] = [];
  legs.forEach((leg, i) => {
    for (const [share, halfWidth] of SOLE) {
      if (i === 1 && backIsUp && share < 0.72) continue;
      for (const side of [-1, 1]) {
        const ahead = (share - 1) * body.footLength;
        const w = side * halfWidth * body.footWidth;
        corners.push([
          leg.toe[0] + leg.pointing[0] * ahead - leg.pointing[1] * w,
          leg.toe[1] + leg.pointing[1] * ahead + leg.pointing[0] * w,
        ]);
      }
    }
  });
  return insideHull(corners, [sum[0], sum[1]]);
}

type Flat = readonly [number, number];
const side = (a: Flat, b: Flat, p: Flat): number =>
  (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);

/** Least distance of a point inside the hull of some corners: wrapped like a gift, from the rearmost on. */
export function insideHull(corners: readonly Flat[], point: Flat): number {
  const first = corners.reduce((a, b) => (b[0] < a[0] || (b[0] === a[0] && b[1] < a[1]) ? b : a));
  let least = Infinity;
  let at = first;
  for (let edge = 0; edge < corners.length; edge += 1) {
    // The next corner is the one that leaves every other on its left.
    let next: Flat | null = null;
    for (const corner of corners) {
      if (corner === at) continue;
      if (next === null || side(at, next, corner) < 0) next = corner;
    }
    least = Math.min(
      least,
      side(at, next!, point) / Math.hypot(next![0] - at[0], next![1] - at[1]),
    );
    at = next!;
    if (at === first) break;
  }
  return least;
}

/** Where random starts lie, degrees; the pelvis begins up to 60° off what the pose wishes. */
function findStarts({ pose }: SlowTask): readonly (readonly [number, number])[] {
  const wished = own(pose.wishes.find((wish) => wish.quantity === 'pelvis-turn')?.goal) ?? 0;
  return [
    [10, 80],
    [-25, 25],
    // A pelvis that should face the long edge stays short of it, one that should face the front opens.
    wished > 45 ? [wished - 60, wished + 5] : [wished - 10, wished + 55],
    [-10, pose.depth!.textbook === 110 ? 90 : 50],
    [-8, 30],
    [30, 90],
    [-20, 10],
    [-10, 10],
    [-35, 45],
  ];
}
const RESTARTS = 6;
const STEPS = 1600;
const PRICE = 25;

/**
 * The deepest it stumbles on: random starts, random steps that widen when they help and
 * narrow when they do not (the one-fifth rule).
 *
 * @returns degrees; null when nothing it tried kept every condition
 */
export function climb(
  weighAt: (x: readonly number[]) => Outcome | null,
  starts: readonly (readonly [number, number])[],
  random: () => number,
  steps = STEPS,
): number | null {
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const price = (outcome: Outcome | null): number =>
    outcome === null ? -1e9 : outcome.depth - PRICE * outcome.broken;
  let best: number | null = null;
  for (let restart = 0; restart < RESTARTS; restart += 1) {
    let at = starts.map(([low, high]) => low + (high - low) * random());
    let outcome = weighAt(at);
    let size = 6;
    for (let step = 0; step < steps; step += 1) {
      const few = random() < 0.5;
      const next = at.map((value) => (few && random() < 0.6 ? value : value + size * normal()));
      const tried = weighAt(next);
      if (price(tried) > price(outcome)) {
        at = next;
        outcome = tried;
        size = Math.min(12, size * 1.5);
      } else size = Math.max(0.01, size * 0.94);
      if (size <= 0.011) size = 2;
    }
    if (outcome !== null && outcome.broken < 0.05 && outcome.depth > (best ?? -Infinity))
      best = outcome.depth;
  }
  return best;
}

/** The deepest depth of a pose on two feet; see {@link climb}. */
export const searchSlowly = (task: SlowTask, random: () => number): number | null =>
  climb((x) => weigh(task, x), findStarts(task), random);
