import type { Person } from '../../core/person/person.ts';
import { setUnit } from '../../data/settings.ts';
import { HandOverButton } from '../handOver/HandOverButton.tsx';
import { useHandOver } from '../handOver/useHandOver.ts';
import { useUnit } from './useRecord.ts';
import { useWrite } from './useWrite.tsx';
import { WordButton } from './ui/Button.tsx';
import { personSentence as say } from './words.ts';

type ViewName = 'person' | 'measure' | 'set-up' | 'session' | 'over-time' | 'record';

const VIEWS: readonly { readonly place: ViewName; readonly words: string }[] = [
  { place: 'person', words: say.whatMind },
  { place: 'measure', words: say.whatMeasured },
  { place: 'set-up', words: say.howSetUp },
  { place: 'session', words: say.mat },
  { place: 'over-time', words: say.overTime },
  { place: 'record', words: say.record },
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
        aria-label={say.recordOf(person.name)}
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
        {say.inWord(unit === 'cm' ? 'centimetres' : 'inches')}
        <span className="sr-only">{say.change(other === 'cm' ? 'centimetres' : 'inches')}</span>
      </WordButton>
      {told}
    </>
  );
}
