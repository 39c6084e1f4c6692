import { Ellipsis } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import { WordButton } from '../shared/ui/Button.tsx';
import { personLine as say } from './words.ts';

const Popover = lazy(async () => ({
  default: (await import('../shared/ui/Popover.tsx')).Popover,
}));

interface PersonMenuProps {
  name: string;
  query: string;
  onRemove: () => void;
}

/** The other views of a person, and removing them. */
export function PersonMenu({ name, query, onRemove }: PersonMenuProps) {
  const [isOpen, setIsOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const close = (): void => {
    setIsOpen(false);
  };
  return (
    <>
      <button
        ref={button}
        type="button"
        className="inline-flex size-11 cursor-pointer items-center justify-center"
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        onClick={() => {
          setIsOpen(true);
        }}
      >
        <Ellipsis aria-hidden size={22} />
        <span className="sr-only">{say.more(name)}</span>
      </button>
      {isOpen && (
        <Suspense>
          <Popover label={say.more(name)} triggerRef={button} onClose={close}>
            <div className="grid *:inline-flex *:min-h-11 *:items-center *:justify-start">
              <a href={`/person${query}`}>{say.health}</a>
              <a href={`/measure${query}`}>{say.measures}</a>
              <a href={`/set-up${query}`}>{say.setUps}</a>
              <a href={`/session${query}`}>{say.session}</a>
              <a href={`/over-time${query}`}>{say.progress}</a>
              <a href={`/record${query}`}>{say.record}</a>
              <WordButton
                className="text-left text-faint"
                onClick={() => {
                  close();
                  onRemove();
                }}
              >
                {say.remove}
                <span className="sr-only"> {name}</span>
              </WordButton>
            </div>
          </Popover>
        </Suspense>
      )}
    </>
  );
}
