import { useLayoutEffect } from 'react';
import { BACK_KEYS, NEXT_KEYS, PRESS_KEYS } from '../shared/pedal.ts';

interface StepKeys {
  readonly onNext: () => void;
  readonly onBack: () => void;
  readonly onUndo: () => void;
}

/** Elements that use these keys themselves. */
const OWN_KEYS = 'input, textarea, select, summary, a, dialog';

/** The keys that a pedal sends lead through a session; Backspace takes the last note back. */
export function useStepKeys({ onNext, onBack, onUndo }: StepKeys): void {
  // As soon as a step is shown: a key that comes at once is meant for it.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target } = event;
      if (event.ctrlKey || event.metaKey || event.altKey || !(target instanceof Element)) return;
      if (target.closest(OWN_KEYS) !== null) return;
      const isOnButton = target.closest('button') !== null;
      if (NEXT_KEYS.includes(event.key)) onNext();
      else if (BACK_KEYS.includes(event.key)) onBack();
      else if (event.key === 'Backspace') onUndo();
      else if (PRESS_KEYS.includes(event.key) && !isOnButton) onNext();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  });
}
