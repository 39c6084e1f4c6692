import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { isMoved, type HeelLineMark } from '../../core/setup/planMoved.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { MovedSetUp } from './useMoved.ts';

interface MoveControlsProps {
  pose: PoseDefinition;
  recommended: SetUp;
  moved: MovedSetUp;
}

/** The heel line a foot stands on, or that it stands on none. */
function sayLine(widthCm: number, lines: readonly HeelLineMark[]): string {
  const line = lines.find((each) => Math.abs(each.widthCm - widthCm) < 0.05);
  return line === undefined ? 'diagonally across the mat' : line.rule.replaceAll('-', ' ');
}

/** What was moved and what gives, in a sentence. */
export function MovedSentence({ moved }: { moved: MovedSetUp }) {
  const { answer, now, heelLines } = moved;
  if (!isMoved(now)) return null;
  return (
    <p className="moved-sentence" role="status">
      {now.widthCm !== null && `Feet ${sayLine(now.widthCm, heelLines)}. `}
      {answer === null
        ? 'Solving it there…'
        : answer.gives === null
          ? 'Moved; the pose holds there.'
          : `Moved. ${answer.gives.sentence}`}
    </p>
  );
}

/**
 * The depth by a slider, undo and the way back. Always as high, so that the drawing does
 * not slide under a hand that leads it.
 */
export function MoveControls({ pose, recommended, moved }: MoveControlsProps) {
  const { answer, now } = moved;
  const { depth } = answer?.setUp ?? recommended;
  const value = depth?.value ?? null;
  return (
    <div className="move-controls">
      {pose.depth !== null && value !== null && depth !== null && (
        <label>
          depth<span className="sr-only">: {pose.depth.words}</span>
          <input
            type="range"
            min={Math.min(0, Math.floor(value))}
            max={Math.max(depth.textbook, Math.ceil(value))}
            step={1}
            value={Math.round(now.depth ?? value)}
            onChange={(event) => {
              moved.move({ depth: event.target.valueAsNumber }, now.depth === null);
            }}
          />
          <span>
            {value.toFixed(0)}
            {depth.unit === 'deg' ? '°' : ' cm'}
          </span>
        </label>
      )}
      <button type="button" className="word-button" disabled={!moved.canUndo} onClick={moved.undo}>
        undo
      </button>
      <button type="button" className="word-button" disabled={!moved.canRedo} onClick={moved.redo}>
        redo
      </button>
      <button type="button" className="word-button" disabled={!isMoved(now)} onClick={moved.reset}>
        back to recommended
      </button>
    </div>
  );
}
