import { useEffect, useRef } from 'react';

interface CaptureKeys {
  readonly onTake: () => void;
  readonly onUndo?: () => void;
  readonly onZero?: () => void;
}

const TYPING = 'input, textarea, select, [contenteditable]';

/**
 * Keys that work wherever the focus is, but for fields: Space, Enter and PageDown (a pedal
 * or a presenter) take, Backspace undoes, Z sets the zero. A focused button keeps its own
 * Space and Enter.
 */
export function useCaptureKeys(keys: CaptureKeys): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target, key } = event;
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (target instanceof Element && target.closest(TYPING) !== null) return;
      const isOnButton = target instanceof Element && target.closest('button, a, summary') !== null;
      const { onTake, onUndo, onZero } = latest.current;
      if (key === 'PageDown' || (!isOnButton && (key === ' ' || key === 'Enter'))) onTake();
      else if (key === 'Backspace' && onUndo !== undefined) onUndo();
      else if (key.toLowerCase() === 'z' && onZero !== undefined) onZero();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, []);
}
