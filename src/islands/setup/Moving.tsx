import clsx from 'clsx';
import { otherSide } from '../../core/measures/protocol.ts';
import { hasSides } from '../../core/poses/hasSides.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { isMoved, type HeelLineMark } from '../../core/whatIf/planMoved.ts';
import type { DepthReport, SetUp } from '../../core/setup/setUp.ts';
import type { MovedSetUp } from './useMoved.ts';
import { Slider } from '../shared/ui/Slider.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { moving as say } from './words.ts';

interface MoveControlsProps {
  pose: PoseDefinition;
  recommended: SetUp;
  moved: MovedSetUp;
  /** Holds the same on the other side; only when it is asked for. */
  onOtherSide: () => void;
}

/** The heel line a foot stands on, or that it stands on none. */
function sayHeelLine(widthCm: number, lines: readonly HeelLineMark[]): string {
  const line = lines.find((each) => Math.abs(each.widthCm - widthCm) < 0.05);
  return line === undefined ? say.diagonallyAcrossMat : line.rule.replaceAll('-', ' ');
}

/** What was moved and what gives, in a sentence. */
export function MovedSentence({ moved }: { moved: MovedSetUp }) {
  const { answer, now, heelLines } = moved;
  if (!isMoved(now)) return null;
  return (
    <p className="font-semibold" data-testid="moved-sentence" role="status">
      {now.widthCm !== null && say.feet(sayHeelLine(now.widthCm, heelLines))}
      {answer === null
        ? say.workingOut
        : answer.gives === null
          ? say.movedPoseHoldsHere
          : say.moved(answer.gives.sentence)}
    </p>
  );
}

/** Where on the slide the recommended and the deepest set-up lie; beyond the deepest it is pushed. */
function DepthMarks({ depth, least }: { depth: DepthReport; least: number }) {
  const { recommended, deepest, textbook } = depth;
  const span = textbook - least;
  const mark = (value: number | null, name: string) =>
    value === null || span <= 0 ? null : (
      <span
        className={clsx(
          'absolute border-ink',
          name === 'deepest' ? 'top-0 h-[13px] border-l-3' : 'top-1 h-[9px] border-l-2',
        )}
        style={{ left: `calc(8px + (100% - 16px) * ${String((value - least) / span)})` }}
      />
    );
  return (
    <span className="pointer-events-none absolute inset-0" aria-hidden>
      {mark(recommended, 'recommended')}
      {mark(deepest, 'deepest')}
    </span>
  );
}

/**
 * The depth by a slider, undo and the way back. Always as high, so that the drawing does
 * not slide under a hand that leads it.
 */
export function MoveControls({ pose, recommended, moved, onOtherSide }: MoveControlsProps) {
  const { answer, now } = moved;
  const { depth } = answer?.setUp ?? recommended;
  const value = depth?.value ?? null;
  const write = (number: number): string =>
    `${number.toFixed(0)}${depth?.unit === 'deg' ? '°' : ' cm'}`;
  return (
    <div className="flex min-h-11 flex-wrap items-center gap-x-[1.2rem] print:hidden [&_button:disabled]:cursor-default [&_button:disabled]:text-faint [&_button:disabled]:decoration-hair [&_input]:w-28 [&_label]:flex [&_label]:items-center [&_label]:gap-[0.6rem]">
      {pose.depth !== null && value !== null && depth !== null && (
        <label>
          {pose.depth.words}
          <span className="relative inline-flex">
            <DepthMarks depth={recommended.depth ?? depth} least={Math.min(0, Math.floor(value))} />
            <Slider
              min={Math.min(0, Math.floor(value))}
              max={Math.max(depth.textbook, Math.ceil(value))}
              step={1}
              value={Math.round(now.depth ?? value)}
              onChange={(event) => {
                moved.move({ depth: event.target.valueAsNumber }, now.depth === null);
              }}
            />
          </span>
          <span>
            {write(value)}
            {depth.deepest !== null && say.most(write(depth.deepest))}
            <span className="sr-only">{say.textbook(write(depth.textbook))}</span>
          </span>
        </label>
      )}
      <WordButton disabled={!moved.canUndo} onClick={moved.undo}>
        {say.undo}
      </WordButton>
      <WordButton disabled={!moved.canRedo} onClick={moved.redo}>
        {say.redo}
      </WordButton>
      <WordButton disabled={!isMoved(now)} onClick={moved.reset}>
        {say.reset}
        <span className="sr-only">{say.toRecommended}</span>
      </WordButton>
      {isMoved(now) && hasSides(pose.id) && (
        <WordButton onClick={onOtherSide}>{say.same(otherSide(recommended.side))}</WordButton>
      )}
    </div>
  );
}
