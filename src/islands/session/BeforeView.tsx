import { FITTING_LEVEL } from '../../core/poses/level.ts';
import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import { readSession } from '../../core/sessions/readSession.ts';
import type { Session } from '../../core/sessions/session.ts';
import { NOT_ASKED, type Today } from '../../core/sessions/today.ts';
import { EVERY_POSE, resolveRules } from '../../core/rules/chosenSchools.ts';
import type { SessionAsked } from '../../core/sessions/planSession.ts';
import { startSession } from '../../data/sessions.ts';
import { planSessionInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { OpenSessions } from './OpenSessions.tsx';
import { PlanForm } from './PlanForm.tsx';
import { PlannedHolds } from './PlannedHolds.tsx';
import { TodayForm } from './TodayForm.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { beforeView as say } from './words.ts';

interface BeforeViewProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  onOpen: (id: string) => void;
}

/** Poses of a first session. Our choice: every family, nothing on one leg. */
const FIRST_POSES = ['mountain', 'warrior-two', 'triangle', 'high-lunge', 'pyramid', 'chair'];

/** What was held last time, or a first choice; each pose once. */
function findPosesToday(sessions: readonly Session[]): SessionAsked['poses'] {
  const last = sessions.find((each) => each.holds.length > 0);
  const held = new Set((last?.holds ?? []).map(({ pose }) => pose));
  const poses = held.size > 0 ? [...held] : FIRST_POSES;
  // At which level the record says, a side at a time.
  return poses.map((pose) => ({ pose, level: FITTING_LEVEL }));
}

const hadPain = (session: Session | undefined): boolean =>
  session !== undefined &&
  readSession(session).holds.some(({ notes }) => (notes.pain?.score ?? 0) > 0);

/** Before a session: what about today, which poses, and what comes of both. */
export function BeforeView({ record, sessions, onOpen }: BeforeViewProps) {
  const past = sessions.filter((each) => each.entries.length > 0);
  const [today, setToday] = useState<Omit<Today, 'askedAt'>>(NOT_ASKED);
  const [asked, setAsked] = useState<SessionAsked>(() => ({
    poses: findPosesToday(past),
    order: resolveRules(record, EVERY_POSE, {}).sides,
    breaths: null,
    rounds: 1,
  }));
  const [heldAt, setHeldAt] = useState<string | null>(null);
  const [isBeginning, setIsBeginning] = useState(false);
  const key = JSON.stringify([
    record.revision,
    past.map(({ entries }) => entries.length),
    today,
    asked,
  ]);
  const told: Today = { ...today, askedAt: new Date().toISOString() };
  const result = useAnswer(asked.poses.length === 0 ? null : key, () =>
    planSessionInWorker(record, past, told, asked),
  );
  const plan = result?.ok === true ? result.value : null;
  const { write, told: refusal } = useWrite();
  const begin = (): void => {
    if (plan === null) return;
    setIsBeginning(true);
    write(async () => {
      try {
        onOpen(await startSession(record.person.id, plan.holds, told, heldAt));
      } finally {
        setIsBeginning(false);
      }
    });
  };
  return (
    <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-14 gap-y-6 pt-2 max-tablet:grid-cols-[minmax(0,1fr)]">
      <section>
        <OpenSessions personId={record.person.id} sessions={sessions} onOpen={onOpen} />
        <h1>{say.beforeYouStart}</h1>
        <TodayForm
          today={today}
          hadPain={hadPain(past[0])}
          onChange={(change) => {
            setToday((now) => ({ ...now, ...change }));
          }}
        />
      </section>
      <section>
        <h2>{say.session}</h2>
        <PlanForm
          asked={asked}
          heldAt={heldAt}
          onHeldAt={setHeldAt}
          onChange={(change) => {
            setAsked((now) => ({ ...now, ...change }));
          }}
        />
        {result?.ok === false && <ProblemList problems={result.problems} />}
        <div className="my-4 flex flex-wrap gap-3">
          <Button
            disabled={plan === null || plan.holds.length === 0 || isBeginning}
            onClick={begin}
          >
            {heldAt === null ? 'Begin' : say.log}
          </Button>
        </div>
        {refusal}
        <PlannedHolds
          plan={plan}
          isWorking={result === null && asked.poses.length > 0}
          personId={record.person.id}
          sessions={past}
        />
        <p className="text-faint">{say.painNumbnessCatchingJoint}</p>
      </section>
    </div>
  );
}
