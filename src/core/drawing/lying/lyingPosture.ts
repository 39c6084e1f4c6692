import type { Body } from '../../body/body.ts';
import { FOOT } from '../../body/proportions.ts';
import type { Demonstration } from '../../measures/demonstration.ts';
import { otherSide } from '../../measures/protocol.ts';
import type { LyingFormId } from '../../poses/lying/lyingPose.ts';
import { getValue } from '../../setup/setUp.ts';
import { SEATED_HIP_LESS_ANKLE } from '../../setup/seatedForms.ts';
import type { SetUp } from '../../setup/setUp.ts';
import type { SettingId } from '../../setup/settingKinds.ts';
import { cmFromMetres } from '../../units/brands.ts';

/** How a lying or seated form is seen: on the floor before a wall, from the side, or from the feet. */
export type LyingScene = 'before-a-wall' | 'beside-a-wall' | 'from-the-side' | 'from-the-feet';

/** A form as the body is posed for its drawing. */
export interface LyingPosture {
  readonly scene: LyingScene;
  readonly demo: Demonstration;
  /** The whole body is raised by this, cm. */
  readonly raisedCm: number;
}

const DEG = 180 / Math.PI;
const asin = (x: number): number => Math.asin(Math.min(1, Math.max(-1, x))) * DEG;
const acos = (x: number): number => Math.acos(Math.min(1, Math.max(-1, x))) * DEG;

/** How far the legs of a seated straddle are drawn apart: it is not a number that is set. */
const STRADDLE_DEG = 35;

/** The form's numbers read back from its settings, so that what is drawn is what is told. */
function readAngles(setUp: SetUp, body: Body) {
  const { side } = setUp;
  const cm = cmFromMetres;
  const get = (id: SettingId): number => getValue(setUp, id) ?? 0;
  const thigh = cm(body.thigh[side]);
  const shank = cm(body.shank[side]);
  const other = cm(body.thigh[otherSide(side)]) + cm(body.shank[otherSide(side)]);
  const hips = cm(body.hipCentreDistance);
  const ankleBack = (FOOT.ankle - FOOT.heelCentre) * cm(body.footLength);
  const alongBack = Math.sqrt(Math.max(0, other ** 2 - shank ** 2));
  const halfTriangle = (get('heel-marks') - hips) / 2;
  return {
    /** How far the front thigh lies out of straight up. */
    opening: asin((get('heel-marks') - alongBack - hips + ankleBack) / thigh),
    backOut: acos(shank / other),
    spread: asin(halfTriangle / (thigh + shank)),
    otherSpread: asin(halfTriangle / other),
    legAngle: get('leg-angle'),
    /** Between the legs of the person's own pyramid. */
    between: 2 * asin(cm(body.legLength[side]) / (2 * (thigh + shank))),
    crossed: 90 - asin(get('foot-height') / (thigh + shank)),
    seat: get('seat-height'),
    seatSlope: asin((get('seat-height') + SEATED_HIP_LESS_ANKLE) / (thigh + shank)),
  };
}

/** The posture that a form's drawing shows; the measured side is the front, raised or crossed leg. */
export function findLyingPosture(form: LyingFormId, setUp: SetUp, body: Body): LyingPosture {
  const n = readAngles(setUp, body);
  const onBack = (
    seenFrom: Demonstration['seenFrom'],
    posture: Pick<Demonstration, 'measured' | 'other' | 'arms' | 'spine'>,
  ): Demonstration => ({ base: 'on the back', seenFrom, reads: null, ...posture });
  const wall = (demo: Demonstration): LyingPosture => ({
    scene: 'before-a-wall',
    demo,
    raisedCm: 0,
  });
  const side = (demo: Demonstration, raisedCm = 0): LyingPosture => ({
    scene: 'from-the-side',
    demo,
    raisedCm,
  });
  switch (form) {
    case 'lying-warrior-two':
    case 'lying-side-angle':
    case 'lying-warrior-one':
    case 'lying-revolved-side-angle':
      return wall(
        onBack('above', {
          measured: { flexion: 90, abduction: n.opening, knee: 90 },
          other: { abduction: n.backOut },
          arms: 'out',
        }),
      );
    case 'lying-triangle':
      return wall(
        onBack('above', {
          measured: { abduction: n.spread },
          other: { abduction: n.otherSpread },
          arms: 'out',
        }),
      );
    case 'lying-crossed-twist':
      return {
        scene: 'beside-a-wall',
        demo: onBack('above', { measured: { flexion: 90, abduction: -n.crossed }, arms: 'out' }),
        raisedCm: 0,
      };
    case 'lying-hand-to-foot':
      return side(onBack('the side', { measured: { flexion: n.legAngle }, arms: 'forward' }));
    case 'lying-pyramid':
      return side(
        onBack('the side', {
          measured: { flexion: n.legAngle },
          other: { flexion: n.legAngle - n.between },
        }),
      );
    case 'staff':
    case 'seated-straddle': {
      const abduction = form === 'staff' ? 0 : STRADDLE_DEG;
      const leg = { flexion: 90 - n.seatSlope, abduction };
      return side(
        {
          base: 'sitting',
          seenFrom: 'the side',
          reads: null,
          measured: leg,
          other: leg,
          arms: 'down',
        },
        n.seat,
      );
    }
    case 'bound-angle':
      return {
        scene: 'from-the-feet',
        demo: { base: 'soles together', seenFrom: 'the feet', reads: null },
        raisedCm: 0,
      };
  }
}
