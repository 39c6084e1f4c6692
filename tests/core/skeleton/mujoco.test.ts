/**
 * The skeleton against an independent library: MuJoCo (its WebAssembly build), with a body
 * built from the same lengths and masses, its hinges driven by the angles we report, in
 * the declared order: flexion, then ab/adduction, then rotation.
 */
import loadMujoco from 'mujoco-js';
import { beforeAll, describe, expect, it } from 'vitest';
import { CENTRE_FROM_PROXIMAL, MASS_SHARE } from '../../../src/core/body/masses.ts';
import { fromYawTiltList, type Rotation } from '../../../src/core/geometry/rotation.ts';
import type { Vec3 } from '../../../src/core/geometry/vector.ts';
import { withParts } from '../../../src/core/skeleton/posture.ts';
import { buildSkeleton, type Skeleton } from '../../../src/core/skeleton/skeleton.ts';
import { ARM_OUT, CANONICAL_BODY, STANDING, standOn } from '../../support/canonicalBody.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { contextOf, PLAIN_RULES, REFERENCE } from '../../support/people.ts';
import { markOf, planPlain } from '../../support/plan.ts';
import { makeRandom } from '../../support/random.ts';

type Mujoco = Awaited<ReturnType<typeof loadMujoco>>;
let mujoco: Mujoco;
beforeAll(async () => {
  mujoco = await loadMujoco();
});

const point = (name: string, mass: number, at: Vec3): string =>
  `<body name="${name}" pos="${at.join(' ')}"><inertial pos="0 0 0" mass="${String(mass)}" diaginertia="1e-4 1e-4 1e-4"/></body>`;
const inertial = (mass: number, at: Vec3): string =>
  `<inertial pos="${at.join(' ')}" mass="${String(mass)}" diaginertia="1e-4 1e-4 1e-4"/>`;

/** Arms out: upper arm, forearm and hand as shares of the reach, from the published lengths. */
const ARM = { upperArm: 0.186, forearm: 0.146, hand: 0.054 };
const ARM_WHOLE = ARM.upperArm + ARM.forearm + ARM.hand;

function armMasses(side: 1 | -1): string {
  const { halfShoulders, trunk } = CANONICAL_BODY;
  const reach = CANONICAL_BODY.front.armReach;
  const share = (from: number, to: number, centre: number): number =>
    halfShoulders + (reach * (from + (to - from) * centre)) / ARM_WHOLE;
  const wrist = ARM.upperArm + ARM.forearm;
  return [
    ['upperArm', share(0, ARM.upperArm, CENTRE_FROM_PROXIMAL.upperArm)] as const,
    ['forearm', share(ARM.upperArm, wrist, CENTRE_FROM_PROXIMAL.forearm)] as const,
    ['hand', share(wrist, ARM_WHOLE, CENTRE_FROM_PROXIMAL.hand)] as const,
  ]
    .map(([name, out]) => point(`${name}${String(side)}`, MASS_SHARE[name], [0, side * out, trunk]))
    .join('');
}

/** A leg hanging from the pelvis: three hinges at the hip, one at the knee. `side` +1 = left. */
function leg(name: string, side: 1 | -1): string {
  const { thigh, shank } = CANONICAL_BODY.front;
  const s = String(side);
  return `<body name="thigh${name}" pos="0 ${String(side * CANONICAL_BODY.halfHips)} 0">
    <joint name="flexion${name}" type="hinge" axis="0 -1 0"/>
    <joint name="abduction${name}" type="hinge" axis="${s} 0 0"/>
    <joint name="rotation${name}" type="hinge" axis="0 0 ${s}"/>
    ${inertial(MASS_SHARE.thigh, [0, 0, -thigh * CENTRE_FROM_PROXIMAL.thigh])}
    <body name="shank${name}" pos="0 0 ${String(-thigh)}">
      <joint name="knee${name}" type="hinge" axis="0 1 0"/>
      ${inertial(MASS_SHARE.shank, [0, 0, -shank * CENTRE_FROM_PROXIMAL.shank])}
      <body name="ankle${name}" pos="0 0 ${String(-shank)}">${inertial(1e-9, [0, 0, 0])}</body>
    </body>
  </body>`;
}

