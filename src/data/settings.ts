import type { LengthUnit } from '../core/units/readQuantity.ts';
import { db } from './database.ts';

/** How a capture is confirmed to hands that are busy and eyes that are elsewhere. */
export type Confirmation = 'sound' | 'voice' | 'none';

async function getSetting(key: string): Promise<unknown> {
  return (await db.settings.get(key))?.value;
}

async function setSetting(key: string, value: unknown): Promise<void> {
  await db.settings.put({ key, value });
}

export const getUnit = async (): Promise<LengthUnit> =>
  (await getSetting('unit')) === 'in' ? 'in' : 'cm';

export const setUnit = (unit: LengthUnit): Promise<void> => setSetting('unit', unit);

/** Who measures in this browser; empty = not said. */
export async function getMeasurer(): Promise<string> {
  const value = await getSetting('measurer');
  return typeof value === 'string' ? value : '';
}

export const setMeasurer = (name: string): Promise<void> => setSetting('measurer', name);

export async function getConfirmation(): Promise<Confirmation> {
  const value = await getSetting('confirmation');
  return value === 'voice' || value === 'none' ? value : 'sound';
}

export const setConfirmation = (confirmation: Confirmation): Promise<void> =>
  setSetting('confirmation', confirmation);
