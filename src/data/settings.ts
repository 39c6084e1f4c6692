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

/**
 * Stores who measures, but only over the name it was read from.
 *
 * @returns what was stored meanwhile from elsewhere, and stays; null = it is stored
 */
export function changeMeasurer(from: string, to: string): Promise<string | null> {
  return db.transaction('rw', db.settings, async () => {
    const now = await getMeasurer();
    if (now !== from && now !== to) return now;
    await setSetting('measurer', to);
    return null;
  });
}

export async function getConfirmation(): Promise<Confirmation> {
  const value = await getSetting('confirmation');
  return value === 'voice' || value === 'none' ? value : 'sound';
}

export const setConfirmation = (confirmation: Confirmation): Promise<void> =>
  setSetting('confirmation', confirmation);

/** Under which key a person's own pace stands. */
export const toPaceKey = (personId: string): string => `pace ${personId}`;

/** A person's own seconds a breath; null = not known yet. */
export async function getPace(personId: string): Promise<number | null> {
  const value = await getSetting(toPaceKey(personId));
  return typeof value === 'number' ? value : null;
}

export const setPace = (personId: string, seconds: number): Promise<void> =>
  setSetting(toPaceKey(personId), seconds);

export const getBreathSound = async (): Promise<boolean> =>
  (await getSetting('breath-sound')) === true;

export const setBreathSound = (isOn: boolean): Promise<void> => setSetting('breath-sound', isOn);

/** When the last backup was made and read back, ISO; null = never in this browser. */
export async function getBackedUpAt(): Promise<string | null> {
  const value = await getSetting('backed-up-at');
  return typeof value === 'string' ? value : null;
}

export const setBackedUpAt = (at: string): Promise<void> => setSetting('backed-up-at', at);

const DEFAULT_BACKUP_DAYS = 7;

/** By how many days the last backup may be older than the newest data. */
export async function getBackupDays(): Promise<number> {
  const value = await getSetting('backup-days');
  return typeof value === 'number' ? value : DEFAULT_BACKUP_DAYS;
}

export const setBackupDays = (days: number): Promise<void> => setSetting('backup-days', days);

/** How many months data is kept after the last of it; null = no period is set. */
export async function getRetentionMonths(): Promise<number | null> {
  const value = await getSetting('retention-months');
  return typeof value === 'number' ? value : null;
}

export const setRetentionMonths = (months: number | null): Promise<void> =>
  setSetting('retention-months', months);

/** Under which key a teacher’s own cues stand; empty = nobody has said who teaches. */
const toCuesKey = (teacher: string): string => `cues ${teacher}`;

/** A teacher’s own cues as plain text, by pose. */
export async function listOwnCues(teacher: string): Promise<Readonly<Record<string, string>>> {
  const value = await getSetting(toCuesKey(teacher));
  return typeof value === 'object' && value !== null ? (value as Record<string, string>) : {};
}

/**
 * Stores a teacher’s own cues of a pose, but only over those they were changed from.
 *
 * @param from as they were; null = there were none
 * @param to null = there are none any more
 * @returns what was stored meanwhile from elsewhere, and stays; null = they are stored
 */
export function changeOwnCues(
  teacher: string,
  pose: string,
  from: string | null,
  to: string | null,
): Promise<string | null> {
  return db.transaction('rw', db.settings, async () => {
    const { [pose]: now = null, ...others } = await listOwnCues(teacher);
    if (now !== from && now !== to && now !== null) return now;
    await setSetting(toCuesKey(teacher), to === null ? others : { ...others, [pose]: to });
    return null;
  });
}

/** Whether cues are read aloud during a hold; off unless it was wanted. */
export const getCueVoice = async (): Promise<boolean> => (await getSetting('cue-voice')) === true;

export const setCueVoice = (isOn: boolean): Promise<void> => setSetting('cue-voice', isOn);
