import { FITTING_LEVEL } from '../../core/poses/level.ts';
import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import { readSession } from '../../core/sessions/readSession.ts';
import type { Session } from '../../core/sessions/session.ts';
import { NOT_ASKED, type Today } from '../../core/sessions/today.ts';
import { EVERY_POSE, resolveRules } from '../../core/rules/chosenSchools.ts';
import type { Result } from '../../core/problems/problem.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import { isAskedForLess, isGentlerDay, type GentlerDay } from '../../core/sessions/gentlerDay.ts';
import type { LedFlow } from '../../core/sessions/ledFlow.ts';
import type { SessionAsked, SessionPlan } from '../../core/sessions/planSession.ts';
import { startSession } from '../../data/sessions.ts';
import {
  planFlowSessionInWorker,
  planGentlerDayInWorker,
  planSessionInWorker,
} from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { GentlerPanel } from './GentlerPanel.tsx';
import { OpenSessions } from './OpenSessions.tsx';
import { PlanForm } from './PlanForm.tsx';
import { PlannedHolds } from './PlannedHolds.tsx';
import { TodayForm } from './TodayForm.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { beforeView as say, flowChoice as words } from './words.ts';

interface BeforeViewProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  flows: readonly Flow[];
  /** The flow that leads through the session; null = poses that are chosen here. */
  flowId: string | null;
  onFlow: (id: string | null) => void;
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

/** A session as it is planned: hold by hold, or led through a flow. */
interface Planned extends SessionPlan {
  readonly flow: LedFlow | null;
  readonly seconds: number | null;
  /** What took the place of what on a gentler day; left out = the usual plan. */
  readonly gentler?: Omit<GentlerDay, 'plan'>;
}

/** Poses that are chosen here, or a flow of this person. */
function FlowChoice({
  personId,
  flows,
  flowId,
  onFlow,
}: Pick<BeforeViewProps, 'flows' | 'flowId' | 'onFlow'> & { personId: string }) {
  const isGone = flowId !== null && !flows.some(({ id }) => id === flowId);
  return (
    <div className="mb-3 flex flex-wrap items-end gap-x-5 [&_select]:w-auto">
      <SelectField
        label={words.what}
        value={isGone ? '' : (flowId ?? '')}
        options={[
          ['', words.poses],
          ...flows.map(({ id, name }) => [id, words.flow(name)] as const),
        ]}
        onChange={(id) => {
          onFlow(id === '' ? null : id);
        }}
      />
      {isGone && <p role="status">{words.gone}</p>}
      {flowId !== null && !isGone && (
        <a
          className="mb-[0.7rem]"
          href={`/flows?id=${encodeURIComponent(personId)}&flow=${encodeURIComponent(flowId)}`}
        >
          {words.build}
        </a>
      )}
    </div>
  );
}

/** The poses that a flow holds, each once. */
const listHeld = ({ steps }: Flow): SessionAsked['poses'] =>
  [
    ...new Set(
      steps.flatMap((step) =>
        step.kind === 'pose' && step.manner.kind === 'held' ? [step.pose] : [],
      ),
    ),
  ].map((pose) => ({ pose, level: FITTING_LEVEL }));

/** Before a session: what about today, which poses, and what comes of both. */
export function BeforeView({ record, sessions, flows, flowId, onFlow, onOpen }: BeforeViewProps) {
  const flow = flows.find(({ id }) => id === flowId) ?? null;
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
  const isGentle = isGentlerDay(today);
  const key = JSON.stringify([
    record.revision,
    past.map(({ entries }) => entries.length),
    today,
    flow,
    asked,
  ]);
  const told: Today = { ...today, askedAt: new Date().toISOString() };
  const isAsked = flow === null ? asked.poses.length > 0 : true;
  const result = useAnswer(isAsked ? key : null, async (): Promise<Result<Planned>> => {
    if (isGentle) {
      const poses = flow === null ? asked.poses : listHeld(flow);
      const found = await planGentlerDayInWorker(record, past, told, { ...asked, poses });
      if (!found.ok) return found;
      const { plan, swaps, leftOut } = found.value;
      const gentler = { swaps, leftOut };
      return { ok: true, value: { ...plan, flow: null, seconds: null, gentler } };
    }
    if (flow === null) {
      const found = await planSessionInWorker(record, past, told, asked);
      return found.ok ? { ok: true, value: { ...found.value, flow: null, seconds: null } } : found;
    }
    const found = await planFlowSessionInWorker(record, past, told, flow);
    return found.ok ? { ok: true, value: { ...found.value, harder: [] } } : found;
  });
  const plan = result?.ok === true ? result.value : null;
  const { write, told: refusal } = useWrite();
  const begin = (): void => {
    if (plan === null) return;
    setIsBeginning(true);
    write(async () => {
      try {
        const { holds, flow: led } = plan;
        const leads = led === null ? {} : { flow: led };
        onOpen(await startSession(record.person.id, holds, told, heldAt, leads));
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
        {(flows.length > 0 || flowId !== null) && (
          <FlowChoice
            personId={record.person.id}
            flows={flows}
            flowId={flowId}
            onFlow={(id) => {
              setHeldAt(null);
              onFlow(id);
            }}
          />
        )}
        {flow === null && (
          <PlanForm
            asked={asked}
            heldAt={heldAt}
            onHeldAt={setHeldAt}
            onChange={(change) => {
              setAsked((now) => ({ ...now, ...change }));
            }}
          />
        )}
        {isAskedForLess(today) && (
          <GentlerPanel
            gentler={plan?.gentler ?? null}
            isTaken={isGentle}
            onTake={(isTaken) => {
              setToday((now) => ({ ...now, wish: isTaken ? 'gentle' : 'as-usual' }));
            }}
          />
        )}
        {result?.ok === false && <ProblemList problems={result.problems} />}
        <div className="my-4 flex flex-wrap gap-3">
          <Button
            disabled={
              plan === null || (plan.holds.length === 0 && plan.flow === null) || isBeginning
            }
            onClick={begin}
          >
            {heldAt === null ? 'Begin' : say.log}
          </Button>
        </div>
        {refusal}
        <PlannedHolds
          plan={plan}
          seconds={plan?.seconds ?? null}
          isWorking={result === null && isAsked}
          personId={record.person.id}
          sessions={past}
        />
        <p className="text-faint">{say.painNumbnessCatchingJoint}</p>
      </section>
    </div>
  );
}
