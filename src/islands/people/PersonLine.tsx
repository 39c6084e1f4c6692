import { useLiveQuery } from 'dexie-react-hooks';
import { useId } from 'react';
import { findLastHold, findNextAction, type NextAction } from '../../core/sessions/nextAction.ts';
import { findLatestReading } from '../../data/readings.ts';
import type { PersonRow } from '../../data/rows.ts';
import { listSessions } from '../../data/sessions.ts';
import { ButtonLink } from '../shared/ui/Button.tsx';
import { namePose } from '../shared/poseWords.ts';
import { useRecordWithHeld } from '../shared/useRecord.ts';
import { writeDate } from '../shared/writeValue.ts';
import { LastFigure } from './LastFigure.tsx';
import { PersonMenu } from './PersonMenu.tsx';
import { personLine as say } from './words.ts';

interface PersonLineProps {
  row: PersonRow;
  onRemove: () => void;
}

/** Where the next action is done, and what it is called. */
function describeNext(next: NextAction, query: string): { href: string; words: string } {
  switch (next.kind) {
    case 'health':
      return { href: `/person${query}`, words: say.seeHealth };
    case 'measure':
      return { href: `/measure${query}`, words: say.measure };
    case 'finish-round':
      return {
        href: `/measure${query}&only=${next.measures.join()}`,
        words: say.measureMore(next.measures.length),
      };
    case 'go-on':
      return {
        href: `/session${query}&session=${encodeURIComponent(next.session)}`,
        words: say.goOn,
      };
    case 're-measure':
      return {
        href: `/measure${query}&only=${next.measures.join()}`,
        words: say.reMeasure(next.count),
      };
    case 'set-up':
      return { href: `/set-up${query}`, words: say.seeSetUps };
    case 'session':
      return { href: `/session${query}`, words: say.startSession };
  }
}

/** One person of the list: their last set-up as a figure, when they were measured, and what is next. */
export function PersonLine({ row, onRemove }: PersonLineProps) {
  const record = useRecordWithHeld(row.id);
  const latest = useLiveQuery(() => findLatestReading(row.id), [row.id]);
  const sessions = useLiveQuery(() => listSessions(row.id), [row.id]);
  const nameId = useId();
  const query = `?id=${encodeURIComponent(row.id)}`;
  const isKnown = record !== undefined && record !== null && sessions !== undefined;
  const next = isKnown ? findNextAction(record, sessions, new Date().toISOString()) : null;
  const action = next === null ? null : describeNext(next, query);
  const last = sessions === undefined ? null : findLastHold(sessions);
  const isStopped = next?.kind === 'health';
  return (
    <li className="grid min-h-20 grid-cols-[5.5rem_minmax(0,5fr)_minmax(0,4fr)_auto_15rem_2.75rem] items-center gap-x-5 py-1 max-desk:grid-cols-[5.5rem_minmax(0,1fr)_15rem_2.75rem] max-phone:grid-cols-[3.5rem_minmax(0,1fr)_2.75rem] max-phone:gap-x-3 max-phone:py-3">
      <span className="flex h-18 items-center justify-center max-phone:h-14">
        {isKnown && !isStopped && record.readings.length > 0 && (
          <LastFigure record={record} last={last} />
        )}
      </span>
      <span>
        <a
          className="inline-flex min-h-11 items-center font-serif text-[1.3rem] leading-[normal] font-medium no-underline hover:wave"
          id={nameId}
          data-testid="person-name"
          href={latest === null ? `/measure${query}` : `/set-up${query}`}
        >
          {row.person.name}
        </a>
        <span className={isStopped ? 'block font-bold text-stop' : 'block text-faint'}>
          {isStopped
            ? say.stopSign
            : latest === undefined
              ? ''
              : latest === null
                ? say.notMeasuredYet
                : say.measured(writeDate(latest))}
        </span>
      </span>
      <span className="text-faint max-desk:hidden">
        {last !== null && (
          <>
            {say.lastHeld(namePose(last.pose))}
            <span className="block">{writeDate(last.at)}</span>
          </>
        )}
      </span>
      <span className="flex items-center gap-x-[1.1rem] *:inline-flex *:min-h-11 *:items-center max-desk:hidden">
        <a href={`/person${query}`}>{say.health}</a>
        <a href={`/measure${query}`}>{say.measures}</a>
        <a href={`/set-up${query}`}>{say.setUps}</a>
        <a href={`/session${query}`}>{say.session}</a>
      </span>
      <span className="max-phone:order-last max-phone:col-span-full max-phone:mt-2 max-phone:ml-[4.25rem]">
        {action !== null && (
          <ButtonLink
            className="w-full justify-center whitespace-nowrap max-phone:w-auto"
            href={action.href}
            aria-describedby={nameId}
          >
            {action.words}
          </ButtonLink>
        )}
      </span>
      <PersonMenu name={row.person.name} query={query} onRemove={onRemove} />
    </li>
  );
}
