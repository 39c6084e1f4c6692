import { problem, type Result } from '../problems/problem.ts';
import {
  cmFromMetres,
  INCHES_PER_FOOT,
  METRES_PER_INCH,
  radiansFromDegrees,
  type Metres,
  type Radians,
} from './brands.ts';

export type LengthUnit = 'cm' | 'in';

const VULGAR_FRACTIONS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Spells out fractions, typographic primes, decimal commas and unicode minus. */
function plainText(text: string): string {
  let plain = text.trim().toLowerCase();
  for (const [sign, spelled] of Object.entries(VULGAR_FRACTIONS)) {
    plain = plain.replaceAll(sign, ` ${spelled} `);
  }
  return plain
    .replace(/[′’‘]/g, "'")
    .replace(/[″“”]|''/g, '"')
    .replace(/−/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim();
}

const NUMBER = String.raw`(\d+(?:\.\d*)?|\.\d+)?(?: ?(\d+)\/([1-9]\d*))?`;

/** "34 1/2" → 34.5, "1/2" → 0.5; null when there is no number at all. */
function readMixedNumber(whole?: string, numerator?: string, denominator?: string): number | null {
  if (whole === undefined && numerator === undefined) return null;
  const fraction = numerator === undefined ? 0 : Number(numerator) / Number(denominator);
  return Number(whole ?? 0) + fraction;
}

const PLAIN_LENGTH = new RegExp(`^${NUMBER} ?(mm|cm|m|in|inch|inches|"|ft|foot|feet|')?$`);
const FEET_AND_INCHES = new RegExp(
  String.raw`^(\d+) ?(?:ft|foot|feet|') ?${NUMBER} ?(?:in|inch|inches|")?$`,
);

const METRES_PER_UNIT: Readonly<Record<string, number>> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  in: METRES_PER_INCH,
  inch: METRES_PER_INCH,
  inches: METRES_PER_INCH,
  '"': METRES_PER_INCH,
  ft: METRES_PER_INCH * INCHES_PER_FOOT,
  foot: METRES_PER_INCH * INCHES_PER_FOOT,
  feet: METRES_PER_INCH * INCHES_PER_FOOT,
  "'": METRES_PER_INCH * INCHES_PER_FOOT,
};

/**
 * Reads a length as people write it: `34 1/2 in`, `3'2"`, `86,5`, `86.5 cm`, `34½`.
 *
 * @param text what was typed
 * @param bareUnit the unit of a number without one; there is no hidden default
 * @param path the field, named in the problem
 * @returns the length, or the problem `not-a-length`
 * @example
 * readLength('34 1/2 in', 'cm', 'legLength').value // → 0.8763
 */
export function readLength(text: string, bareUnit: LengthUnit, path: string): Result<Metres> {
  const plain = plainText(text);
  const combined = FEET_AND_INCHES.exec(plain);
  if (combined !== null) {
    const inches = readMixedNumber(combined[2], combined[3], combined[4]);
    if (inches !== null && inches < INCHES_PER_FOOT) {
      const total = Number(combined[1]) * INCHES_PER_FOOT + inches;
      return { ok: true, value: (total * METRES_PER_INCH) as Metres };
    }
  }
  const single = PLAIN_LENGTH.exec(plain);
  const number = single === null ? null : readMixedNumber(single[1], single[2], single[3]);
  const factor = METRES_PER_UNIT[single?.[4] ?? bareUnit];
  if (number === null || factor === undefined || !Number.isFinite(number)) {
    return { ok: false, problems: [problem('not-a-length', path, { text })] };
  }
  return { ok: true, value: (number * factor) as Metres };
}

/**
 * Reads an angle in degrees: `85`, `85,5`, `85.5°`, `85 deg`.
 *
 * @param text what was typed
 * @param path the field, named in the problem
 * @returns the angle, or the problem `not-an-angle`
 */
export function readAngle(text: string, path: string): Result<Radians> {
  const match = /^(-?)(\d+(?:\.\d*)?|\.\d+) ?(?:°|deg|degrees?)?$/.exec(plainText(text));
  if (match === null) return { ok: false, problems: [problem('not-an-angle', path, { text })] };
  const degrees = Number(match[2]) * (match[1] === '-' ? -1 : 1);
  return { ok: true, value: radiansFromDegrees(degrees) };
}

const trimZeros = (text: string): string => text.replace(/\.0+$/, '').replace('-0', '0');

/**
 * Writes a length for the screen. Inches are written to the nearest quarter, as a
 * tape is read; centimetres to the number of digits asked for.
 *
 * @param metres metres
 * @param to centimetres or inches
 * @param digits of centimetres
 * @returns number and unit
 * @example
 * writeLength(0.876, 'cm', 1) // → "87.6 cm"
 */
export function writeLength(metres: number, to: LengthUnit, digits: number): string {
  return `${writeLengthNumber(metres, to, digits)} ${to}`;
}

/**
 * The number of {@link writeLength} without its unit, for dimension lines.
 *
 * @param metres metres
 * @param to centimetres or inches
 * @param digits of centimetres
 * @returns the number alone
 * @example
 * writeLengthNumber(1.05, 'in', 0) // → "41¼"
 */
export function writeLengthNumber(metres: number, to: LengthUnit, digits: number): string {
  if (to === 'cm') return trimZeros(cmFromMetres(metres).toFixed(digits));
  const quarters = Math.round((metres / METRES_PER_INCH) * 4);
  const whole = Math.floor(Math.abs(quarters) / 4);
  const fraction = ['', '¼', '½', '¾'][Math.abs(quarters) % 4] ?? '';
  const sign = quarters < 0 ? '-' : '';
  return sign + (whole === 0 && fraction !== '' ? fraction : `${String(whole)}${fraction}`);
}
