/** What the browser says of the room that it gives us. */
export interface StorageState {
  /** It has promised not to clear the data on its own. */
  readonly isPersistent: boolean;
  readonly usedBytes: number;
  /** 0 = it does not say. */
  readonly roomBytes: number;
}

/** @returns null where the browser says nothing of its storage */
export async function findStorage(): Promise<StorageState | null> {
  // Not there on an insecure address, whatever its type says.
  const storage = navigator.storage as StorageManager | undefined;
  if (storage === undefined) return null;
  const [isPersistent, { usage = 0, quota = 0 }] = await Promise.all([
    storage.persisted(),
    storage.estimate(),
  ]);
  return { isPersistent, usedBytes: usage, roomBytes: quota };
}

/** Asks the browser to keep the data until someone deletes it. */
export async function askToKeepData(): Promise<void> {
  const storage = navigator.storage as StorageManager | undefined;
  await storage?.persist();
}

/** From this share of the room on, it is time to say something. */
const NEARLY_FULL = 0.8;

export const isNearlyFull = ({ usedBytes, roomBytes }: StorageState): boolean =>
  roomBytes > 0 && usedBytes >= NEARLY_FULL * roomBytes;

/** `3.4 MB`. */
export function writeBytes(bytes: number): string {
  const units = ['kB', 'MB', 'GB', 'TB'];
  let value = bytes / 1000;
  let unit = 0;
  while (value >= 1000 && unit < units.length - 1) {
    value /= 1000;
    unit += 1;
  }
  return `${value < 10 ? value.toFixed(1) : value.toFixed(0)} ${units[unit]!}`;
}
