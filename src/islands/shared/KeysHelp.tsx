import { useEffect, useRef, useState } from 'react';
import { findKeys } from './keys.ts';
import { WordButton } from './ui/Button.tsx';
import { keys as say } from './words.ts';

const TYPING = 'input:not([type="range"]), textarea, select, [contenteditable]';

/** The keys of the page that is open, listed when `?` is pressed. */
export function KeysHelp() {
  const [isOpen, setIsOpen] = useState(false);
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target } = event;
      const isTyping = target instanceof Element && target.closest(TYPING) !== null;
      if (event.key !== '?' || isTyping || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      setIsOpen((now) => !now);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, []);
  useEffect(() => {
    if (isOpen) dialog.current?.showModal();
  }, [isOpen]);
  if (!isOpen) return null;
  const close = (): void => {
    setIsOpen(false);
  };
  return (
    <dialog
      ref={dialog}
      aria-label={say.keys}
      className="m-auto w-120 max-w-[calc(100vw-2rem)] rounded border bg-sheet p-6 text-ink backdrop:bg-ink/30 [&_h2]:mt-4"
      onClose={close}
    >
      <div className="flex items-baseline justify-between">
        <p className="m-0 font-serif text-[1.5rem]">{say.keys}</p>
        <WordButton onClick={close}>{say.close}</WordButton>
      </div>
      {findKeys(window.location.pathname).map(({ where, lines }) => (
        <section key={where}>
          <h2>{where}</h2>
          <dl className="grid grid-cols-[11rem_minmax(0,1fr)] gap-x-4 gap-y-1 max-phone:grid-cols-[8rem_minmax(0,1fr)]">
            {lines.map(([key, does]) => (
              <div key={does} className="contents">
                <dt className="font-semibold">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </dialog>
  );
}
