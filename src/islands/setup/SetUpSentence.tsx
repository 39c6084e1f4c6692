import { otherSide, type Side } from '../../core/measures/protocol.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { FITTING_LEVEL } from '../../core/poses/level.ts';
import { hasSides } from '../../core/poses/hasSides.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { nameLevel, nameSide } from '../shared/poseWords.ts';
import { small } from './LevelsNote.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { WordSelect } from '../shared/ui/WordSelect.tsx';
import { PartLink } from './PartLink.tsx';
import { setUpSentence as say } from './words.ts';

interface SetUpSentenceProps {
  pose: PoseDefinition | LyingPose;
  side: Side;
  isDeepest: boolean;
  isProvisional: boolean;
  level: string;
  setUp: SetUp | null;
  /** Whether the versions of the pose are on the page by now. */
  hasVersions: boolean;
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
    <p className="mt-0 mb-[0.2rem] max-w-none leading-[1.2]" data-testid="sheet-sentence">
      {hasSides(pose.id) ? (
        <WordButton onClick={props.onSide}>
          {nameSide(pose.id, side)}
          <span className="sr-only">{say.change(otherSide(side))}</span>
        </WordButton>
      ) : (
        nameSide(pose.id, side)
      )}
      {isStanding && (
        <>
          {', '}
          <WordButton onClick={props.onDepth}>
            {isDeepest ? say.deepestSafeSetUp : say.asRecommended}
            <span className="sr-only">{say.changeTo(isDeepest ? 'recommended' : 'deepest')}</span>
          </WordButton>
          <Levels pose={pose} level={level} setUp={setUp} onLevel={props.onLevel} />
        </>
      )}
      .
      {isStanding && pose.levels.length > 1 && props.hasVersions && (
        <>
          {' '}
          <span className="*:inline-block *:min-h-11 *:content-center">
            <PartLink to="versions">{say.allVersions}</PartLink>
          </span>
        </>
      )}
      {isProvisional && (
        <>
          {' '}
          <strong>{say.provisionalMissingMeasuresTaken}</strong>{' '}
          <WordButton onClick={props.onUsual}>{say.leave}</WordButton>
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
      <WordSelect
        aria-label={say.level}
        value={level}
        onChange={(event) => {
          onLevel(event.target.value);
        }}
      >
        <option value={FITTING_LEVEL}>{say.bestFit(fitting)}</option>
        {pose.levels.map(({ id, name }) => (
          <option key={id} value={id}>
            {small(name)}
          </option>
        ))}
      </WordSelect>
    </>
  );
}