/** @param arms bodies of the chest; empty = their masses are added where the arms are posed */
const bodyXml = (
  arms: string,
): string => `<mujoco><option gravity="0 0 0"><flag contact="disable"/></option><worldbody>
  <body name="pelvis"><freejoint/>${inertial(1e-9, [0, 0, 0])}
    ${leg('Back', 1)}${leg('Front', -1)}
    <body name="chest">
      <joint name="spineFlexion" type="hinge" axis="0 1 0"/>
      <joint name="spineBend" type="hinge" axis="-1 0 0"/>
      <joint name="spineTurn" type="hinge" axis="0 0 1"/>
      ${inertial(MASS_SHARE.trunk, [0, 0, CANONICAL_BODY.trunk * CENTRE_FROM_PROXIMAL.trunk])}
      ${point('head', MASS_SHARE.headAndNeck, [0, 0, CANONICAL_BODY.trunk + 0.118 * CANONICAL_BODY.stature])}
      ${arms}
    </body>
  </body></worldbody></mujoco>`;

/** Quaternion (w, x, y, z) of a rotation matrix, for a matrix away from a half turn. */
function toQuaternion({ forward, left, up }: Rotation): number[] {
  const w = Math.sqrt(Math.max(1e-12, 1 + forward[0] + left[1] + up[2])) / 2;
  return [
    w,
    (left[2] - up[1]) / (4 * w),
    (up[0] - forward[2]) / (4 * w),
    (forward[1] - left[0]) / (4 * w),
  ];
}

const load = (xml: string): InstanceType<Mujoco['MjModel']> => {
  (mujoco as unknown as { FS: { writeFile: (path: string, text: string) => void } }).FS.writeFile(
    '/model.xml',
    xml,
  );
  return mujoco.MjModel.loadFromXML('/model.xml');
};

/** Its arrays live in the module's memory and have no types of their own. */
const numbers = (array: unknown): Float64Array => array as Float64Array;

type Model = InstanceType<Mujoco['MjModel']>;
type Data = InstanceType<Mujoco['MjData']>;

/** Drives the hinges by the angles we report. */
function drive(model: Model, data: Data, { posture, legs }: Skeleton): void {
  const hinges = [legs.back, legs.front].flatMap(({ hipAngles, kneeFlexion }) => [
    hipAngles.flexion,
    hipAngles.abduction,
    hipAngles.externalRotation!,
    kneeFlexion,
  ]);
  const spine = [posture.spine.flexion, posture.spine.sideBend, posture.spine.rotation];
  const q = [...posture.pelvisCentre, ...toQuaternion(posture.pelvis), ...hinges, ...spine];
  q.forEach((value, i) => {
    numbers(data.qpos)[i] = value;
  });
  mujoco.mj_forward(model, data);
}

const idOf = (model: Model, name: string): number =>
  mujoco.mj_name2id(model, mujoco.mjtObj.mjOBJ_BODY.value, name);

const positionOf = (model: Model, data: Data, name: string): Vec3 => {
  const at = 3 * idOf(model, name);
  return [numbers(data.xpos)[at]!, numbers(data.xpos)[at + 1]!, numbers(data.xpos)[at + 2]!];
};

interface Mass {
  readonly mass: number;
  readonly at: Vec3;
}

const join = (parts: readonly Mass[]): Mass => {
  const mass = parts.reduce((sum, part) => sum + part.mass, 0);
  const along = (axis: 0 | 1 | 2): number =>
    parts.reduce((sum, part) => sum + part.mass * part.at[axis], 0) / mass;
  return { mass, at: [along(0), along(1), along(2)] };
};

