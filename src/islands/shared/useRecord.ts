import { useLiveQuery } from 'dexie-react-hooks';
import type { PersonRecord } from '../../core/person/person.ts';
import { loadRecord, loadRecordWithHeld } from '../../data/people.ts';
import { getUnit } from '../../data/settings.ts';
import { whenOpen } from './whenOpen.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';

/** The person of a page: undefined while loading, null when there is none of this id. */
export const useRecord = (id: string | null): PersonRecord | null | undefined =>
  useLiveQuery(
    whenOpen(() => (id === null ? null : loadRecord(id))),
    [id],
  );

/** The same with the poses that were held before, for views that plan set-ups. */
export const useRecordWithHeld = (id: string | null): PersonRecord | null | undefined =>
  useLiveQuery(
    whenOpen(() => (id === null ? null : loadRecordWithHeld(id))),
    [id],
  );

export const useUnit = (): LengthUnit => useLiveQuery(getUnit, []) ?? 'cm';
