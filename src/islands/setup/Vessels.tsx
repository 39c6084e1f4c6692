import type { Side } from '../../core/measures/protocol.ts';
import { nameJoint } from '../../core/setup/jointReport.ts';
import type { JointReport } from '../../core/setup/setUp.ts';

const MOST_VESSELS = 5;
const TALLEST_PX = 100;
const WIDTH = 44;

/** Joints worth a vessel: those with a limit that the pose really calls on, least to spare first. */
const worthShowing = (joints: readonly JointReport[]): JointReport[] =>
  joints
    .filter((each) => each.toSpareDeg !== null && (each.askedDeg ?? 0) > 1)
    .slice(0, MOST_VESSELS);

/** What each joint is asked against what it has, as water in a vessel as tall as what it has. */
export function Vessels({ joints, side }: { joints: readonly JointReport[]; side: Side }) {
  const shown = worthShowing(joints);
  const [first] = shown;
  if (first === undefined) return null;
  const tallest = Math.max(...shown.flatMap((each) => [each.hasDeg ?? 0, each.askedDeg ?? 0]));
  return (
    <>
      <p>
        The <strong>{nameJoint(first, side)}</strong> runs out first.
      </p>
      <ul className="vessels">
        {shown.map((joint, i) => (
          <Vessel
            key={nameJoint(joint, side)}
            joint={joint}
            side={side}
            scale={TALLEST_PX / tallest}
            limiting={i === 0}
          />
        ))}
      </ul>
    </>
  );
}

interface VesselProps {
  joint: JointReport;
  side: Side;
  /** Pixels a degree, the same for every vessel, so that heights can be compared. */
  scale: number;
  limiting: boolean;
}

function Vessel({ joint, side, scale, limiting }: VesselProps) {
  const asked = joint.askedDeg ?? 0;
  const has = joint.hasDeg ?? 0;
  const spare = joint.toSpareDeg ?? 0;
  const brim = has * scale;
  const level = Math.max(0, asked) * scale;
  const base = TALLEST_PX + 8;
  const name = nameJoint(joint, side);
  const wave = `M 3 ${String(base - level)} q 6.3 -3 12.6 0 t 12.6 0 t 12.6 0 V ${String(base)} H 3 Z`;
  const over = spare < -0.5;
  return (
    <li className={limiting ? 'vessel limiting' : 'vessel'}>
      <svg viewBox={`0 0 ${String(WIDTH)} ${String(base + 3)}`} aria-hidden>
        <path className="water" d={wave} />
        <path
          className="glass"
          d={`M 2 ${String(base - brim)} V ${String(base)} H ${String(WIDTH - 2)} V ${String(base - brim)}`}
        />
      </svg>
      <span className="spare">{Math.max(0, Math.floor(Math.abs(spare)))}°</span>
      <span className="vessel-words">{over ? 'over the brim' : 'to spare'}</span>
      <span className="vessel-name">{name}</span>
      <span className="sr-only">
        asked {asked.toFixed(0)}°, has {has.toFixed(0)}°
      </span>
    </li>
  );
}
