import { StopPanel } from '../shared/ui/StopPanel.tsx';
import { findStopSigns } from '../../core/cautions/stopSigns.ts';
import type { MeasureId } from '../../core/measures/protocols/index.ts';
import { FULL_ROUND } from '../../core/measures/rounds.ts';
import { isAgreed } from '../../core/person/consent.ts';
import type { Person } from '../../core/person/person.ts';
import { changePerson } from '../../data/people.ts';
import { ConsentForm } from '../shared/ConsentForm.tsx';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { ProblemList } from '../shared/ProblemList.tsx';
import { StopSigns } from '../shared/StopSigns.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { findRound } from './findRound.ts';
import { MeasureStep } from './MeasureStep.tsx';
import { RoundOverview } from './RoundOverview.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { measureView as say } from './words.ts';

/** A round: consent and stop signs first, then one measure a screen. */
export function MeasureView() {
  const [query, setQuery] = useQuery();
  const record = useRecord(query.get('id'));
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const { person } = record;
  const { kind, measures } = findRound(query);
  // A measure that is linked to may lie outside the short round: then all are gone through.
  const round = measures.includes(query.get('step') as MeasureId) ? measures : FULL_ROUND;
  const step = round.find((each) => each === query.get('step')) ?? null;
  const go = (measure: MeasureId | null): void => {
    setQuery({ step: measure });
  };
  return (
    <>
      <PersonHeader person={person} here="measure" />
      {!isAgreed(person) ? (
        <AskConsent person={person} />
      ) : person.cautionsAskedAt === null || findStopSigns(person).length > 0 ? (
        <AskFirst person={person} />
      ) : step === null ? (
        <RoundOverview record={record} kind={kind} round={measures} onGo={go} />
      ) : (
        <MeasureStep key={step} record={record} measure={step} round={round} onGo={go} />
      )}
    </>
  );
}

function AskConsent({ person }: { person: Person }) {
  return (
    <section>
      <h1>{say.doesAgree(person.name)}</h1>
      <ConsentForm person={person} />
    </section>
  );
}

function AskFirst({ person }: { person: Person }) {
  const stops = findStopSigns(person);
  const { write, told } = useWrite();
  const noneOfThese = (): void => {
    write(() => changePerson(person.id, () => ({ cautionsAskedAt: new Date().toISOString() })));
  };
  return (
    <section>
      <h1>{say.beforeFirstMeasure}</h1>
      <p>{say.askTheseYourOwn}</p>
      {stops.length > 0 ? (
        <StopPanel role="alert">
          <h2>{say.stopHere}</h2>
          <ProblemList problems={stops} />
        </StopPanel>
      ) : (
        <Button onClick={noneOfThese}>{say.noneTheseContinue}</Button>
      )}
      {told}
      <StopSigns person={person} />
    </section>
  );
}
