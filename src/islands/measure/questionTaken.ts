import type { MeasureId } from '../../core/measures/protocols/index.ts';
import { questionReading } from '../../core/measures/questionReading.ts';
import type { Reading } from '../../core/measures/reading.ts';
import { findReferenceBand, questionAgainstBand } from '../../core/measures/referenceBands.ts';
import { findAge, type PersonRecord } from '../../core/person/person.ts';
import type { Problem } from '../../core/problems/problem.ts';

/** What to ask about a reading that was just taken: the person's own others first, then what most have. */
export function questionTaken({ person, readings }: PersonRecord, taken: Reading): Problem | null {
  const measure = taken.measure as MeasureId;
  const age = findAge(person, taken.takenAt);
  return (
    questionReading({ ...taken, measure }, readings) ??
    questionAgainstBand(
      taken.value,
      measure,
      findReferenceBand(measure, person.sexForReference, age),
    )
  );
}
