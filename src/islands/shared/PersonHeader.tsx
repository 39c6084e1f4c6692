import type { Person } from '../../core/person/person.ts';
import { HandOverButton } from '../handOver/HandOverButton.tsx';
import { useHandOver } from '../handOver/useHandOver.ts';
import { UnitChoice } from './UnitChoice.tsx';
import { personHeader as say } from './words.ts';

type ViewName = 'person' | 'measure' | 'set-up' | 'flows' | 'session' | 'over-time' | 'record';

const VIEWS: readonly { readonly view: ViewName; readonly words: string }[] = [
  { view: 'person', words: say.health },
  { view: 'measure', words: say.measures },
  { view: 'set-up', words: say.setUps },
  { view: 'flows', words: say.flows },
  { view: 'session', words: say.session },
  { view: 'over-time', words: say.progress },
  { view: 'record', words: say.record },
];

/** Whose page it is and the way to the others, in one line of type; on a narrow screen in two. */
export function PersonHeader({ person, here }: { person: Person; here: ViewName }) {
  const isHandedOver = useHandOver()?.lockedAt != null;
  return (
    <div className="mb-[0.8rem] flex flex-wrap items-center gap-x-6 border-b border-hair font-serif text-[1.1rem] leading-none desk:pr-102 max-desk:pr-72 max-phone:gap-x-3 max-phone:pr-0 print:hidden max-tablet:in-[body:has([data-run])]:hidden">
      <strong className="inline-flex min-h-11 items-center max-phone:max-w-32 max-phone:truncate">
        {person.name}
      </strong>
      {!isHandedOver && (
        <nav
          aria-label={say.views(person.name)}
          className="flex flex-wrap gap-x-5 max-tablet:order-last max-tablet:-mr-72 max-tablet:w-[calc(100%+18rem)] max-phone:mr-0 max-phone:w-full max-phone:flex-nowrap max-phone:justify-between max-phone:gap-x-1 max-phone:text-[0.86rem] max-phone:tracking-tight max-phone:whitespace-nowrap"
        >
          {VIEWS.map(({ view, words }) => (
            <a
              key={view}
              className="inline-flex min-h-11 items-center no-underline hover:wave aria-[current]:wave"
              href={`/${view}?id=${encodeURIComponent(person.id)}`}
              aria-current={view === here ? 'page' : undefined}
            >
              {words}
            </a>
          ))}
        </nav>
      )}
      <span className="ml-auto flex items-center gap-x-3 font-sans text-base max-tablet:mr-auto max-tablet:ml-0">
        {!isHandedOver && <HandOverButton />}
        <UnitChoice />
      </span>
    </div>
  );
}
