import { useMemo } from 'react';
import { drawBeforeAfter } from '../../core/drawing/beforeAfter.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import type { OfferedStep } from '../../core/sessions/judgeSession.ts';
import { sayStep } from '../../core/sessions/sayStep.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { offeredChange as say } from './words.ts';

/** A step as two figures on one scale, with the few changes that matter in words. */
export function OfferedChange({ pose: poseId, offer }: { pose: string; offer: OfferedStep }) {
  const unit = useUnit();
  const pose = findPose(poseId);
  const { before, after, words, closes } = offer;
  const drawing = useMemo(
    () => (pose === null ? null : drawBeforeAfter(pose, before, after)),
    [pose, before, after],
  );
  const { handCrosses, main, others } = sayStep(before, after, unit);
  return (
    <div className="my-2 flex flex-wrap items-center gap-x-8 gap-y-2" data-testid="offered-change">
      {drawing !== null && (
        <SheetDrawing drawing={drawing} className="h-36 max-w-full flex-none max-phone:h-28" />
      )}
      <div>
        <p className="font-semibold">
          {closes === undefined ? say.step(words) : say.nextVersion(words)}
        </p>
        {closes !== undefined && <p>{say.closes(closes)}</p>}
        {handCrosses !== null && (
          <p className="text-[1.15rem] font-bold" role="note">
            {handCrosses}
          </p>
        )}
        <ul className="list-disc pl-[1.1rem]">
          {main.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
        {others.length > 0 && (
          <details>
            <summary>{say.others(others.length)}</summary>
            <ul className="list-disc pl-[1.1rem]">
              {others.map((each) => (
                <li key={each}>{each}</li>
              ))}
            </ul>
          </details>
        )}
      </div>
    </div>
  );
}
