import { useLiveQuery } from 'dexie-react-hooks';
import { loadRecord, loadRecordWithHeld } from '../../data/people.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { reviseRecord } from '../../data/reviseRecord.ts';
import { getUnit } from '../../data/settings.ts';
import { whenOpen } from './whenOpen.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';

/** A person who is loaded by a query, again whenever what is stored of them changes. */
function useLoaded(
  query: string,
  id: string | null,
  load: typeof loadRecord,
): RevisedRecord | null | undefined {
  return useLiveQuery(
    whenOpen(async () => {
      const record = id === null ? null : await load(id);
      return record === null ? null : reviseRecord(query, record);
    }),
    [id],
  );
}

/** The person of a page: undefined while loading, null when there is none of this id. */
export const useRecord = (id: string | null): RevisedRecord | null | undefined =>
  useLoaded('record', id, loadRecord);

/** The same with the poses that were held before, for views that plan set-ups. */
export const useRecordWithHeld = (id: string | null): RevisedRecord | null | undefined =>
  useLoaded('with held', id, loadRecordWithHeld);

export const useUnit = (): LengthUnit => useLiveQuery(getUnit, []) ?? 'cm';
