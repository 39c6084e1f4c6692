import { drawErrorSign } from '../../core/drawing/errorSigns.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { withLevel } from '../../core/poses/level.ts';
import { POSE_ERRORS } from '../../core/sessions/errors.ts';
import { findPossibleErrors } from '../../core/sessions/possibleErrors.ts';
import { toggleError } from '../../core/sessions/logHold.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { NewEntry } from '../../core/sessions/session.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';

interface ErrorTilesProps {
  hold: LoggedHold;
  onNote: (entries: readonly NewEntry[]) => void;
}

/** Every error that this pose can have, drawn: one tap notes it, another takes it back. */
export function ErrorTiles({ hold: { plan, notes }, onNote }: ErrorTilesProps) {
  const pose = findPose(plan.pose);
  const possible = findPossibleErrors(pose === null ? null : withLevel(pose, plan.level));
  // What was noted stays to be taken back, whatever is possible by the rules of today.
  const shown = POSE_ERRORS.filter(
    (each) => possible.includes(each) || notes.errors.includes(each.id),
  );
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(min(10.8rem,45%),1fr))] gap-2">
      {shown.map(({ id, words, say }) => {
        const isSeen = notes.errors.includes(id);
        const drawing = drawErrorSign(id, words);
        return (
          <button
            key={id}
            type="button"
            className="flex min-h-19 cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-hair bg-sheet px-2 py-1 text-left text-[1.25rem] leading-[1.1] aria-pressed:border-ink aria-pressed:bg-shallow aria-pressed:font-bold aria-pressed:inset-ring-2 aria-pressed:inset-ring-ink"
            data-testid="error-tile"
            aria-pressed={isSeen}
            title={say}
            onClick={() => {
              onNote([toggleError(plan.id, notes, id)]);
            }}
          >
            {drawing !== null && (
              <span aria-hidden>
                <SheetDrawing drawing={drawing} className="size-14 flex-none" />
              </span>
            )}
            <span>{words}</span>
          </button>
        );
      })}
    </div>
  );
}
