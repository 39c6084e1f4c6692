import { getProtocol, isMeasureId } from '../../core/measures/protocols/index.ts';
import { FULL_ROUND } from '../../core/measures/rounds.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { ProblemList } from '../shared/ProblemList.tsx';

interface NoSetUpProps {
  personId: string;
  problems: readonly Problem[];
  working: boolean;
  onProvisional: () => void;
}

/** Why there is nothing to draw yet, and the way on. */
export function NoSetUp({ personId, problems, working, onProvisional }: NoSetUpProps) {
  if (problems.length === 0) return <p className="quiet">{working ? 'Working it out…' : ''}</p>;
  const missing = problems.filter((each) => each.code === 'missing-measure');
  const first = FULL_ROUND.find((measure) => missing.some((each) => each.path.startsWith(measure)));
  const measure = `/measure?id=${encodeURIComponent(personId)}`;
  return (
    <div className="empty">
      <h2>{missing.length > 0 ? 'Not yet' : 'No set-up'}</h2>
      {missing.length > 0 ? (
        <>
          <p>This pose needs a few more readings:</p>
          <ul className="plain-list">
            {missing.map((each) => (
              <li key={each.path}>{nameMissing(each.path)}</li>
            ))}
          </ul>
          <div className="button-row">
            <a className="button" href={first === undefined ? measure : `${measure}&step=${first}`}>
              Measure now
            </a>
            <button type="button" className="button plain" onClick={onProvisional}>
              A provisional set-up
            </button>
          </div>
          <p className="quiet">
            Provisional: what is missing is taken from a stiff body and marked. It needs stature,
            trochanter height, hip opening and straight-leg raise.
          </p>
        </>
      ) : (
        <ProblemList problems={problems} />
      )}
    </div>
  );
}

function nameMissing(path: string): string {
  const [id = '', side] = path.split(' ');
  const name = isMeasureId(id) ? getProtocol(id).name : id;
  return side === undefined ? name : `${name}, ${side}`;
}
