import type { MeasureId } from './protocols/index.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';

/**
 * Ranges read with a tape: one or two lengths, and the trigonometry that makes an angle of
 * them, written out so that a pencil can follow. Centimetres and degrees.
 */
export interface TapeForm {
  readonly measure: MeasureId;
  readonly fields: readonly TapeField[];
  /** What else of the body the sum needs; it comes from the other measures. */
  readonly calc: (given: Readonly<Record<string, number>>, body: TapeBody) => TapeAnswer | null;
}

interface TapeField {
  readonly id: string;
  readonly name: string;
  readonly possible: readonly [number, number];
  /** What stands in when it is left empty; null = it has to be given. */
  readonly usual: number | null;
}

/** One leg's lengths, cm. */
export interface TapeBody {
  readonly thigh: number;
  readonly shank: number;
  readonly footLength: number;
  readonly hipCentreDistance: number;
}

export interface TapeAnswer {
  readonly deg: number;
  /** The sum as a pencil would write it. */
  readonly working: string;
}

const DEG = 180 / Math.PI;
const f = (value: number): string => value.toFixed(1);

/** An angle from the ratio of two lengths; null when no triangle has them. */
function arcSine(over: number, under: number, working: string): TapeAnswer | null {
  const sine = over / under;
  return Math.abs(sine) > 1 ? null : { deg: Math.asin(sine) * DEG, working };
}

/** Height of a hip centre above the floor when lying. Our modelling choice. */
const HIP_HEIGHT: TapeField = {
  id: 'hipHeight',
  name: 'hip centre above the floor',
  possible: [5, 14],
  usual: 9,
};
/** A raise above this is hardly seen by a tape: a centimetre is then more than 2°. */
const STEEPEST_RAISE = 75;
/** Ankle bones that touch stand this far apart, centre to centre, cm. Our choice. */
const ANKLES_APART = 7;
/** Lying with the soles together: ankles from the midline, and above the floor, cm. */
const ANKLE_ASIDE = 4;
const ANKLE_UP = 5;
/** A knee's centre behind the kneecap that touches the wall, cm. Our choice. */
const KNEE_BEHIND_WALL = 5;
/** Foot from the ankle to the toes, as a share of its length. */
const ANKLE_TO_TOE = 0.75;
/** Hip centre to the seat's skin, and ankle to the heel's: 9 and 7 cm. Our choice. */
const SEAT_AND_HEEL = 16;

const rotation = (measure: MeasureId): TapeForm => ({
  measure,
  fields: [{ id: 'way', name: 'the ankle’s way to the side', possible: [1, 60], usual: null }],
  calc: ({ way = NaN }, { shank }) => arcSine(way, shank, `asin(${f(way)} / ${f(shank)})`),
});

/**
 * Height u of the knee above the hip centre and the ankles' distance D along the body give
 * the knee's place: sideways l and downward c from c² + l² = t² − u² and
 * (c − D)² + (w/2 + l − 4)² + (k − 5)² = s². Opening = atan2(l, u) from straight up: the
 * thigh as it is seen from the feet, which is what the inclinometer reads that faces them.
 */
function calcOpening(
  { kneeHeight = NaN, ankleDistance = NaN, hipHeight = NaN }: Readonly<Record<string, number>>,
  { thigh, shank, hipCentreDistance }: TapeBody,
): TapeAnswer | null {
  const u = kneeHeight - hipHeight;
  const flat = thigh ** 2 - u ** 2;
  if (flat <= 0) return null;
  const radius = Math.sqrt(flat);
  const aside = hipCentreDistance / 2 - ANKLE_ASIDE;
  const miss = (l: number): number => {
    const c = Math.sqrt(Math.max(0, flat - l * l));
    return (c - ankleDistance) ** 2 + (aside + l) ** 2 + (kneeHeight - ANKLE_UP) ** 2 - shank ** 2;
  };
  // The knee falls outward: from l = 0 the ankle comes nearer or goes away, once.
  let low = 0;
  let high = radius;
  if (miss(low) > 0 === miss(high) > 0) return null;
  for (let halving = 0; halving < 60; halving += 1) {
    const middle = (low + high) / 2;
    if (miss(middle) > 0 === miss(low) > 0) low = middle;
    else high = middle;
  }
  return {
    deg: Math.atan2(low, u) * DEG,
    working: `knee ${f(u)} above the hip and ${f(low)} aside: atan2(${f(low)}, ${f(u)})`,
  };
}