/** A body of the model with all that hangs on it. */
const subtreeOf = (model: Model, data: Data, name: string): Mass => {
  const id = idOf(model, name);
  const [x, y, z] = [0, 1, 2].map((axis) => numbers(data.subtree_com)[3 * id + axis]!);
  return { mass: numbers(model.body_subtreemass)[id]!, at: [x!, y!, z!] };
};

/** Feet carry no hinge of ours: their masses are added where the soles are. */
const feetOf = ({ legs }: Skeleton): Mass[] =>
  [legs.back.foot, legs.front.foot].map(({ heel, toe }) => ({
    mass: MASS_SHARE.foot,
    at: [(heel[0] + toe[0]) / 2, (heel[1] + toe[1]) / 2, (heel[2] + toe[2]) / 2],
  }));

/** Random feet, pelvis and spine such that both legs reach their feet. */
function randomSkeletons(count: number): Skeleton[] {
  const random = makeRandom(2002);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const skeletons: Skeleton[] = [];
  while (skeletons.length < count) {
    const stance = between(0, 1.1);
    const parts = {
      stance,
      backFootYaw: between(0, 1.6),
      frontFootYaw: between(-0.3, 0.3),
    };
    const posture = {
      ...withParts(STANDING, parts),
      pelvisCentre: [between(-stance, 0), between(-0.1, 0.25), between(0.45, 0.86)] as const,
      pelvis: fromYawTiltList({
        yaw: between(-0.5, 1.6),
        tilt: between(-0.4, 1.2),
        list: between(-0.5, 0.5),
      }),
      spine: {
        flexion: between(-0.4, 0.6),
        sideBend: between(-0.5, 0.5),
        rotation: between(-0.9, 0.9),
      },
    };
    const skeleton = buildSkeleton(CANONICAL_BODY, standOn(0.17, ARM_OUT, null), posture);
    const { front, back } = skeleton.legs;
    const reaches = front.overreach < 0 && back.overreach < 0;
    const named =
      front.hipAngles.externalRotation !== null && back.hipAngles.externalRotation !== null;
    if (reaches && named) skeletons.push(skeleton);
  }
  return skeletons;
}

