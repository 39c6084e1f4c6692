import { useMemo } from 'react';
import { calcMeasureSet } from '../../core/measures/measureSet.ts';
import type { MeasureId } from '../../core/measures/protocols/index.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { listCrossChecks } from '../../core/whatIf/crossChecks.ts';

interface CrossChecksProps {
  record: PersonRecord;
  /** Those of this measure, whatever they say; null = all that disagree. */
  measure: MeasureId | null;
}

/** What the measures that feed no set-up say about the readings that do. */
export function CrossChecks({ record, measure }: CrossChecksProps) {
  const { readings } = record;
  const checks = useMemo(() => listCrossChecks(calcMeasureSet(readings)), [readings]);
  return checks
    .filter((each) => (measure === null ? !each.agrees : each.measure === measure))
    .map(({ measure: id, words }) => (
      <p key={id} role="note" data-testid="cross-check">
        {words}
      </p>
    ));
}
