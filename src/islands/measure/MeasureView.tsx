import { StopPanel } from '../shared/ui/StopPanel.tsx';
import { useState } from 'react';
import { CAUTION_KINDS, type Tier } from '../../core/cautions/catalogue.ts';
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
import { SignGroup } from '../shared/StopSigns.tsx';
import { ExperienceField } from '../shared/ExperienceField.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { findRound } from './findRound.ts';
import { MeasureStep } from './MeasureStep.tsx';
import { RoundOverview } from './RoundOverview.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
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

const GROUPS: readonly {
  readonly heading: string;
  readonly tiers: readonly Tier[];
}[] = [
  { heading: say.groups.now, tiers: ['emergency', 'same-day'] },
  { heading: say.groups.lately, tiers: ['send-on'] },
  { heading: say.groups.adapt, tiers: ['adapt'] },
];

/** Experience, then the health questions, one group after the other. */
function AskFirst({ person }: { person: Person }) {
  const stops = findStopSigns(person);
  const [at, setAt] = useState(0);
  const { write, told } = useWrite();
  const answer = (): void => {
    if (at < GROUPS.length - 1) setAt(at + 1);
    else
      write(() => changePerson(person.id, () => ({ cautionsAskedAt: new Date().toISOString() })));
  };
  return (
    <section>
      <h1>{say.beforeFirstMeasure}</h1>
      <ExperienceField person={person} />
      <p>{say.askTheseYourOwn}</p>
      {stops.length > 0 && (
        <StopPanel role="alert">
          <h2>{say.stopHere}</h2>
          <ProblemList problems={stops} />
        </StopPanel>
      )}
      {told}
      <div className="max-w-160">
        {GROUPS.slice(0, at + 1).map(({ heading, tiers }, i) => {
          const isAny = CAUTION_KINDS.some(
            ({ id, tier }) =>
              tiers.includes(tier) && person.cautions.some((each) => each.id === id),
          );
          return i < at && !isAny ? (
            <p key={heading}>
              <strong>{heading}:</strong> {say.noneOfThese.toLowerCase()}.{' '}
              <WordButton
                onClick={() => {
                  setAt(i);
                }}
              >
                {say.askAgain}
                <span className="sr-only">: {heading}</span>
              </WordButton>
            </p>
          ) : (
            <div key={heading} className="mb-4">
              <SignGroup person={person} tiers={tiers} heading={heading} />
              {i === at && stops.length === 0 && (
                <Button ref={focusOnce} className="mt-2" onClick={answer}>
                  {isAny ? say.thatIsAll : say.noneOfThese}
                </Button>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}

/** The group that is asked now takes the focus when the button of the one before is gone. */
function focusOnce(element: HTMLButtonElement | null): void {
  if (element !== null && document.activeElement === document.body) element.focus();
}
