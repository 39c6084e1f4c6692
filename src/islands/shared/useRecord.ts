import { useLiveQuery } from 'dexie-react-hooks';
import { loadRecord, loadRecordWithHeld } from '../../data/people.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { reviseRecord } from '../../data/reviseRecord.ts';
import { getUnit } from '../../data/settings.ts';
import { getStudioForSetUps } from '../../data/studio.ts';
import { whenOpen } from './whenOpen.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';

/** A person with where they practise, loaded again whenever what is stored of either changes. */
function useLoaded(
  query: string,
  id: string | null,
  load: typeof loadRecord,
): RevisedRecord | null | undefined {
  return useLiveQuery(
    whenOpen(async () => {
      const [record, studio] = await Promise.all([
        id === null ? null : load(id),
        getStudioForSetUps(),
      ]);
      if (record === null) return null;
      return reviseRecord(query, studio === undefined ? record : { ...record, studio });
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
