import { findDrawnBody } from '../../core/drawing/demonstration/drawnBody.ts';
import { drawLandmark } from '../../core/drawing/demonstration/drawLandmark.ts';
import { findLandmarkTerms } from '../../core/measures/landmarkTerms.ts';
import type { Reading } from '../../core/measures/reading.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { LazyDetails } from '../shared/ui/LazyDetails.tsx';
import { landmarkTerms as say } from './words.ts';

interface LandmarkTermsProps {
  /** The landmarks of a protocol, in words. */
  text: string;
  readings: readonly Reading[];
}

/** What the terms among the landmarks mean, each with its place on the body when it is pressed. */
export const LandmarkTerms = ({ text, readings }: LandmarkTermsProps) =>
  findLandmarkTerms(text).map((term) => (
    <LazyDetails key={term.term} summary={say.isThe(term.term, term.plain)}>
      {() => (
        <div className="mb-3 flex items-center gap-6">
          <SheetDrawing
            drawing={drawLandmark(findDrawnBody(readings), term)}
            className="h-56 flex-none"
          />
          <p>{term.howFound}</p>
        </div>
      )}
    </LazyDetails>
  ));
