import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import { decide, findOffer } from '../../core/sessions/decide.ts';
import type { Judgement } from '../../core/sessions/judgeSession.ts';
import type { SessionState } from '../../core/sessions/readSession.ts';
import type { Decision, Session } from '../../core/sessions/session.ts';
import type { VerdictKind } from '../../core/sessions/ladder.ts';
import { sayVerdict } from '../../core/sessions/sayVerdict.ts';
import { addEntries } from '../../data/sessions.ts';
import { judgeSessionInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { writeDate } from '../shared/writeValue.ts';
import { namePose, nameSide } from '../shared/poseWords.ts';
import { TextField } from '../shared/ui/TextField.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, ButtonLink } from '../shared/ui/Button.tsx';
import { OfferedChange } from './OfferedChange.tsx';
import { judgeView as say } from './words.ts';

interface JudgeViewProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  session: Session;
  state: SessionState;
}

/** What comes of a session: one verdict a pose and side, to accept or to overrule with a reason. */
export function JudgeView({ record, sessions, session, state }: JudgeViewProps) {
  const personId = record.person.id;
  const key = JSON.stringify([record.revision, session.id, sessions.length]);
  const result = useAnswer(key, () => judgeSessionInWorker(record, sessions, session));
  const { write, told } = useWrite();
  const put = (decisions: readonly Decision[]): void => {
    write(
      () =>
        addEntries(
          personId,
          session.id,
          decisions.map((decision) => ({ kind: 'decide', decision })),
        ),
      decisions,
    );
  };
  const judged = result?.ok === true ? result.value : [];
  const isDecided = ({ pose, side }: Judgement): boolean =>
    state.decisions.some((each) => each.pose === pose && each.side === side);
  const open = judged.filter((each) => !isDecided(each));
  return (
    <section>
      <h1>{say.nextTime}</h1>
      {told}
      <p>
        {say.holdsLogged(
          state.ended === null ? '' : say.ended(writeDate(state.ended.at)),
          state.ended?.why === 'ended-early' ? say.beforeEverythingHeld : '',
          state.ended?.why === 'emergency' ? say.stopSignEndedSession : '',
          state.holds.filter(({ at }) => at !== null).length,
          state.holds.length,
        )}
      </p>
      {result === null && (
        <p role="status" className="text-faint">
          {say.workingOutNextStep}
        </p>
      )}
      {result?.ok === false && <ProblemList problems={result.problems} />}
      {result?.ok === true && judged.length === 0 && <p>{say.nothingLoggedSoNothing}</p>}
      {open.length > 0 && (
        <div className="my-4 flex flex-wrap gap-3">
          <Button
            ref={focusOnce}
            onClick={() => {
              put(open.map((each) => decide(each, each.verdict.kind, '')));
            }}
          >
            {say.accept(open.length === 1 ? 'it' : say.all(open.length))}
          </Button>
        </div>
      )}
      <ol
        className="max-w-224 pl-[1.8rem] *:border-b *:border-hair *:py-[0.6rem] [&_p]:mt-0 [&_p]:mb-[0.15rem] [&_p]:max-w-none"
        data-testid="verdicts"
      >
        {judged.map((judgement) => (
          <VerdictLine
            key={`${judgement.pose} ${judgement.side}`}
            judgement={judgement}
            decision={
              state.decisions.find(
                (each) => each.pose === judgement.pose && each.side === judgement.side,
              ) ?? null
            }
            onDecide={(kind, reason) => {
              put([decide(judgement, kind, reason)]);
            }}
          />
        ))}
      </ol>
      <div className="my-4 flex flex-wrap gap-3">
        <ButtonLink isPlain href={`/session?id=${encodeURIComponent(personId)}`}>
          {say.nextSession}
        </ButtonLink>
        <ButtonLink isPlain href={`/over-time?id=${encodeURIComponent(personId)}`}>
          {say.progress}
        </ButtonLink>
      </div>
    </section>
  );
}

function focusOnce(element: HTMLButtonElement | null): void {
  if (element !== null && document.activeElement === document.body) element.focus();
}

interface VerdictLineProps {
  judgement: Judgement;
  decision: Decision | null;
  onDecide: (kind: VerdictKind, reason: string) => void;
}

/** What may be chosen in place of a verdict. */
const CHOICES: readonly VerdictKind[] = ['go-on', 'keep', 'ease', 'pause'];

function VerdictLine({ judgement, decision, onDecide }: VerdictLineProps) {
  const { pose, side, verdict } = judgement;
  const kind = decision?.kind ?? verdict.kind;
  const offer = findOffer(judgement, kind);
  const [instead, setInstead] = useState<VerdictKind | ''>('');
  const [reason, setReason] = useState('');
  const stops = kind === 'pause' || kind === 'pause-and-send-on' || kind === 'end-session';
  const choices = CHOICES.filter(
    (each) => each !== verdict.kind && (each !== 'go-on' || judgement.further !== null),
  );
  return (
    <li>
      <p className="text-[1.15rem]">
        <strong>{namePose(pose)}</strong>, {nameSide(pose, side)}:{' '}
        <strong
          className={
            stops
              ? 'font-bold text-stop'
              : 'underline decoration-water decoration-3 underline-offset-4'
          }
        >
          {sayVerdict(kind)}
        </strong>
        {decision === null
          ? ''
          : decision.choice === 'accepted'
            ? say.accepted
            : say.changed(decision.reason)}
      </p>
      <p className="text-faint">
        {say.because(
          decision?.choice === 'overruled' ? say.suggested(sayVerdict(verdict.kind)) : '',
          verdict.facts.join('; '),
          verdict.remeasure.length > 0 ? say.measureAgain(verdict.remeasure.join('; ')) : '',
        )}
      </p>
      {offer !== null && offer.changes.length > 0 && <OfferedChange pose={pose} offer={offer} />}
      <details>
        <summary>{decision === null ? say.change : say.decideAgain}</summary>
        <form
          className="mb-4 flex flex-wrap items-end gap-x-4 *:[button]:mb-[0.7rem] *:[label]:flex-[1_1_14rem]"
          onSubmit={(event) => {
            event.preventDefault();
            if (instead === '') onDecide(verdict.kind, '');
            else if (reason.trim() !== '') onDecide(instead, reason.trim());
          }}
        >
          <SelectField
            label={say.instead}
            value={instead}
            options={[
              ['', `as offered: ${sayVerdict(verdict.kind)}`],
              ...choices.map((each) => [each, sayVerdict(each)] as const),
            ]}
            onChange={(value) => {
              setInstead(value as VerdictKind | '');
            }}
          />
          {instead !== '' && (
            <TextField
              label={say.reasonForColleagueFollow}
              value={reason}
              required
              onChange={setReason}
            />
          )}
          <Button type="submit" isPlain>
            {say.decide}
          </Button>
        </form>
      </details>
    </li>
  );
}
