import { describe, expect, it } from 'vitest';
import { findTapeForm, readTape, type TapeBody } from '../../../src/core/measures/tapeForms.ts';
import { PROTOCOLS, type MeasureId } from '../../../src/core/measures/protocols/index.ts';
import { calcExpression } from '../../support/expression.ts';

const BODY: TapeBody = { thigh: 42, shank: 40, footLength: 24.5, hipCentreDistance: 17 };
const DEG = Math.PI / 180;

function angleOf(measure: MeasureId, given: Readonly<Record<string, number>>): number {
  const answer = readTape(findTapeForm(measure)!, given, BODY);
  if (!answer.ok) throw new Error(answer.problems[0]!.message);
  return answer.value.deg;
}

describe('a range by tape', () => {
  it.each([
    // The ankle swings 20 cm to the side on a shank of 40: asin(½).
    ['hip-external-rotation', { way: 20 }, 30],
    ['hip-internal-rotation', { way: 20 }, 30],
    // The outer ankle 50 cm up, the hip centre 9: asin(41 / 82).
    ['straight-leg-raise', { ankle: 50 }, 30],
    // Hip centre 11 cm up: asin(39 / 82).
    ['straight-leg-raise', { ankle: 50, hipHeight: 11 }, 28.4],
    // Ankle bones 92 cm apart: asin((92 + 7 − 17) / 164) = asin(½).
    ['hip-abduction', { gap: 92 }, 30],
    // Toe 10 cm from the wall: asin((18.375 + 10 − 5) / 40).
    ['ankle-dorsiflexion-bent', { wall: 10 }, 35.8],
    // Heel on the seat: a triangle of 42, 40 and 16.
    ['knee-flexion', { gap: 0 }, 157.7],
  ] as const)('%s, %j: %f° by hand', (measure, given, byHand) => {
    expect(angleOf(measure, given)).toBeCloseTo(byHand, 1);
  });

  it('hip opening: lengths made from a known opening give it back', () => {
    let made = 0;
    for (const openingDeg of [35, 45, 55, 65, 75, 85]) {
      for (const along of [26, 30, 34]) {
        // A thigh of 42 cm: down the body, aside and up, so that it has this opening.
        const across = Math.sqrt(42 ** 2 - along ** 2);
        const aside = across * Math.sin(openingDeg * DEG);
        const kneeHeight = 9 + across * Math.cos(openingDeg * DEG);
        const span = 40 ** 2 - (17 / 2 + aside - 4) ** 2 - (kneeHeight - 5) ** 2;
        // A shank too short for it: this knee cannot have its sole on the midline.
        if (span <= 0) continue;
        for (const ankleDistance of [along + Math.sqrt(span), along - Math.sqrt(span)]) {
          if (ankleDistance < 15 || ankleDistance > 75) continue;
          expect(angleOf('hip-opening', { kneeHeight, ankleDistance })).toBeCloseTo(openingDeg, 3);
          made += 1;
        }
      }
    }
    expect(made).toBeGreaterThan(8);
  });

  /** Bennell et al. 1998 (from memory): a ratio of about 3.6° a centimetre near 10 cm, 3.0–4.1 from 8 to 13. */
  it.each([8, 9, 10, 11, 12, 13])(
    'the lunge at %i cm from the wall has the published ratio',
    (wall) => {
      const ratio = angleOf('ankle-dorsiflexion-bent', { wall }) / wall;
      expect(ratio).toBeGreaterThan(3.0);
      expect(ratio).toBeLessThan(4.1);
    },
  );

  it('writes a sum that a pencil gets the same angle from', () => {
    for (const [measure, given] of [
      ['hip-external-rotation', { way: 17.5 }],
      ['straight-leg-raise', { ankle: 61 }],
      ['hip-abduction', { gap: 101 }],
      ['ankle-dorsiflexion-bent', { wall: 9.5 }],
    ] as const) {
      const answer = readTape(findTapeForm(measure)!, given, BODY);
      if (!answer.ok) throw new Error(answer.problems[0]!.message);
      const inner = /^asin\((.*)\)$/.exec(answer.value.working)![1]!;
      const byPencil = Math.asin(calcExpression(inner)) / DEG;
      expect(Math.abs(byPencil - answer.value.deg)).toBeLessThan(0.1);
    }
  });

  it('refuses what is missing, impossible or does not meet, by field', () => {
    const form = findTapeForm('straight-leg-raise')!;
    const codes = (given: Readonly<Record<string, number>>): readonly unknown[] => {
      const answer = readTape(form, given, BODY);
      return answer.ok ? [] : answer.problems.map((each) => [each.code, each.path]);
    };
    expect(codes({})).toEqual([['tape-missing', 'ankle']]);
    expect(codes({ ankle: 400 })).toEqual([['tape-impossible', 'ankle']]);
    expect(codes({ ankle: Number.NaN })).toEqual([['tape-impossible', 'ankle']]);
    expect(codes({ ankle: 50, hipHeight: 40 })).toEqual([['tape-impossible', 'hipHeight']]);
    // Above 75° a centimetre of tape is too many degrees: the tape is not offered there.
    expect(codes({ ankle: 90 })).toEqual([['no-triangle', 'ankle']]);
  });

  it('is offered exactly where the protocol names a tape for an angle', () => {
    for (const { id, unit, instruments } of PROTOCOLS) {
      const names = unit === 'deg' && instruments.includes('tape');
      expect(findTapeForm(id as MeasureId) !== null, id).toBe(names);
    }
  });
});
