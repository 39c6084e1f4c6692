import { capital } from '../units/capital.ts';
import type { Side } from '../measures/protocol.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { metresFromCm } from '../units/brands.ts';
import type { FootPlace } from './feetPlaces.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import type { FootMove } from './moves.ts';
import type { PlannedStep } from './plannedFlow.ts';
import type { FootChange } from './sharedStance.ts';

/** Less than this is not said of a way ahead or across, cm and degrees. Our choice. */
const SAID_FROM_CM = 1;
const SAID_FROM_DEG = 2;

const write = (cm: number, unit: LengthUnit): string =>
  writeLength(metresFromCm(Math.abs(cm)), unit, unit === 'cm' ? 0 : 1);

const nameFoot = (side: Side, place: FootPlace | null, frontSide: Side | null): string => {
  const part = place?.part === 'knee' ? 'knee' : 'foot';
  const which = frontSide === null ? side : side === frontSide ? 'front' : 'back';
  return `${which} ${part}`;
};

/** Along the mat, then across it. */
function sayWay({ aheadCm, leftCm }: FootMove, isBack: boolean, unit: LengthUnit): string {
  const ways: string[] = [];
  if (Math.abs(aheadCm) >= SAID_FROM_CM) {
    const isAhead = aheadCm > 0;
    const way = isBack ? (isAhead ? 'in' : 'out') : isAhead ? 'ahead' : 'back';
    ways.push(`${way} ${write(aheadCm, unit)}`);
  }
  if (Math.abs(leftCm) >= SAID_FROM_CM) {
    ways.push(`${write(leftCm, unit)} to the ${leftCm > 0 ? 'left' : 'right'}`);
  }
  return ways.join(' and ');
}

/** Where the toes point in the end, from the mat's line. */
function sayToes({ from, to, turnDeg }: FootMove): string {
  if (to === null || to.part === 'knee' || turnDeg < SAID_FROM_DEG) return '';
  const deg = Math.round(Math.abs(to.turnDeg));
  if (deg < SAID_FROM_DEG) return from === null ? '' : 'toes ahead';
  return `toes to ${String(deg)}°`;
}

/**
 * What one foot does, as a teacher says it.
 *
 * @param move of the foot
 * @param frontSide the front leg of the pose it comes to; null = that pose has none
 * @param unit of lengths
 * @returns words without a full stop, as “back foot in 11 cm, toes to 70°”
 */
export function sayMove(move: FootMove, frontSide: Side | null, unit: LengthUnit): string {
  const { side, to, from, how, stepInCm } = move;
  const foot = nameFoot(side, to ?? from, frontSide);
  if (how === 'off') {
    const stepsIn = stepInCm < SAID_FROM_CM ? '' : `in ${write(stepInCm, unit)}, then `;
    return `${foot} ${stepsIn}off the mat`;
  }
  const toes = sayToes(move);
  if (how === 'down') return [`${foot} down to its mark`, toes].filter(Boolean).join(', ');
  const way = sayWay(move, frontSide !== null && side !== frontSide, unit);
  const heel =
    from?.part === to?.part
      ? ''
      : to?.part === 'ball'
        ? 'heel up'
        : to?.part === 'knee'
          ? 'knee down'
          : 'heel down';
  return [`${foot} ${way}`.trim(), toes, heel].filter(Boolean).join(', ');
}

const isOnHands = (pose: string): boolean => findAnyPose(pose)?.height === 'hands-and-feet';

/**
 * The moves of a step that are said. Into a pose on hands and feet, and out of it, the feet go where
 * they find room: those numbers are estimates, and nobody measures them.
 *
 * @param step with the passage into it
 * @returns none of a first step
 */
export const listSaidMoves = ({
  moves,
  passage,
}: Pick<PlannedStep, 'moves' | 'passage'>): readonly FootMove[] =>
  passage !== null && (isOnHands(passage.from.pose) || isOnHands(passage.to.pose)) ? [] : moves;

/**
 * How a back foot would have to move to give a pose its best.
 *
 * @param change from the shared stance
 * @param unit of lengths
 * @returns words without a full stop
 * @example
 * sayFootChange({ stanceCm: -11, turnDeg: 0 }, 'cm') // → "step in 11 cm"
 */
export function sayFootChange({ stanceCm, turnDeg }: FootChange, unit: LengthUnit): string {
  const step =
    Math.abs(stanceCm) < SAID_FROM_CM
      ? ''
      : `step ${stanceCm < 0 ? 'in' : 'out'} ${write(stanceCm, unit)}`;
  const turn =
    Math.abs(turnDeg) < SAID_FROM_DEG
      ? ''
      : `turn the back foot ${turnDeg < 0 ? 'in' : 'out'} ${String(Math.round(Math.abs(turnDeg)))}°`;
  return [step, turn].filter(Boolean).join(' and ');
}

/**
 * The way into a step of a flow: what is passed through, then what the feet do.
 *
 * @param steps of the planned flow
 * @param index of the step in the flow
 * @param unit of lengths
 * @returns a sentence each; empty where nothing moves
 */
export function sayWayInto(
  steps: readonly PlannedStep[],
  index: number | null,
  unit: LengthUnit,
): readonly string[] {
  const way = steps.filter((each) => each.index === index);
  const passed = way.filter((each) => each.step === null).map((each) => each.name);
  const moves = way.flatMap((each) =>
    listSaidMoves(each)
      .map((move) => sayMove(move, each.place.side, unit))
      .filter(Boolean),
  );
  return [
    ...(passed.length > 0 ? [`Through ${passed.join(', ')}.`] : []),
    ...(moves.length > 0 ? [`${capital(moves.join('; '))}.`] : []),
  ];
}
