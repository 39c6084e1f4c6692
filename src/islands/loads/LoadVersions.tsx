import { sayLoadChanges } from '../../core/whatIf/loadChanges.ts';
import type { LoadVersion, LoadVersions as Versions } from '../../core/whatIf/compareLoads.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { Result } from '../../core/problems/problem.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { Toggle } from '../shared/ui/Button.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { writeValue } from '../shared/writeValue.ts';
import { loadVersions as say } from './words.ts';

interface LoadVersionsProps {
  answer: Result<Versions> | null;
  /** The one that lies over the drawing; null = none. */
  chosen: LoadVersion | null;
  onChoose: (version: LoadVersion | null) => void;
}

/** The versions of a pose that load the joints otherwise: which one lies over it, what it spares and what it costs. */
export function LoadVersions({ answer, chosen, onChoose }: LoadVersionsProps) {
  if (answer === null) {
    return (
      <p role="status" className="text-faint">
        {say.workingOut}
      </p>
    );
  }
  if (!answer.ok) return <ProblemList problems={answer.problems} />;
  const { now, versions } = answer.value;
  return (
    <>
      <h3 className="mt-3 mb-1 text-[1rem] font-bold">{say.title}</h3>
      {versions.length === 0 && <p className="text-faint">{say.none}</p>}
      <div className="flex flex-wrap gap-2" role="group" aria-label={say.label}>
        {versions.map((each) => (
          <Toggle
            key={each.id}
            className="text-[1.05rem]"
            aria-pressed={each.id === chosen?.id}
            onClick={() => {
              onChoose(each.id === chosen?.id ? null : each);
            }}
          >
            {each.name}
          </Toggle>
        ))}
      </div>
      {chosen !== null && <Changes now={now} version={chosen} />}
    </>
  );
}

function Changes({ now, version }: { now: SetUp; version: LoadVersion }) {
  const unit = useUnit();
  const { setUp, name } = version;
  const { spares, costs } = sayLoadChanges(now, setUp, unit);
  const { depth } = setUp;
  const isOtherDepth =
    depth?.value != null && Math.abs(depth.value - (now.depth?.value ?? depth.value)) > 0.5;
  return (
    <p role="status" data-testid="load-changes">
      <strong>{say.overlay(name)}</strong> {spares !== null && `${say.spares(spares)} `}
      {costs !== null && `${say.costs(costs)} `}
      {isOtherDepth && say.otherDepth(writeValue(depth.value, depth.unit, unit))}
    </p>
  );
}
