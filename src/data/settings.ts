import type { LengthUnit } from '../core/units/readQuantity.ts';
import { db } from './database.ts';

export async function getUnit(): Promise<LengthUnit> {
  const row = await db.settings.get('unit');
  return row?.value === 'in' ? 'in' : 'cm';
}

export async function setUnit(unit: LengthUnit): Promise<void> {
  await db.settings.put({ key: 'unit', value: unit });
}
