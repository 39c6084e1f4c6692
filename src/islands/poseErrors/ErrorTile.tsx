import { drawErrorSign } from '../../core/drawing/errorSigns.ts';
import type { PoseError } from '../../core/poseErrors/catalogue.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { errorTiles as say } from './words.ts';

interface ErrorTileProps {
  error: PoseError;
  /** Noted; null = nothing can be noted here, the tile opens the drawing. */
  isPressed: boolean | null;
  isOpen: boolean;
  onPress: () => void;
  /** null = it cannot be drawn on a body. */
  onSee: (() => void) | null;
}

/** An error sign as a picture and its words, and beside it the way to its drawing. */
export function ErrorTile({ error, isPressed, isOpen, onPress, onSee }: ErrorTileProps) {
  const { id, words, say: told } = error;
  const drawing = drawErrorSign(id, words);
  return (
    <div className="flex text-[1.25rem] leading-[1.1]">
      <button
        type="button"
        className="flex min-h-19 flex-1 cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-hair bg-sheet px-2 py-1 text-left aria-expanded:border-ink aria-pressed:border-ink aria-pressed:bg-shallow aria-pressed:font-bold aria-pressed:inset-ring-2 aria-pressed:inset-ring-ink"
        data-testid="error-tile"
        aria-pressed={isPressed ?? undefined}
        aria-expanded={isPressed === null ? isOpen : undefined}
        title={told}
        onClick={onPress}
      >
        {drawing !== null && (
          <span aria-hidden>
            <SheetDrawing drawing={drawing} className="size-14 flex-none" />
          </span>
        )}
        <span>{words}</span>
      </button>
      {onSee !== null && (
        <button
          type="button"
          className="min-h-11 min-w-14 cursor-pointer px-1 text-[1rem] underline decoration-water decoration-2 underline-offset-4"
          aria-expanded={isOpen}
          onClick={onSee}
        >
          {say.seeIt}
          <span className="sr-only">: {words}</span>
        </button>
      )}
    </div>
  );
}
