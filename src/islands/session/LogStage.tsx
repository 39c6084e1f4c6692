import type { PersonRecord } from '../../core/person/person.ts';
import { USUAL_LEVEL } from '../../core/poses/level.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { drawErrorSign } from '../../core/drawing/errorSigns.ts';
import { POSE_ERRORS } from '../../core/sessions/errors.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { Response } from '../../core/sessions/respond.ts';
import type { HoldNotes, NewEntry, Session } from '../../core/sessions/session.ts';
import { EVERY_POSE } from '../shared/poseWords.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { PainNote } from './PainNote.tsx';
import { ResponsePanel } from './ResponsePanel.tsx';
import { SignNote } from './SignNote.tsx';
import { UsedNumbers } from './UsedNumbers.tsx';
import { SelectField } from '../shared/SelectField.tsx';

interface LogStageProps {
  record: PersonRecord;
  session: Session;
  hold: LoggedHold;
  holds: readonly LoggedHold[];
  /** What to do at once with what was noted; null = nothing. */
  response: Response | null;
  onNote: (entries: readonly NewEntry[]) => void;
  /** Leaves this pose, with what has to be noted; `inPlace` is the hold that stands in for it. */
  onPass: (entries: readonly NewEntry[], inPlace?: string) => void;
}

/** What was seen, in one tap each. Everything can be left out; each tap is stored at once. */
export function LogStage(props: LogStageProps) {
  const { record, session, hold, holds, response, onNote, onPass } = props;
  const { plan, notes } = hold;
  const change = (changed: Partial<HoldNotes>): void => {
    onNote([{ kind: 'note', hold: plan.id, change: changed }]);
  };
  const photo = new URLSearchParams({
    id: record.person.id,
    pose: plan.pose,
    side: plan.side,
    session: session.id,
    hold: plan.id,
  });
  const levels = findPose(plan.pose)?.levels ?? [];
  return (
    <div className="run-log">
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
      <div className="run-log-columns">
        <section aria-label="What was seen">
          <div className="error-tiles">
            {POSE_ERRORS.map(({ id, words, say }) => {
              const isSeen = notes.errors.includes(id);
              const drawing = drawErrorSign(id, words);
              return (
                <button
                  key={id}
                  type="button"
                  className="error-tile"
                  aria-pressed={isSeen}
                  title={say}
                  onClick={() => {
                    onNote([{ kind: 'error', hold: plan.id, error: id, isSeen: !isSeen }]);
                  }}
                >
                  {drawing !== null && (
                    <span aria-hidden>
                      <SheetDrawing drawing={drawing} className="error-sign" />
                    </span>
                  )}
                  <span>{words}</span>
                </button>
              );
            })}
          </div>
        </section>
        <section aria-label="How it was" className="log-side">
          <div className="word-choices">
            <Toggle
              isOn={notes.breath === 'easy'}
              onPress={() => {
                change({ breath: notes.breath === 'easy' ? null : 'easy' });
              }}
            >
              breath easy
            </Toggle>
            <Toggle
              isOn={notes.breath === 'held'}
              onPress={() => {
                change({ breath: notes.breath === 'held' ? null : 'held' });
              }}
            >
              breath held
            </Toggle>
            <Toggle
              isOn={notes.isHarder}
              onPress={() => {
                change({ isHarder: !notes.isHarder });
              }}
            >
              this side was harder
            </Toggle>
            <Toggle
              isOn={notes.outcome === 'ended-early'}
              onPress={() => {
                change({ outcome: notes.outcome === 'ended-early' ? null : 'ended-early' });
              }}
            >
              ended early
            </Toggle>
            <Toggle
              isOn={notes.outcome === 'skipped'}
              onPress={() => {
                change({ outcome: notes.outcome === 'skipped' ? null : 'skipped' });
              }}
            >
              skipped
            </Toggle>
          </div>
          <PainNote notes={notes} onChange={change} />
          <SignNote notes={notes} cleared={hold.cleared} onChange={change} />
          <details>
            <summary>What was really used</summary>
            {levels.length > 0 && (
              <SelectField
                label="Level reached"
                value={notes.level ?? plan.level ?? USUAL_LEVEL}
                options={levels.map(({ id, name }) => [id, name] as const)}
                onChange={(value) => {
                  change({ level: value });
                }}
              />
            )}
            <UsedNumbers plan={plan} notes={notes} onChange={change} />
          </details>
          <SelectField
            label="Swapped for"
            value={notes.swappedFor ?? ''}
            options={[
              ['', 'not swapped'],
              ...EVERY_POSE.filter(({ id }) => id !== plan.pose).map(
                ({ id, name }) => [id, name] as const,
              ),
            ]}
            onChange={(value) => {
              const swappedFor = value === '' ? null : value;
              change({ swappedFor, outcome: swappedFor === null ? null : 'swapped' });
            }}
          />
          <label className="field">
            <span>Note</span>
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
          </label>
          {findPose(plan.pose) !== null && (
            <p>
              <a href={`/pose-photo?${photo.toString()}`}>A photo against this plan</a>
            </p>
          )}
          <p className="quiet" role="status">
            {hold.at === null ? 'Nothing noted yet.' : 'Saved.'}
          </p>
        </section>
      </div>
    </div>
  );
}

interface ToggleProps {
  isOn: boolean;
  onPress: () => void;
  children: string;
}

function Toggle({ isOn, onPress, children }: ToggleProps) {
  return (
    <button type="button" className="word-toggle" aria-pressed={isOn} onClick={onPress}>
      {children}
    </button>
  );
}
