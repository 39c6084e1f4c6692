import type { BodyPoint } from './demonstration.ts';

/** A landmark by its term, the everyday words for it, and how it is found. */
export interface LandmarkTerm {
  readonly term: string;
  readonly plain: string;
  readonly howFound: string;
  readonly at: BodyPoint;
}

/** Terms that stand in the protocols' landmarks. Common practice, no source. */
const LANDMARK_TERMS: readonly LandmarkTerm[] = [
  {
    term: 'greater trochanter',
    plain: 'side hip bone',
    howFound:
      'Turn the foot in and out: it is the bone that rolls under the hand at the side of the hip.',
    at: 'trochanter',
  },
  {
    term: 'acromion',
    plain: 'shoulder tip',
    howFound: 'Follow the ridge of the shoulder blade outward to the bony point above the arm.',
    at: 'acromion',
  },
  {
    term: 'ASIS',
    plain: 'front hip bone',
    howFound: 'Hands on the hips: it is the point under the tips of the index fingers in front.',
    at: 'asis',
  },
  {
    term: 'sacrum',
    plain: 'flat bone at the base of the back',
    howFound: 'It lies between the two dimples above the buttocks.',
    at: 'sacrum',
  },
];

/**
 * The terms that a text uses.
 *
 * @param text the landmarks of a protocol
 * @returns none when it is said in everyday words
 */
export const findLandmarkTerms = (text: string): readonly LandmarkTerm[] =>
  LANDMARK_TERMS.filter(({ term }) => text.includes(term));