const TAPE_FORMS: readonly TapeForm[] = [
  rotation('hip-external-rotation'),
  rotation('hip-internal-rotation'),
  {
    measure: 'straight-leg-raise',
    fields: [
      { id: 'ankle', name: 'outer ankle bone above the floor', possible: [9, 100], usual: null },
      HIP_HEIGHT,
    ],
    calc: ({ ankle = NaN, hipHeight = NaN }, { thigh, shank }) => {
      const leg = thigh + shank;
      const working = `asin((${f(ankle)} − ${f(hipHeight)}) / ${f(leg)})`;
      const answer = arcSine(ankle - hipHeight, leg, working);
      return answer !== null && answer.deg > STEEPEST_RAISE ? null : answer;
    },
  },
  {
    measure: 'hip-abduction',
    fields: [
      {
        id: 'gap',
        name: 'gap of the inner ankle bones, both legs apart',
        possible: [20, 190],
        usual: null,
      },
    ],
    calc: ({ gap = NaN }, { thigh, shank, hipCentreDistance }) => {
      const leg = thigh + shank;
      const over = gap + ANKLES_APART - hipCentreDistance;
      const working = `asin((${f(gap)} + ${f(ANKLES_APART)} − ${f(hipCentreDistance)}) / (2 × ${f(leg)}))`;
      return arcSine(over, 2 * leg, working);
    },
  },
  {
    measure: 'ankle-dorsiflexion-bent',
    fields: [{ id: 'wall', name: 'big toe from the wall', possible: [0, 25], usual: null }],
    calc: ({ wall = NaN }, { shank, footLength }) => {
      const ahead = ANKLE_TO_TOE * footLength + wall - KNEE_BEHIND_WALL;
      const sum = `${String(ANKLE_TO_TOE)} × ${f(footLength)} + ${f(wall)} − ${f(KNEE_BEHIND_WALL)}`;
      return arcSine(ahead, shank, `asin((${sum}) / ${f(shank)})`);
    },
  },
  {
    measure: 'knee-flexion',
    fields: [{ id: 'gap', name: 'gap between heel and seat', possible: [0, 45], usual: null }],
    calc: ({ gap = NaN }, { thigh, shank }) => {
      const between = gap + SEAT_AND_HEEL;
      const cosine = (thigh ** 2 + shank ** 2 - between ** 2) / (2 * thigh * shank);
      if (Math.abs(cosine) > 1) return null;
      return {
        deg: 180 - Math.acos(cosine) * DEG,
        working: `180° − acos((${f(thigh)}² + ${f(shank)}² − (${f(gap)} + ${f(SEAT_AND_HEEL)})²) / (2 × ${f(thigh)} × ${f(shank)}))`,
      };
    },
  },
  {
    measure: 'hip-opening',
    fields: [
      {
        id: 'kneeHeight',
        name: 'middle of the knee above the floor',
        possible: [5, 55],
        usual: null,
      },
      {
        id: 'ankleDistance',
        name: 'hips to ankles along the body',
        possible: [15, 75],
        usual: null,
      },
      HIP_HEIGHT,
    ],
    calc: calcOpening,
  },
];

/**
 * How an angle is read off lengths alone.
 *
 * @param measure which
 * @returns null when it needs an instrument for angles
 */
export const findTapeForm = (measure: MeasureId): TapeForm | null =>
  TAPE_FORMS.find((each) => each.measure === measure) ?? null;

/**
 * The angle of a tape reading.
 *
 * @param form which lengths make the angle
 * @param given lengths by field, cm; what is left out takes its usual value
 * @param body lengths of the person, where known
 * @returns the angle with its sum, or problems by field: `tape-missing`, `tape-impossible`,
 *   `no-triangle`
 */
export function readTape(
  form: TapeForm,
  given: Readonly<Record<string, number>>,
  body: TapeBody,
): Result<TapeAnswer> {
  const problems: Problem[] = [];
  const filled: Record<string, number> = {};
  for (const { id, name, possible, usual } of form.fields) {
    const value = given[id] ?? usual;
    if (value === null) problems.push(problem('tape-missing', id, { name }));
    else if (!(value >= possible[0] && value <= possible[1])) {
      const [low, high] = possible;
      problems.push(problem('tape-impossible', id, { name, value, low, high }));
    } else filled[id] = value;
  }
  if (problems.length > 0) return { ok: false, problems };
  const answer = form.calc(filled, body);
  return answer === null
    ? { ok: false, problems: [problem('no-triangle', form.fields[0]?.id ?? '', {})] }
    : { ok: true, value: answer };
}
