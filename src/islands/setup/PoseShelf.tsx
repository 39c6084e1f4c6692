import { LYING_POSES } from '../../core/poses/lying/index.ts';
import { POSES } from '../../core/poses/catalogue/index.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { Side } from '../../core/measures/protocol.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { usePlanned } from './usePlanned.ts';

interface ShelfProps {
  record: PersonRecord;
  poseId: string;
  side: Side;
  rules: Partial<HouseRules>;
  onChoose: (poseId: string) => void;
}

const FAMILIES = [
  { family: 'open', words: 'hips open' },
  { family: 'closed', words: 'hips closed' },
  { family: 'neutral', words: 'both feet alike' },
] as const;

/** All poses by family; a line shows how deep each goes for this person. */
export function PoseShelf({ record, poseId, side, rules, onChoose }: ShelfProps) {
  return (
    <nav aria-label="Poses" className="shelf">
      {FAMILIES.map(({ family, words }) => (
        <div key={family}>
          <p className="shelf-family">{words}</p>
          <ul>
            {POSES.filter((pose) => pose.family === family).map((pose) => (
              <li key={pose.id}>
                <button
                  type="button"
                  aria-current={pose.id === poseId ? 'true' : undefined}
                  onClick={() => {
                    onChoose(pose.id);
                  }}
                >
                  {pose.name}
                  <DepthLine record={record} poseId={pose.id} side={side} rules={rules} />
                </button>
              </li>
            ))}
          </ul>
        </div>
      ))}
      <div>
        <p className="shelf-family">lying and seated</p>
        <ul>
          {LYING_POSES.map((pose) => (
            <li key={pose.id}>
              <button
                type="button"
                aria-current={pose.id === poseId ? 'true' : undefined}
                onClick={() => {
                  onChoose(pose.id);
                }}
              >
                {pose.name}
              </button>
            </li>
          ))}
        </ul>
      </div>
    </nav>
  );
}

type DepthLineProps = Omit<ShelfProps, 'onChoose'>;

function DepthLine(request: DepthLineProps) {
  const { result } = usePlanned({ ...request, level: null }, true);
  const depth = result?.ok === true ? result.value.depth : null;
  const share = (value: number | null | undefined): string =>
    `${String(Math.round((100 * (value ?? 0)) / (depth?.textbook ?? 1)))}%`;
  const unit = depth?.unit === 'cm' ? ' cm' : '°';
  const words =
    result === null
      ? 'working'
      : !result.ok
        ? 'not measured'
        : result.value.status === 'failed'
          ? 'no set-up'
          : depth?.value == null
            ? 'one set-up'
            : `${depth.value.toFixed(0)}${unit} of ${depth.textbook.toFixed(0)}${unit}`;
  return (
    <>
      <span className="depth-line" aria-hidden>
        <span className="depth-deepest" style={{ width: share(depth?.deepest) }} />
        <span className="depth-now" style={{ width: share(depth?.value) }} />
      </span>
      <span className="sr-only">, {words}</span>
    </>
  );
}
