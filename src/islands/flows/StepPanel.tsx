import type { RevisedRecord } from '../../core/person/person.ts';
import { findAnyPose } from '../../core/poses/anyPose.ts';
import { FITTING_LEVEL, USUAL_LEVEL } from '../../core/poses/level.ts';
import type { FlowEdit } from '../../core/sequence/editFlow.ts';
import type { Session } from '../../core/sessions/session.ts';
import type { Flow, FlowStep, Manner } from '../../core/sequence/flow.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import { sayFootChange } from '../../core/sequence/sayMoves.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { Toggle, WordButton } from '../shared/ui/Button.tsx';
import { WordSelect } from '../shared/ui/WordSelect.tsx';
import { changeCount } from './FlowBand.tsx';
import { nameStep, sayManner, sideOfStep } from './stepWords.ts';
import { WayIn } from './WayIn.tsx';
import { stepPanel as say, towardPeak as peakWords } from './words.ts';

interface StepPanelProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  flow: Flow;
  plan: FlowPlan | null;
  step: FlowStep;
  unit: LengthUnit;
  edit: (edit: FlowEdit) => void;
}

/** One step: how it is done, the way into it, and what the shared stance costs it. */
export function StepPanel({ record, sessions, flow, plan, step, unit, edit }: StepPanelProps) {
  const at = flow.steps.findIndex(({ id }) => id === step.id);
  const planned = plan?.steps.find((each) => each.step?.id === step.id) ?? null;
  const leftOut = plan?.leftOut.find((each) => each.step.id === step.id) ?? null;
  const side = sideOfStep(step);
  return (
    <section data-testid="step">
      <h2 className="mt-0!">{nameStep(step)}</h2>
      <p className="flex flex-wrap items-center gap-x-3">
        {side !== null && (
          <>
            <span>{side}</span>
            <WordButton
              onClick={() => {
                edit({ kind: 'swap-side', step: step.id });
              }}
            >
              {say.otherSide}
            </WordButton>
          </>
        )}
        <LevelChoice step={step} edit={edit} />
        <MannerChoice step={step} edit={edit} />
      </p>
      <div className="flex flex-wrap items-center gap-2">
        <Toggle
          aria-label={`− ${sayManner(step)}`}
          onClick={() => {
            edit(changeCount(step, -1));
          }}
        >
          −
        </Toggle>
        <span className="min-w-24 text-center">{sayManner(step)}</span>
        <Toggle
          aria-label={`+ ${sayManner(step)}`}
          onClick={() => {
            edit(changeCount(step, 1));
          }}
        >
          +
        </Toggle>
      </div>
      <p className="mt-2 flex flex-wrap gap-x-4">
        <WordButton
          disabled={at === 0}
          onClick={() => {
            edit({ kind: 'move', step: step.id, after: flow.steps[at - 2]?.id ?? null });
          }}
        >
          {say.earlier}
        </WordButton>
        <WordButton
          disabled={at === flow.steps.length - 1}
          onClick={() => {
            edit({ kind: 'move', step: step.id, after: flow.steps[at + 1]?.id ?? null });
          }}
        >
          {say.later}
        </WordButton>
        <WordButton
          onClick={() => {
            edit({ kind: 'duplicate', step: step.id });
          }}
        >
          {say.duplicate}
        </WordButton>
        <WordButton
          onClick={() => {
            edit({ kind: 'remove', step: step.id });
          }}
        >
          {say.remove}
        </WordButton>
        {step.kind === 'pose' && (
          <a
            className="inline-flex min-h-11 items-center"
            href={`/set-up?id=${encodeURIComponent(record.person.id)}&pose=${step.pose}&side=${step.side}`}
          >
            {say.openSetUp}
          </a>
        )}
      </p>
      {leftOut !== null && <ProblemList problems={leftOut.problems} />}
      {planned !== null && <ProblemList problems={planned.gap} />}
      {plan !== null && planned !== null && (
        <>
          <Reasons plan={plan} index={planned.index} />
          <HarderSide plan={plan} step={step} edit={edit} />
          <StanceCost plan={plan} step={step} unit={unit} />
          <WayIn
            record={record}
            sessions={sessions}
            flow={flow}
            plan={plan}
            index={planned.index}
            unit={unit}
            edit={edit}
          />
        </>
      )}
    </section>
  );
}

