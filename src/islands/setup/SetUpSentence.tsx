import { otherSide, type Side } from '../../core/measures/protocol.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { FITTING_LEVEL } from '../../core/poses/level.ts';
import { hasSides } from '../../core/poses/hasSides.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { nameLevel, nameSide } from '../shared/poseWords.ts';
import { small } from './LevelsNote.tsx';

interface SetUpSentenceProps {
  pose: PoseDefinition | LyingPose;
  side: Side;
  isDeepest: boolean;
  isProvisional: boolean;
  level: string;
  setUp: SetUp | null;
  onSide: () => void;
  onDepth: () => void;
  onLevel: (level: string) => void;
  onUsual: () => void;
}

/** Side, depth and level of the set-up as one sentence; its words are what is pressed to change them. */
export function SetUpSentence(props: SetUpSentenceProps) {
  const { pose, side, isDeepest, isProvisional, level, setUp } = props;
  const isStanding = 'starts' in pose;
  return (
    <p className="sheet-sentence">
      {hasSides(pose.id) ? (
        <button type="button" className="word-button" onClick={props.onSide}>
          {nameSide(pose.id, side)}
          <span className="sr-only">, change to {otherSide(side)}</span>
        </button>
      ) : (
        nameSide(pose.id, side)
      )}
      {isStanding && (
        <>
          {', '}
          <button type="button" className="word-button" onClick={props.onDepth}>
            {isDeepest ? 'the deepest safe set-up' : 'as recommended'}
            <span className="sr-only">, change to {isDeepest ? 'recommended' : 'deepest'}</span>
          </button>
          <Levels pose={pose} level={level} setUp={setUp} onLevel={props.onLevel} />
        </>
      )}
      {setUp !== null && isStanding && <DepthWords setUp={setUp} pose={pose} />}
      {isProvisional && (
        <>
          {' '}
          <strong>Provisional: what is not measured is taken as stiff.</strong>{' '}
          <button type="button" className="word-button" onClick={props.onUsual}>
            leave
          </button>
        </>
      )}
    </p>
  );
}

interface LevelsProps {
  pose: PoseDefinition;
  level: string;
  setUp: SetUp | null;
  onLevel: (level: string) => void;
}

/**
 * The levels of a pose from easier to harder, first the one that fits: one word group of the
 * sentence that opens to a list.
 */
function Levels({ pose, level, setUp, onLevel }: LevelsProps) {
  if (pose.levels.length === 0) return null;
  const isKnown = level === FITTING_LEVEL && setUp?.pose === pose.id && setUp.status !== 'failed';
  const fitting = isKnown ? `: ${small(nameLevel(pose, setUp.level))}` : '';
  return (
    <>
      {', '}
      <select
        className="word-select"
        aria-label="Level"
        value={level}
        onChange={(event) => {
          onLevel(event.target.value);
        }}
      >
        <option value={FITTING_LEVEL}>what fits{fitting}</option>
        {pose.levels.map(({ id, name }) => (
          <option key={id} value={id}>
            {small(name)}
          </option>
        ))}
      </select>
    </>
  );
}

function DepthWords({ setUp, pose }: { setUp: SetUp; pose: PoseDefinition }) {
  if (setUp.depth?.value == null) return <>.</>;
  const { value, deepest, textbook, unit } = setUp.depth;
  const write = (number: number): string => `${number.toFixed(0)}${unit === 'deg' ? '°' : ' cm'}`;
  return (
    <>
      : {pose.depth?.words} {write(value)} of a safe {write(deepest ?? 0)}
      <span className="sr-only">; in the books {write(textbook)}</span>.
    </>
  );
}
