import { useRef, useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { noteChange } from '../../core/sessions/logHold.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { Response } from '../../core/sessions/respond.ts';
import type { HoldNotes, NewEntry, Session } from '../../core/sessions/session.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { ControlledErrorTiles } from '../poseErrors/ErrorTiles.tsx';
import { FeltNote } from '../felt/FeltNote.tsx';
import { HoldOutcome } from './HoldOutcome.tsx';
import { PainNote } from './PainNote.tsx';
import { ResponsePanel } from './ResponsePanel.tsx';
import { SignNote } from './SignNote.tsx';
import { SwappedFor } from './SwappedFor.tsx';
import { Used } from './Used.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { logStage as say } from './words.ts';

interface LogStageProps {
  record: RevisedRecord;
  /** The same as the session was planned for. */
  recordToday: RevisedRecord;
  /** All of this person, this one among them. */
  sessions: readonly Session[];
  session: Session;
  hold: LoggedHold;
  /** As it was planned; null = it is not there yet. */
  setUp: SetUp | null;
  /** As it was held, with what was changed; null = it is not there yet. */
  held: SetUp | null;
  /** Holds to come on the same feet. */
  onSameFeet: readonly LoggedHold[];
  holds: readonly LoggedHold[];
  /** What to do at once with what was noted; null = nothing. */
  response: Response | null;
  onNote: (entries: readonly NewEntry[]) => void;
  /** Leaves this pose, with what has to be noted; `inPlace` is the hold that stands in for it. */
  onPass: (entries: readonly NewEntry[], inPlace?: string) => void;
}

/** What was seen, in one tap each. Everything can be left out; each tap is stored at once. */
export function LogStage(props: LogStageProps) {
  const {
    record,
    recordToday,
    sessions,
    session,
    hold,
    setUp,
    held,
    onSameFeet,
    holds,
    response,
    onNote,
    onPass,
  } = props;
  const { plan, notes } = hold;
  const [seen, setSeen] = useState<string | null>(null);
  const [hurts, setHurts] = useState(false);
  const pain = useRef<HTMLDivElement>(null);
  const change = (changed: Partial<HoldNotes>): void => {
    onNote([noteChange(plan.id, changed)]);
  };
  const photo = new URLSearchParams({
    id: record.person.id,
    pose: plan.pose,
    side: plan.side,
    session: session.id,
    hold: plan.id,
  });
  return (
    <div data-testid="run-log">
      {response !== null && response.kind !== 'ease' && (
        <ResponsePanel
          record={record}
          session={session}
          hold={hold}
          holds={holds}
          response={response}
          onPass={onPass}
          onNote={onNote}
        />
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,27rem)] gap-6 max-tablet:grid-cols-[minmax(0,1fr)]">
        <section aria-label={say.whatSeen}>
          <ControlledErrorTiles
            record={recordToday}
            sessions={sessions}
            hold={hold}
            setUp={setUp}
            onSameFeet={onSameFeet}
            opened={seen}
            onOpen={setSeen}
            onNote={onNote}
          />
        </section>
        <section aria-label={say.howWent} className="flex flex-col gap-[0.6rem] text-[1.2rem]">
          <HoldOutcome notes={notes} onChange={change} />
          <FeltNote
            record={recordToday}
            sessions={sessions}
            hold={hold}
            holds={holds}
            setUp={held}
            onNote={onNote}
            onChange={change}
            onPain={() => {
              setHurts(true);
              pain.current?.focus();
            }}
            onSee={setSeen}
          />
          <div ref={pain} tabIndex={-1}>
            <PainNote notes={notes} onChange={change} />
            <SignNote
              key={String(hurts)}
              notes={notes}
              cleared={hold.cleared}
              isAsked={hurts}
              onChange={change}
            />
          </div>
          <Used plan={plan} notes={notes} onChange={change} />
          <SwappedFor plan={plan} notes={notes} onChange={change} />
          <Field label={say.note}>
            <input
              defaultValue={notes.note}
              onBlur={(event) => {
                const { value } = event.target;
                if (value !== notes.note) change({ note: value });
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter') event.currentTarget.blur();
              }}
            />
          </Field>
          {findPose(plan.pose) !== null && (
            <p>
              <a href={`/pose-photo?${photo.toString()}`}>{say.photoAgainstPlan}</a>
            </p>
          )}
          <p className="text-faint" role="status">
            {hold.at === null ? say.nothingLoggedYet : say.saved}
          </p>
        </section>
      </div>
    </div>
  );
}
