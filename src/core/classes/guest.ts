import { PER_STATURE } from '../body/proportions.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import type { Reading } from '../measures/reading.ts';
import { completePerson, type PersonRecord } from '../person/person.ts';

/** A body that stands in for one that is not measured. */
export const BODY_PRESETS = [
  'short-and-stiff',
  'usual',
  'usual-with-long-legs',
  'supple',
  'older-and-stiff',
] as const;
export type BodyPreset = (typeof BODY_PRESETS)[number];

/** Someone without a file, for one class. */
export interface Guest {
  readonly id: string;
  readonly name: string;
  readonly statureCm: number;
  readonly preset: BodyPreset;
  /** Signs of cautions/catalogue.ts that were named when the guest was asked. */
  readonly signs: readonly string[];
  /** When the stop signs were asked. */
  readonly askedAt: string;
}

type Ranges = Partial<Record<MeasureId, number>>;

/**
 * Ranges of an adult body, degrees. Hips and knees: means of Greene & Heckman for the AAOS, 1994,
 * from memory; the rest is our choice.
 */
const USUAL: Ranges = {
  'hip-flexion': 120,
  'straight-leg-raise': 80,
  'hip-extension': 20,
  'hip-extension-bent-knee': 10,
  'hip-abduction': 45,
  'hip-opening': 52,
  'hip-external-rotation': 45,
  'hip-internal-rotation': 40,
  'ankle-dorsiflexion-bent': 42,
  'ankle-dorsiflexion-straight': 34,
  'trunk-rotation': 45,
};

/** About one and a half standard deviations of people less, and as much more. Our choice. */
const STIFF: Ranges = {
  'hip-flexion': 106,
  'straight-leg-raise': 62,
  'hip-extension': 12,
  'hip-extension-bent-knee': 3,
  'hip-abduction': 32,
  'hip-opening': 35,
  'hip-external-rotation': 31,
  'hip-internal-rotation': 24,
  'ankle-dorsiflexion-bent': 35,
  'ankle-dorsiflexion-straight': 28,
  'trunk-rotation': 35,
};
const SUPPLE: Ranges = {
  'hip-flexion': 133,
  'straight-leg-raise': 105,
  'hip-extension': 25,
  'hip-extension-bent-knee': 15,
  'hip-abduction': 56,
  'hip-opening': 70,
  'hip-external-rotation': 58,
  'hip-internal-rotation': 48,
  'ankle-dorsiflexion-bent': 48,
  'ankle-dorsiflexion-straight': 41,
  'trunk-rotation': 58,
};
/** A stiff body some ten years on. Our choice. */
const OLDER: Ranges = {
  ...STIFF,
  'hip-flexion': 102,
  'hip-abduction': 28,
  'hip-internal-rotation': 20,
  'trunk-rotation': 30,
  'ankle-dorsiflexion-bent': 32,
};

/** Hip and knee height as a share of stature: usual legs by {@link PER_STATURE}, the others by our choice. */
const LEGS: Readonly<Record<'short' | 'usual' | 'long', number>> = {
  short: 0.5,
  usual: PER_STATURE.trochanterHeight,
  long: 0.555,
};

const PRESETS: Readonly<
  Record<BodyPreset, { readonly ranges: Ranges; readonly legs: keyof typeof LEGS }>
> = {
  'short-and-stiff': { ranges: STIFF, legs: 'short' },
  usual: { ranges: USUAL, legs: 'usual' },
  'usual-with-long-legs': { ranges: USUAL, legs: 'long' },
  supple: { ranges: SUPPLE, legs: 'usual' },
  'older-and-stiff': { ranges: OLDER, legs: 'usual' },
};

/** What a preset makes of a stature, cm and degrees. */
function listMeasures({ preset, statureCm }: Guest): Ranges {
  const { ranges, legs } = PRESETS[preset];
  const hip = LEGS[legs] * statureCm;
  const knee = (PER_STATURE.kneeHeight / PER_STATURE.trochanterHeight) * hip;
  return { stature: statureCm, 'trochanter-height': hip, 'knee-height': knee, ...ranges };
}

/**
 * A guest as a record that set-ups are made from: what the preset says in place of readings. It is
 * provisional throughout, and new to everything.
 *
 * @param guest stature and preset
 * @returns never stored
 */
export function toGuestRecord(guest: Guest): PersonRecord {
  const { id, name, signs, askedAt } = guest;
  const person = completePerson({
    id,
    name,
    experience: 'new',
    cautions: signs.map((sign) => ({ id: sign, severity: 'stop' })),
    cautionsAskedAt: askedAt,
  });
  const readings = Object.entries(listMeasures(guest)).flatMap(([measure, value]): Reading[] => {
    const { sided, unit } = getProtocol(measure as MeasureId);
    const sides: readonly (Side | null)[] = sided ? SIDES : [null];
    return sides.map((side) => ({
      id: `${measure} ${side ?? ''}`,
      measure,
      side,
      value,
      unit,
      instrument: 'stated',
      posture: null,
      state: null,
      takenAt: askedAt,
      note: '',
    }));
  });
  return { person, readings };
}
