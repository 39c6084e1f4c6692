import { completePerson, type PersonRecord } from '../person/person.ts';
import type { Reading } from '../measures/reading.ts';
import type { SchoolRule } from './schools.ts';

/** A pose that shows what a school means, and from where it is seen best; a rule without one is not drawn. */
interface SchoolPicture {
  readonly pose: string;
  readonly view: 'side' | 'above';
}

const PICTURES: Readonly<Partial<Record<SchoolRule, SchoolPicture>>> = {
  stance: { pose: 'triangle', view: 'side' },
  openHeelLine: { pose: 'warrior-two', view: 'above' },
  pyramidStance: { pose: 'pyramid', view: 'side' },
  pelvisOpen: { pose: 'warrior-two', view: 'above' },
  pelvisReverseWarrior: { pose: 'reverse-warrior', view: 'side' },
  pelvisWarriorOne: { pose: 'warrior-one', view: 'above' },
  backFoot: { pose: 'warrior-two', view: 'above' },
  frontKnee: { pose: 'warrior-two', view: 'side' },
  twist: { pose: 'revolved-triangle', view: 'above' },
  triangleShape: { pose: 'triangle', view: 'side' },
  chairStyle: { pose: 'chair', view: 'side' },
  balanceProp: { pose: 'half-moon', view: 'side' },
};

/**
 * How a school is shown in a small drawing.
 *
 * @param rule the question
 * @returns null where a still drawing shows nothing of it
 */
export const findSchoolPicture = (rule: SchoolRule): SchoolPicture | null => PICTURES[rule] ?? null;

const reading = (
  measure: string,
  side: Reading['side'],
  value: number,
  unit: 'cm' | 'deg',
): Reading => ({
  id: `${measure} ${side ?? ''}`,
  measure,
  side,
  value,
  unit,
  takenAt: '2026-01-01T00:00:00Z',
  raw: null,
  instrument: 'other',
  posture: null,
  state: null,
  note: '',
});

const bothSides = (measure: string, value: number, unit: 'cm' | 'deg'): Reading[] =>
  (['left', 'right'] as const).map((side) => reading(measure, side, value, unit));

/**
 * Nobody: a body to draw the schools with. Made up; a supple adult of 170 cm, whose other lengths
 * are estimated and whose other ranges are those of a provisional set-up.
 */
export const USUAL_BODY: PersonRecord = {
  person: completePerson({ id: 'usual-body', name: '', experience: 'seasoned' }),
  readings: [
    reading('stature', null, 170, 'cm'),
    ...bothSides('trochanter-height', 89, 'cm'),
    ...bothSides('hip-opening', 80, 'deg'),
    ...bothSides('straight-leg-raise', 105, 'deg'),
    ...bothSides('hip-external-rotation', 60, 'deg'),
    ...bothSides('hip-internal-rotation', 40, 'deg'),
    ...bothSides('hip-abduction', 58, 'deg'),
    ...bothSides('hip-extension', 30, 'deg'),
    ...bothSides('hip-flexion', 125, 'deg'),
    ...bothSides('ankle-dorsiflexion-bent', 50, 'deg'),
    ...bothSides('ankle-dorsiflexion-straight', 52, 'deg'),
    ...bothSides('trunk-rotation', 50, 'deg'),
    reading('trunk-extension', null, 38, 'deg'),
  ],
};
