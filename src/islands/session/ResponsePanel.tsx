import { StopPanel } from '../shared/ui/StopPanel.tsx';
import { useEffect, useRef, useState } from 'react';
import { findCautionKind } from '../../core/cautions/catalogue.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { LYING_POSES } from '../../core/poses/lying/index.ts';
import { noteChange, swapFor } from '../../core/sessions/logHold.ts';
import { planInPlace } from '../../core/sessions/planInPlace.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import { stopPose, type Response } from '../../core/sessions/respond.ts';
import type { NewEntry, Session } from '../../core/sessions/session.ts';
import { changePerson } from '../../data/people.ts';
import { insertHold } from '../../data/sessions.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { responsePanel as say } from './words.ts';

interface ResponsePanelProps {
  record: RevisedRecord;
  session: Session;
  hold: LoggedHold;
  holds: readonly LoggedHold[];
  response: Response;
  onPass: (entries: readonly NewEntry[], inPlace?: string) => void;
  onNote: (entries: readonly NewEntry[]) => void;
}

/** What to do at once with what was just noted. */
export function ResponsePanel(props: ResponsePanelProps) {
  const { record, session, hold, holds, response, onPass, onNote } = props;
  const [told, setTold] = useState('');
  const { write, told: refusal } = useWrite();
  const panel = useRef<HTMLDivElement>(null);
  // What to do now is seen at once, wherever the page was scrolled to.
  useEffect(() => {
    panel.current?.scrollIntoView({ block: 'nearest' });
  }, [response.kind]);
  const { plan, notes } = hold;
  const isUrgent = ['emergency', 'same-day'].includes(
    findCautionKind(notes.sign ?? '')?.tier ?? '',
  );
  const stop = (): readonly NewEntry[] => stopPose(hold, holds, response);
  const end = async (): Promise<void> => {
    const { sign } = notes;
    if (isUrgent && sign !== null) await standInRecord(record, sign);
    onNote([
      ...stop(),
      { kind: 'end', why: isUrgent ? 'emergency' : 'ended-early', note: response.words },
    ]);
  };
  const swap = async (pose: string): Promise<void> => {
    const now = new Date().toISOString();
    const key = JSON.stringify([say.place, session.id, record.revision, pose, plan.side]);
    const planned = await planInWorker(key, record, pose, plan.side, {});
    if (!planned.ok || planned.value.status === 'failed') {
      const problems = planned.ok ? planned.value.problems : planned.problems;
      setTold(problems.map((each) => each.message).join(' '));
      return;
    }
    const pair = planInPlace(plan, planned.value, now);
    await insertHold(record.person.id, session.id, plan.id, pair);
    const [own, ...others] = stop();
    const swapped = noteChange(plan.id, swapFor(pose));
    onPass([own!, swapped, ...others], pair.plan.id);
  };
  const lying = LYING_POSES.filter(({ swapFor }) => swapFor.includes(plan.pose));
  return (
    <StopPanel className="mb-4 max-w-none text-[1.3rem]" role="alert" ref={panel}>
      <h2>{response.words}</h2>
      <p>
        {response.facts.join('; ')}.{response.instead === '' ? '' : say.instead(response.instead)}
      </p>
      {told !== '' && <p>{told}</p>}
      {refusal}
      <div className="my-4 flex flex-wrap gap-3">
        {isUrgent ? (
          <Button
            onClick={() => {
              write(end);
            }}
          >
            {say.endSession}
          </Button>
        ) : (
          <>
            <Button
              onClick={() => {
                onPass(stop());
              }}
            >
              {say.leavePose}
            </Button>
            {lying.map(({ id, name }) => (
              <Button
                key={id}
                isPlain
                onClick={() => {
                  write(() => swap(id));
                }}
              >
                {say.insteadOf(name)}
              </Button>
            ))}
            <Button
              isPlain
              onClick={() => {
                write(end);
              }}
            >
              {say.endSession}
            </Button>
          </>
        )}
      </div>
    </StopPanel>
  );
}

/** A sign that needs help today stands in the record, and holds every set-up back until it is cleared. */
async function standInRecord({ person }: RevisedRecord, sign: string): Promise<void> {
  await changePerson(person.id, ({ cautions }) =>
    cautions.some(({ id, clearedBy }) => id === sign && clearedBy === null)
      ? {}
      : {
          cautions: [
            ...cautions,
            {
              uid: crypto.randomUUID(),
              id: sign,
              side: null,
              since: new Date().toISOString().slice(0, 10),
              severity: 'stop',
              clearedBy: null,
              clearedAt: null,
              note: say.session,
            },
          ],
        },
  );
}
