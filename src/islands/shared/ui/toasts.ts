import { ToastQueue } from 'react-stately';
import { toastRegion as say } from '../words.ts';

/** What was just done, and a way to take it back. */
interface ToastContent {
  readonly words: string;
  readonly action?: { readonly words: string; readonly run: () => void };
}

/** Every view of a page puts its toasts here; AppNotices shows them. */
export const toasts = new ToastQueue<ToastContent>({ maxVisibleToasts: 2 });

/** Long enough to read and to reach for "Undo", ms; it waits while it is pointed at. Our choice. */
const SHOWN_MS = 12_000;

/** Says what was done, at the foot of the page. */
export const showToast = (content: ToastContent): string =>
  toasts.add(content, { timeout: SHOWN_MS });

/** Says that what was done is taken back, once that is stored. */
export const showUndone = (): string => showToast({ words: say.undone });
