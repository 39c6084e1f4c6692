import { findActiveCautions } from '../../core/cautions/stopSigns.ts';
import { calcMeasureSet } from '../../core/measures/measureSet.ts';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import { isStale } from '../../core/measures/staleness.ts';
import type { Person, PersonRecord } from '../../core/person/person.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { StopSigns } from '../shared/StopSigns.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { AboutForm } from './AboutForm.tsx';
import { HistoryList } from './HistoryList.tsx';
import { IntakeForm } from './IntakeForm.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { TheirData } from './TheirData.tsx';
import { personView as say } from './words.ts';

/** Who someone is, what to mind with them, and what is due to be measured again. */
export function PersonView() {
  const [query] = useQuery();
  const record = useRecord(query.get('id'));
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const { person } = record;
  return (
    <>
      <PersonHeader person={person} here="person" />
      <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-x-16 gap-y-6 pt-2 max-phone:grid-cols-[minmax(0,1fr)]">
        <section>
          <h1>{say.health}</h1>
          <p className="text-faint">
            {person.cautionsAskedAt === null
              ? say.notAskedYetNothing
              : say.lastAskedNothingHere(writeDate(person.cautionsAskedAt))}
          </p>
          <Noted person={person} />
          <StopSigns person={person} />
        </section>
        <section>
          <h2>{say.who}</h2>
          <AboutForm person={person} key={person.id} />
          <h2>{say.theirOwnWords}</h2>
          <IntakeForm person={person} key={`intake ${person.id}`} />
          <HistoryList person={person} />
          <h2>{say.reMeasure}</h2>
          <DueList record={record} />
          <TheirData person={person} key={`data ${person.id}`} />
        </section>
      </div>
    </>
  );
}

/** What is set now, before the whole list of questions. */
function Noted({ person }: { person: Person }) {
  const active = findActiveCautions(person);
  if (active.length === 0) return null;
  return (
    <ul className="grid gap-[0.35rem] mb-3 border-y border-hair py-2" data-testid="noted">
      {active.map(({ entry, kind, stops }) => (
        <li key={entry.id}>
          <strong className={stops ? 'font-bold text-stop' : ''}>
            {kind?.name ?? entry.id}
            {entry.side === null ? '' : `, ${entry.side}`}
          </strong>
          {entry.clearedBy === null ? '' : say.clearedBy(entry.clearedBy)}
          {entry.note === '' ? '' : `: ${entry.note}`}
        </li>
      ))}
    </ul>
  );
}

function DueList({ record }: { record: PersonRecord }) {
  const now = new Date().toISOString();
  const values = [...calcMeasureSet(record.readings).values()];
  if (values.length === 0) {
    return (
      <p>
        {say.noMeasuresYet}
        <a href={`/measure?id=${encodeURIComponent(record.person.id)}`}>{say.startShortRound}</a>
      </p>
    );
  }
  const stale = values.filter((each) =>
    isStale(each.measure, each.takenAt, now, record.person.birthYear),
  );
  if (stale.length === 0) return <p>{say.nothingReMeasure}</p>;
  return (
    <ul className="grid gap-[0.35rem]" data-testid="due">
      {stale.map((each) => (
        <li key={`${each.measure} ${each.side ?? ''}`}>
          {getProtocol(each.measure).name}
          {each.side === null ? '' : `, ${each.side}`}{' '}
          <span className="text-faint">{writeDate(each.takenAt)}</span>
        </li>
      ))}
    </ul>
  );
}