describe('against MuJoCo', () => {
  it('puts joint centres within 0.5 mm and the centre of mass within 1 mm, 250 random postures', () => {
    const model = load(bodyXml(`${armMasses(1)}${armMasses(-1)}`));
    const data = new mujoco.MjData(model);
    const names = ['Back', 'Front'] as const;
    const apart = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
    let farthestJoint = 0;
    let farthestWeight = 0;
    for (const skeleton of randomSkeletons(250)) {
      const { legs } = skeleton;
      drive(model, data, skeleton);
      for (const name of names) {
        const leg = name === 'Back' ? legs.back : legs.front;
        farthestJoint = Math.max(
          farthestJoint,
          apart(positionOf(model, data, `thigh${name}`), leg.hip),
          apart(positionOf(model, data, `shank${name}`), leg.knee),
          apart(positionOf(model, data, `ankle${name}`), leg.foot.ankle),
        );
      }
      farthestJoint = Math.max(
        farthestJoint,
        apart(positionOf(model, data, 'head'), skeleton.head),
      );
      const whole = join([subtreeOf(model, data, 'pelvis'), ...feetOf(skeleton)]);
      farthestWeight = Math.max(farthestWeight, apart(whole.at, skeleton.centreOfMass));
    }
    expect(farthestJoint).toBeLessThan(0.0005);
    expect(farthestWeight).toBeLessThan(0.001);
    data.delete();
    model.delete();
  });

  const TEN = [
    'warrior-two',
    'triangle',
    'pyramid',
    'warrior-one',
    'high-lunge',
    'chair',
    'side-angle',
    'half-moon',
    'warrior-three',
    'revolved-triangle',
  ];

  it.each(TEN)('finds the same moment arms and weight shares in %s, within 1 %%', (pose) => {
    const planned = planPose(contextOf(REFERENCE), pose, 'right', PLAIN_RULES, null);
    if (planned.kind !== 'planned' || planned.answer.found.kind === 'cannot') throw new Error(pose);
    const { skeleton } = planned.answer.found.answer;
    const { setUp } = planned;
    const model = load(bodyXml(''));
    const data = new mujoco.MjData(model);
    drive(model, data, skeleton);
    // The arms of the model are straight: those of the pose are added where they are posed.
    const mix = (a: Vec3, b: Vec3, share: number): Vec3 => [
      a[0] + share * (b[0] - a[0]),
      a[1] + share * (b[1] - a[1]),
      a[2] + share * (b[2] - a[2]),
    ];
    const arms = [skeleton.arms.front, skeleton.arms.back].flatMap((arm) =>
      (
        [
          ['upperArm', arm.shoulder, arm.elbow],
          ['forearm', arm.elbow, arm.wrist],
          ['hand', arm.wrist, arm.palm],
        ] as const
      ).map(([segment, from, to]) => ({
        mass: MASS_SHARE[segment],
        at: mix(from, to, CENTRE_FROM_PROXIMAL[segment]),
      })),
    );
    const whole = join([subtreeOf(model, data, 'pelvis'), ...feetOf(skeleton), ...arms]);
    const above = join([subtreeOf(model, data, 'chest'), ...arms]);
    const bodyOf = { knee: 'shank', hip: 'thigh' } as const;
    for (const { joint, side, lineArmCm, line, weightShare } of setUp.loads) {
      const leg = side === 'right' ? 'Front' : 'Back';
      const at = positionOf(model, data, joint === 'back' ? 'pelvis' : `${bodyOf[joint]}${leg}`);
      const mass = joint === 'back' ? above : whole;
      const theirs = 100 * (mass.at[0] - at[0]);
      const ours = line === 'ahead' ? lineArmCm : -lineArmCm;
      // A hundredth, or half a millimetre of an arm that is almost nothing.
      expect(Math.abs(ours - theirs), joint).toBeLessThan(Math.max(0.05, 0.01 * Math.abs(theirs)));
      if (joint === 'back') expect(weightShare).toBeCloseTo(above.mass / whole.mass, 3);
    }
    // Moments about the front foot: what the other contacts carry, against the weight.
    const marks = (side: string | null, names: readonly string[]): number =>
      names.reduce(
        (sum, name) => sum + markOf(setUp, `${name}${side === 'right' ? 'Right' : 'Left'}`)[0],
        0,
      ) / names.length;
    const isOnBall = pose === 'high-lunge';
    const contactX = ({ on, side }: (typeof setUp.weights)[number]): number =>
      on === 'hand'
        ? marks(side, ['hand'])
        : marks(side, isOnBall && side === 'left' ? ['ball', 'toe'] : ['heel', 'toe']);
    const [shares, moments] = setUp.weights.reduce(
      ([sum, moment], each) => [sum + each.share, moment + each.share * contactX(each)],
      [0, 0],
    );
    expect(shares).toBeCloseTo(1, 2);
    // One foot alone presses where the weight is, not at its middle; so do two side by side.
    const feet = setUp.weights.filter(({ on }) => on === 'foot');
    const isFreeToPress = setUp.weights.length === 1 || pose === 'chair';
    if (!isFreeToPress) {
      expect(Math.abs(moments - 100 * whole.at[0]), 'moments').toBeLessThan(
        0.01 * Math.abs(contactX(feet[0]!) - contactX(setUp.weights.at(-1)!)) + 0.05,
      );
    }
    expect(feet.length).toBeGreaterThan(0);
    data.delete();
    model.delete();
  });

  it('asks the same static torque of knees and hips in the chair, within 1 %', () => {
    const massKg = 64;
    const setUp = planPlain(REFERENCE, 'chair', 'right', {}, null, { bodyMassKg: massKg });
    const whole =
      MASS_SHARE.trunk +
      MASS_SHARE.headAndNeck +
      2 *
        (MASS_SHARE.thigh +
          MASS_SHARE.shank +
          MASS_SHARE.foot +
          MASS_SHARE.upperArm +
          MASS_SHARE.forearm +
          MASS_SHARE.hand);
    const kilos = (segment: keyof typeof MASS_SHARE): number =>
      (MASS_SHARE[segment] / whole) * massKg;
    // Both legs as one, in the side plane; the pose is symmetric.
    const inPlane = (name: string): Vec3 => {
      const [left, right] = [markOf(setUp, `${name}Left`), markOf(setUp, `${name}Right`)];
      return [(left[0] + right[0]) / 200, 0, (left[2] + right[2]) / 200];
    };
    const less = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
    const along = (a: Vec3, b: Vec3, share: number): Vec3 => [
      a[0] + share * (b[0] - a[0]),
      0,
      a[2] + share * (b[2] - a[2]),
    ];
    const [ankle, knee, hip] = [inPlane('ankle'), inPlane('knee'), inPlane('hip')];
    const mid = (name: string): Vec3 => {
      const [x, , z] = markOf(setUp, name);
      return [x / 100, 0, z / 100];
    };
    const arm = (segment: 'upperArm' | 'forearm' | 'hand', from: Vec3, to: Vec3): string =>
      point(segment, 2 * kilos(segment), less(along(from, to, CENTRE_FROM_PROXIMAL[segment]), hip));
    const [shoulder, elbow, wrist, hand] = ['shoulder', 'elbow', 'wrist', 'hand'].map(inPlane) as [
      Vec3,
      Vec3,
      Vec3,
      Vec3,
    ];
    const model =
      load(`<mujoco><option gravity="0 0 -9.80665"><flag contact="disable" constraint="disable"/></option><worldbody>
      <body pos="${ankle.join(' ')}"><joint type="hinge" axis="0 1 0"/>${inertial(2 * kilos('shank'), less(along(knee, ankle, CENTRE_FROM_PROXIMAL.shank), ankle))}
        <body pos="${less(knee, ankle).join(' ')}"><joint type="hinge" axis="0 1 0"/>${inertial(2 * kilos('thigh'), less(along(hip, knee, CENTRE_FROM_PROXIMAL.thigh), knee))}
          <body pos="${less(hip, knee).join(' ')}"><joint type="hinge" axis="0 1 0"/>${inertial(kilos('trunk'), less(along(mid('pelvisCentre'), mid('chestCentre'), 0.5), hip))}
            ${point('head', kilos('headAndNeck'), less(mid('head'), hip))}
            ${arm('upperArm', shoulder, elbow)}${arm('forearm', elbow, wrist)}${arm('hand', wrist, hand)}
          </body></body></body></worldbody></mujoco>`);
    const data = new mujoco.MjData(model);
    mujoco.mj_forward(model, data);
    for (let i = 0; i < 3; i += 1) numbers(data.qacc)[i] = 0;
    mujoco.mj_inverse(model, data);
    const torques = { knee: numbers(data.qfrc_inverse)[1]!, hip: numbers(data.qfrc_inverse)[2]! };
    const ofLegs = setUp.loads.filter(({ joint }) => joint !== 'back');
    for (const load_ of ofLegs) {
      const theirs = Math.abs(torques[load_.joint as 'knee' | 'hip']) / 2;
      expect(load_.unit).toBe('N·m');
      expect(Math.abs(Math.abs(load_.staticTorque!) - theirs)).toBeLessThan(0.01 * theirs);
    }
    expect(ofLegs).toHaveLength(4);
    data.delete();
    model.delete();
  });
});
