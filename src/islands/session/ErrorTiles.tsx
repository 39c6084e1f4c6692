import { drawErrorSign } from '../../core/drawing/errorSigns.ts';
import { POSE_ERRORS } from '../../core/sessions/errors.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { NewEntry } from '../../core/sessions/session.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';

interface ErrorTilesProps {
  hold: LoggedHold;
  onNote: (entries: readonly NewEntry[]) => void;
}

/** Every error sign, drawn: one tap notes it, another takes it back. */
export function ErrorTiles({ hold: { plan, notes }, onNote }: ErrorTilesProps) {
  return (
    <div className="error-tiles">
      {POSE_ERRORS.map(({ id, words, say }) => {
        const isSeen = notes.errors.includes(id);
        const drawing = drawErrorSign(id, words);
        return (
          <button
            key={id}
            type="button"
            className="error-tile"
            aria-pressed={isSeen}
            title={say}
            onClick={() => {
              onNote([{ kind: 'error', hold: plan.id, error: id, isSeen: !isSeen }]);
            }}
          >
            {drawing !== null && (
              <span aria-hidden>
                <SheetDrawing drawing={drawing} className="error-sign" />
              </span>
            )}
            <span>{words}</span>
          </button>
        );
      })}
    </div>
  );
}
