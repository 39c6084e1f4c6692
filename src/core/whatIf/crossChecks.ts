import { calcBody } from '../body/body.ts';
import { compareValues } from '../measures/compareValues.ts';
import { findValue, type MeasureSet } from '../measures/measureSet.ts';
import type { MeasureValue } from '../measures/measureValue.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import { SEATED_HIP_LESS_ANKLE } from '../setup/seatedForms.ts';
import { cmFromMetres, radiansFromDegrees } from '../units/brands.ts';

/** What a measure that no set-up is computed from says about one that set-ups are computed from. */
export interface CrossCheck {
  /** The measure that checks. */
  readonly measure: MeasureId;
  /** Whether both agree within their errors. */
  readonly agrees: boolean;
  readonly words: string;
  /** The reading to repeat; null = none. */
  readonly repeat: { readonly measure: MeasureId; readonly side: Side | null } | null;
}

/** 95 % of differences by error alone are smaller. */
const Z = 1.96;

const nameReading = ({ measure, side }: MeasureValue): string =>
  [side, getProtocol(measure).name.toLowerCase()].filter((each) => each !== null).join(' ');

/** The seat that one leg's raise asks for, with the error that the leg raise gives it, cm. */
function calcSeatOf(set: MeasureSet, side: Side) {
  const body = calcBody(set);
  const raise = findValue(set, 'straight-leg-raise', side);
  if (!body.ok || raise === null) return null;
  const leg = cmFromMetres(body.value.thigh[side]) + cmFromMetres(body.value.shank[side]);
  const lacking = radiansFromDegrees(90 - raise.value);
  return {
    raise,
    height: leg * Math.sin(lacking) - SEATED_HIP_LESS_ANKLE,
    error: leg * Math.cos(lacking) * radiansFromDegrees(raise.error),
  };
}

/**
 * The measured seat against the one that the leg raise of the stiffer leg asks for. The reading
 * with the larger error is the one to repeat.
 */
function checkSeat(set: MeasureSet): CrossCheck | null {
  const measured = findValue(set, 'staff-seat-height', null);
  const seats = SIDES.flatMap((side) => calcSeatOf(set, side) ?? []);
  const [asked] = seats.toSorted((a, b) => b.height - a.height);
  if (measured === null || asked === undefined) return null;
  const computed = Math.max(0, asked.height);
  const allowed = Z * Math.hypot(measured.error, asked.error);
  const agrees = Math.abs(measured.value - computed) <= allowed;
  const repeat = asked.error > measured.error ? asked.raise : measured;
  const both = `Seat measured ${measured.value.toFixed(1)} cm; ${nameReading(asked.raise)} asks for ${computed.toFixed(1)} cm, give or take ${allowed.toFixed(1)}.`;
  return {
    measure: 'staff-seat-height',
    agrees,
    words: agrees ? `${both} They agree.` : `${both} Repeat ${nameReading(repeat)}.`,
    repeat: agrees ? null : { measure: repeat.measure, side: repeat.side },
  };
}

/** The drill's two sides: where they differ beyond error, the reading lying face down tells by how much. */
function checkDrill(set: MeasureSet): CrossCheck | null {
  const [left, right] = SIDES.map((side) => findValue(set, 'seated-rotation-drill', side));
  if (left == null || right == null) return null;
  const { difference, verdict } = compareValues(left, right);
  const isReal = verdict === 'real';
  const prone = SIDES.map((side) => findValue(set, 'hip-internal-rotation', side));
  const missing = SIDES.find((_, i) => (prone[i]?.takenAt ?? '') < left.takenAt);
  const sides = `The foot walks out ${left.value.toFixed(1)} cm on the left and ${right.value.toFixed(1)} cm on the right`;
  const farther = difference > 0 ? 'left' : 'right';
  if (!isReal) {
    return {
      measure: 'seated-rotation-drill',
      agrees: true,
      words: `${sides}: alike within error.`,
      repeat: null,
    };
  }
  return {
    measure: 'seated-rotation-drill',
    agrees: missing === undefined,
    words:
      missing === undefined
        ? `${sides}: the ${farther} hip turns in farther. Hip internal rotation lying face down, taken since, says by how much.`
        : `${sides}: more than error alone. Take hip internal rotation lying face down on both sides.`,
    repeat: missing === undefined ? null : { measure: 'hip-internal-rotation', side: missing },
  };
}

/**
 * What the measures that feed no set-up say about the others.
 *
 * @param set values of one person
 * @returns one for each that was taken and can be compared
 */
export const listCrossChecks = (set: MeasureSet): readonly CrossCheck[] =>
  [checkSeat(set), checkDrill(set)].filter((each) => each !== null);