function LevelChoice({ step, edit }: Pick<StepPanelProps, 'step' | 'edit'>) {
  const any = step.kind === 'pose' ? findAnyPose(step.pose) : null;
  if (step.kind !== 'pose' || any?.kind !== 'standing' || any.pose.levels.length === 0) return null;
  return (
    <WordSelect
      aria-label={say.level}
      value={step.level ?? USUAL_LEVEL}
      onChange={({ target }) => {
        edit({ kind: 'level', step: step.id, level: target.value });
      }}
    >
      <option value={FITTING_LEVEL}>{say.fits}</option>
      {any.pose.levels.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </WordSelect>
  );
}

/** The same step held, passed through, or in rhythm. */
function MannerChoice({ step, edit }: Pick<StepPanelProps, 'step' | 'edit'>) {
  const any = step.kind === 'warm-up' ? null : findAnyPose(step.pose);
  const manners: Readonly<Record<Manner['kind'], Manner>> = {
    held: { kind: 'held', breaths: any?.breaths ?? 5 },
    passed: { kind: 'passed' },
    rhythm: { kind: 'rhythm', times: 6 },
  };
  return (
    <WordSelect
      aria-label={say.manner}
      value={step.manner.kind}
      onChange={({ target }) => {
        edit({ kind: 'manner', step: step.id, manner: manners[target.value as Manner['kind']] });
      }}
    >
      <option value="held">{say.held}</option>
      <option value="passed">{say.passed}</option>
      <option value="rhythm">{say.rhythm}</option>
    </WordSelect>
  );
}

/** What the step has to do with the peak. */
function Reasons({ plan: { peak }, index }: { plan: FlowPlan; index: number }) {
  const reason = peak?.reasons.find((each) => each.index === index);
  if (reason === undefined || reason.words.length === 0) return null;
  return (
    <div data-testid="reasons">
      <h3 className="mt-3 font-serif text-[1.1rem]">{peakWords.why}</h3>
      <ul>
        {reason.words.map((each) => (
          <li key={each}>It {each}.</li>
        ))}
      </ul>
    </div>
  );
}

/** The harder side of a pose, and that side once more behind its last step. */
function HarderSide({
  plan,
  step,
  edit,
}: Pick<StepPanelProps, 'step' | 'edit'> & { plan: FlowPlan }) {
  const harder = step.kind === 'pose' ? plan.harder.find(({ pose }) => pose === step.pose) : null;
  if (step.kind !== 'pose' || harder == null) return null;
  const last = plan.flow.steps.findLast((each) => each.kind === 'pose' && each.pose === step.pose);
  return (
    <p>
      {say.harderSide(harder.side)}{' '}
      <WordButton
        onClick={() => {
          const { id: _id, by: _way, ...copy } = step;
          const steps = [{ ...copy, side: harder.side }];
          edit({ kind: 'insert', after: last?.id ?? step.id, steps });
        }}
      >
        {say.harderOnceMore(harder.side)}
      </WordButton>
    </p>
  );
}

/** What the shared stance costs a pose, and the move that would give it its best. */
function StanceCost({ plan, step, unit }: { plan: FlowPlan; step: FlowStep; unit: LengthUnit }) {
  const planned = plan.steps.find((each) => each.step?.id === step.id);
  const run = planned?.run == null ? null : (plan.runs[planned.run] ?? null);
  const own = run?.poses.find(({ pose }) => pose === planned?.place.pose);
  if (own === undefined || planned === undefined) return null;
  const percent = Math.round(100 * own.lost);
  return (
    <p>
      {percent === 0 ? say.costsNothing(planned.name) : say.costs(percent, planned.name)}{' '}
      {own.toBest !== null && say.onOwnFeet(planned.name, sayFootChange(own.toBest, unit))}
    </p>
  );
}
