/**
 * The app handed over: one view of one person, until a PIN is typed. It keeps a student from
 * wandering about; it is no encryption, and it stands in this browser's own small store, where
 * it is read before anything is drawn.
 */

/** Also read by the script in layouts/Page.astro. */
const KEY = 'stillwater.hand-over';

interface HandOver {
  readonly salt: string;
  /** SHA-256 of salt and PIN. */
  readonly pinHash: string;
  /** The path and query of the view that is handed over; null = nothing is. */
  readonly lockedAt: string | null;
  /** After how many minutes without a touch it locks itself; null = never. */
  readonly autoMinutes: number | null;
}

/** Views that may be handed over: none of them changes a person or shows another. */
const HANDED = ['/session', '/set-up', '/paper', '/over-time', '/record'];

const PIN_SHAPE = /^\d{4,8}$/;

let listeners: readonly (() => void)[] = [];
/** The text that is stored, as it was last read. */
let text: string | null = null;
let known: HandOver | null = null;

/** The same object as long as nothing is changed; null = no PIN was chosen yet. */
export function readHandOver(): HandOver | null {
  const stored = localStorage.getItem(KEY);
  if (stored !== text) {
    text = stored;
    known = stored === null ? null : (JSON.parse(stored) as HandOver);
  }
  return known;
}

export function onHandOver(listener: () => void): () => void {
  listeners = [...listeners, listener];
  window.addEventListener('storage', listener);
  return () => {
    listeners = listeners.filter((each) => each !== listener);
    window.removeEventListener('storage', listener);
  };
}

function store(next: HandOver): void {
  localStorage.setItem(KEY, JSON.stringify(next));
  for (const listener of listeners) listener();
}

async function hashPin(salt: string, pin: string): Promise<string> {
  const bytes = new TextEncoder().encode(salt + pin);
  const digest = await crypto.subtle.digest('SHA-256', bytes);
  return [...new Uint8Array(digest)].map((each) => each.toString(16).padStart(2, '0')).join('');
}

/** What is wrong with a PIN, in a sentence; null = it can be used. */
export const findPinProblem = (pin: string): string | null =>
  PIN_SHAPE.test(pin) ? null : 'PIN: it must be 4 to 8 digits.';

export async function choosePin(pin: string): Promise<void> {
  const salt = crypto.randomUUID();
  const before = readHandOver();
  store({
    salt,
    pinHash: await hashPin(salt, pin),
    lockedAt: null,
    autoMinutes: before?.autoMinutes ?? null,
  });
}

export function setAutoMinutes(autoMinutes: number | null): void {
  const now = readHandOver();
  if (now !== null) store({ ...now, autoMinutes });
}

/** Whether a view may be handed over as it is. */
export const canHandOver = (pathname: string): boolean => HANDED.includes(pathname);

/** Locks the app to the view that is open. */
export function handOver(): void {
  const now = readHandOver();
  if (now === null) return;
  store({ ...now, lockedAt: window.location.pathname + window.location.search });
}

/** @returns false when it is another PIN */
export async function takeBack(pin: string): Promise<boolean> {
  const now = readHandOver();
  if (now === null || (await hashPin(now.salt, pin)) !== now.pinHash) return false;
  store({ ...now, lockedAt: null });
  return true;
}
