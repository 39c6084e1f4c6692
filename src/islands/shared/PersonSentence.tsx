import type { Person } from '../../core/person/person.ts';
import { setUnit } from '../../data/settings.ts';
import { HandOverButton } from '../handOver/HandOverButton.tsx';
import { useHandOver } from '../handOver/useHandOver.ts';
import { useUnit } from './useRecord.ts';
import { useWrite } from './useWrite.tsx';
import { WordButton } from './ui/Button.tsx';

type ViewName = 'person' | 'measure' | 'set-up' | 'session' | 'over-time' | 'record';

const VIEWS: readonly { readonly place: ViewName; readonly words: string }[] = [
  { place: 'person', words: 'what to mind' },
  { place: 'measure', words: 'what is measured' },
  { place: 'set-up', words: 'how to set up' },
  { place: 'session', words: 'on the mat' },
  { place: 'over-time', words: 'over time' },
  { place: 'record', words: 'the record' },
];

/** The way through one person's record, as a sentence. */
export function PersonSentence({ person, here }: { person: Person; here: ViewName }) {
  const isHandedOver = useHandOver()?.lockedAt != null;
  if (isHandedOver) {
    return (
      <div className="mb-[0.8rem] flex flex-wrap items-baseline justify-between gap-x-6 border-b border-hair print:hidden desk:pr-64 max-tablet:in-[body:has([data-run])]:hidden">
        <p className="font-serif text-[1.1rem] [&_a]:inline-block [&_a]:py-[0.7rem] [&_a]:no-underline [&_a:hover]:wave [&_a[aria-current]]:wave">
          <strong>{person.name}</strong>
        </p>
        <UnitChoice />
      </div>
    );
  }
  return (
    <div className="mb-[0.8rem] flex flex-wrap items-baseline justify-between gap-x-6 border-b border-hair print:hidden desk:pr-64 max-tablet:in-[body:has([data-run])]:hidden">
      <nav
        aria-label={`Record of ${person.name}`}
        className="font-serif text-[1.1rem] [&_a]:inline-block [&_a]:py-[0.7rem] [&_a]:no-underline [&_a:hover]:wave [&_a[aria-current]]:wave"
      >
        <strong>{person.name}</strong>
        {': '}
        {VIEWS.map(({ place, words }, i) => (
          <span key={place}>
            <a
              href={`/${place}?id=${encodeURIComponent(person.id)}`}
              aria-current={place === here ? 'page' : undefined}
            >
              {words}
            </a>
            {i < VIEWS.length - 1 ? ', ' : '.'}
          </span>
        ))}
      </nav>
      <span>
        <HandOverButton /> <UnitChoice />
      </span>
    </div>
  );
}

function UnitChoice() {
  const unit = useUnit();
  const other = unit === 'cm' ? 'in' : 'cm';
  const { write, told } = useWrite();
  return (
    <>
      <WordButton
        className="text-faint"
        onClick={() => {
          write(() => setUnit(other));
        }}
      >
        in {unit === 'cm' ? 'centimetres' : 'inches'}
        <span className="sr-only">, change to {other === 'cm' ? 'centimetres' : 'inches'}</span>
      </WordButton>
      {told}
    </>
  );
}
