import type { Body } from '../../body/body.ts';
import type { Demonstration } from '../../measures/demonstration.ts';
import type { LandmarkTerm } from '../../measures/landmarkTerms.ts';
import { poseDemonstration } from '../../skeleton/poseDemonstration.ts';
import { drawFigure } from '../figure.ts';
import { boxOfPoints } from '../placement.ts';
import { line, type Drawing, type Point } from '../shapes.ts';
import { toElevation, type View } from '../view.ts';

const STANDING: Demonstration = { base: 'standing', seenFrom: 'the front', reads: null };
const FROM_THE_FRONT: View = { axis: 'front', from: 1, words: 'from the front' };
const FROM_THE_SIDE: View = { axis: 'side', from: -1, words: 'from the side' };
/** Room round the body, and the mark, mm. */
const MARGIN = 9;
const RING = 4.5;

/**
 * Where a landmark lies on this person's standing body; one at the back is seen from the side.
 *
 * @param body lengths of the body, metres
 * @param term the landmark
 * @returns a drawing whose lines are as thick at every scale
 */
export function drawLandmark(body: Body, { at, term, plain }: LandmarkTerm): Drawing {
  const view = at === 'sacrum' ? FROM_THE_SIDE : FROM_THE_FRONT;
  const { landmarks, points } = poseDemonstration(body, STANDING);
  const figure = drawFigure(view, { landmarks, side: 'right', settings: [] }, view.axis !== 'side');
  const centre = toElevation(view, points[at]);
  const all = figure.flatMap((shape): readonly Point[] =>
    shape.kind === 'polygon' ? shape.points : [],
  );
  const [left, top, right, bottom] = boxOfPoints(all);
  const box: Drawing['box'] = [
    left - MARGIN,
    top - MARGIN,
    right - left + 2 * MARGIN,
    bottom - top + 2 * MARGIN,
  ];
  return {
    box,
    shapes: [
      line('floor', [box[0], 0], [box[0] + box[2], 0]),
      ...figure,
      { kind: 'circle', role: 'landmark', centre, radius: RING },
    ],
    caption: `${plain} (${term}) on a standing body, ${view.words}.`,
    look: 'demonstration',
  };
}
