import { calcBody } from '../../core/body/body.ts';
import { calcMeasureSet } from '../../core/measures/measureSet.ts';
import { getProtocol, type MeasureId } from '../../core/measures/protocols/index.ts';
import type { Side } from '../../core/measures/protocol.ts';
import { findTapeForm, type TapeBody } from '../../core/measures/tapeForms.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { cmFromMetres } from '../../core/units/brands.ts';
import { useUnit } from '../shared/useRecord.ts';
import type { HowTaken, MeasuringMethod } from './HowTaken.tsx';
import { ReadingField } from './ReadingField.tsx';
import { TapeReading } from './TapeReading.tsx';
import type { Slot } from './slots.ts';

/** The lengths of one leg that tape sums need; null while they are not known. */
function findTapeBody(record: PersonRecord, side: Side | null): TapeBody | null {
  const body = calcBody(calcMeasureSet(record.readings));
  if (!body.ok || side === null) return null;
  const { thigh, shank, footLength, hipCentreDistance } = body.value;
  return {
    thigh: cmFromMetres(thigh[side]),
    shank: cmFromMetres(shank[side]),
    footLength: cmFromMetres(footLength),
    hipCentreDistance: cmFromMetres(hipCentreDistance),
  };
}

interface FieldsProps {
  record: PersonRecord;
  measure: MeasureId;
  slots: readonly (readonly Slot[])[];
  way: MeasuringMethod;
  how: HowTaken;
  onEnter: (from: HTMLInputElement) => void;
}

/** A field for every reading: numbers can always be typed, whatever else brings them. */
export function Fields({ record, measure, slots, way, how, onEnter }: FieldsProps) {
  const unit = useUnit();
  const protocol = getProtocol(measure);
  const form = way === 'tape' ? findTapeForm(measure) : null;
  return slots.flat().map((slot) => {
    const { side, row, reading } = slot;
    const shared = { protocol, side, row, reading, how, unit, onEnter };
    return form !== null ? (
      <TapeReading
        key={`tape ${String(side)} ${String(row)}`}
        record={record}
        form={form}
        body={findTapeBody(record, side)}
        {...shared}
      />
    ) : (
      <ReadingField
        key={`${String(side)} ${String(row)}`}
        record={record}
        focusFirst={way === 'typed' && slot === slots[0]?.[0]}
        {...shared}
      />
    );
  });
}
