import { useLiveQuery } from 'dexie-react-hooks';
import type { PersonRecord } from '../../core/person/person.ts';
import { loadRecord } from '../../data/people.ts';
import { getUnit } from '../../data/settings.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';

/** The person of a page: undefined while loading, null when there is none of this id. */
export const useRecord = (id: string | null): PersonRecord | null | undefined =>
  useLiveQuery(() => (id === null ? null : loadRecord(id)), [id]);

export const useUnit = (): LengthUnit => useLiveQuery(getUnit, []) ?? 'cm';
