import { capital } from '../../core/units/capital.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findAnyPose } from '../../core/poses/anyPose.ts';
import type { FlowEdit } from '../../core/sequence/editFlow.ts';
import type { Session } from '../../core/sessions/session.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import type { PlannedStep } from '../../core/sequence/plannedFlow.ts';
import { listSaidMoves, sayMove } from '../../core/sequence/sayMoves.ts';
import { sumParts } from '../../core/sequence/wayCosts.ts';
import { listPassed, type Way } from '../../core/sequence/ways.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { findWaysInWorker } from '../../workers/setUpClient.ts';
import { useAnswer } from '../shared/useAnswer.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { stepPanel as say } from './words.ts';

interface WayInProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  flow: Flow;
  plan: FlowPlan;
  index: number;
  unit: LengthUnit;
  edit: (edit: FlowEdit) => void;
}

const namePoses = (ids: readonly string[]): string =>
  ids.map((id) => findAnyPose(id)?.name ?? id).join(', ');

/** How a step is come into: what the feet and hands do in order, what it counts, and other ways. */
export function WayIn({ record, sessions, flow, plan, index, unit, edit }: WayInProps) {
  const way = plan.ways.find((each) => each.index === index)?.way ?? null;
  const key = JSON.stringify([record.revision, flow.steps, index]);
  const found = useAnswer(way === null ? null : key, () =>
    findWaysInWorker(record, sessions, flow, index),
  );
  const passages = plan.steps.filter((each) => each.index === index);
  const others = (found?.ok === true ? found.value : []).filter(
    (each) => way !== null && listPassed(each).join() !== listPassed(way).join(),
  );
  const step = flow.steps[index];
  if (way === null) return <p className="text-faint">{say.first}</p>;
  return (
    <>
      <h3 className="mt-3 font-serif text-[1.1rem]">{say.wayIn}</h3>
      {way.passages.length === 0 ? <p>{say.stays}</p> : <p>{sayThrough(way)}</p>}
      {passages.map((each, i) => (
        <PassageWords key={i} step={each} isOnly={passages.length === 1} unit={unit} />
      ))}
      {way.passages.length > 0 && <Counts way={way} />}
      {others.length > 0 && step !== undefined && (
        <p className="flex flex-wrap items-center gap-x-4">
          <span className="text-faint">{say.otherWays}:</span>
          {others.map((each) => {
            const ids = listPassed(each);
            return (
              <WordButton
                key={ids.join()}
                onClick={() => {
                  const isCheapest = found?.ok === true && each === found.value[0];
                  edit({ kind: 'way', step: step.id, by: isCheapest ? null : ids });
                }}
              >
                {ids.length === 0 ? say.atOnce : say.choose(namePoses(ids))}
              </WordButton>
            );
          })}
        </p>
      )}
    </>
  );
}

function sayThrough(way: Way): string {
  const passed = listPassed(way);
  return passed.length === 0 ? say.direct : say.through(namePoses(passed));
}

interface PassageWordsProps {
  step: PlannedStep;
  isOnly: boolean;
  unit: LengthUnit;
}

/** One transition: what is done in order, how far the feet go, and where the hands are. */
function PassageWords({ step, isOnly, unit }: PassageWordsProps) {
  const { passage, name, place } = step;
  if (passage === null) return null;
  const said = listSaidMoves(step)
    .map((move) => sayMove(move, place.side, unit))
    .filter(Boolean);
  return (
    <div className="my-2">
      {!isOnly && <strong>{name}</strong>}
      <ol className="list-decimal pl-5">
        {passage.transition.order.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
      {said.length > 0 && <p className="mb-0 font-semibold">{capital(said.join('; '))}.</p>}
      <p className="text-faint">{say.hands(passage.transition.hands)}</p>
    </div>
  );
}

/** The arithmetic of a way: how much of each, and what it counts. */
const Counts = ({ way }: { way: Way }) => (
  <details>
    <summary>{say.why}</summary>
    <ul>
      {sumParts(way.passages).map(({ kind, amount, cost }) => (
        <li key={kind}>{say.count(amount.toFixed(0), say.counts[kind], cost.toFixed(1))}</li>
      ))}
      <li className="font-semibold">{say.sum(way.cost.toFixed(1))}</li>
    </ul>
  </details>
);
