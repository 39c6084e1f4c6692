import { problem, type Problem } from '../problems/problem.ts';
import { CM_PER_METRE, METRES_PER_INCH } from '../units/brands.ts';
import { getProtocol, isMeasureId } from './protocols/index.ts';
import type { Protocol } from './protocol.ts';
import type { Reading } from './reading.ts';

const CM_PER_INCH = METRES_PER_INCH * CM_PER_METRE;

const within = (value: number, [low, high]: readonly [number, number]): boolean =>
  value >= low && value <= high;

function guessUnit(value: number, protocol: Protocol): string {
  const fits = protocol.unit === 'cm' && within(value * CM_PER_INCH, protocol.usual);
  return fits
    ? ` Was it in inches? ${String(value)} in is ${(value * CM_PER_INCH).toFixed(1)} cm.`
    : '';
}

/**
 * Questions or refuses one number against its measure's bands.
 *
 * @param value in the measure's unit
 * @param protocol how the measure is taken
 * @param path the field, named in the problem
 * @returns none when there is nothing to say
 */
export function checkValue(value: number, protocol: Protocol, path: string): Problem[] {
  const unit = protocol.unit === 'deg' ? '°' : protocol.unit;
  const measure = protocol.name.toLowerCase();
  if (!Number.isFinite(value) || !within(value, protocol.possible)) {
    const [low, high] = protocol.possible;
    const unitGuess = guessUnit(value, protocol);
    return [problem('impossible-value', path, { value, unit, measure, low, high, unitGuess })];
  }
  if (within(value, protocol.usual)) return [];
  const [low, high] = protocol.usual;
  return [problem('unusual-value', path, { value, unit, measure, low, high })];
}

/**
 * Everything wrong with one reading, by field. An unknown measure is only noted,
 * because a newer version of the app may have written it.
 *
 * @param reading one reading
 * @param path where the reading stands, such as `readings[3]`
 * @param now ISO date; readings after it (by more than a day, for clocks) are refused
 * @returns none when there is nothing to say
 */
export function checkReading(reading: Reading, path: string, now: string | null): Problem[] {
  if (!isMeasureId(reading.measure)) {
    return [problem('unknown-measure', `${path}.measure`, { text: reading.measure })];
  }
  const protocol = getProtocol(reading.measure);
  const measure = protocol.name;
  const found: Problem[] = [];
  if (protocol.sided && reading.side === null) {
    found.push(problem('side-missing', `${path}.side`, { measure }));
  }
  if (!protocol.sided && reading.side !== null) {
    found.push(problem('side-unexpected', `${path}.side`, { measure, side: reading.side }));
  }
  if (reading.unit !== protocol.unit) {
    const expected = protocol.unit;
    found.push(problem('wrong-unit', `${path}.unit`, { measure, expected, given: reading.unit }));
  } else {
    found.push(...checkValue(reading.value, protocol, `${path}.value`));
  }
  const takenAt = Date.parse(reading.takenAt);
  if (Number.isNaN(takenAt)) {
    found.push(problem('not-a-date', `${path}.takenAt`, { text: reading.takenAt }));
  } else if (now !== null && takenAt > Date.parse(now) + 86_400_000) {
    found.push(problem('in-the-future', `${path}.takenAt`, { text: reading.takenAt }));
  }
  return found;
}
