import type { Mark } from '../../../core/photo/photoMarks.ts';
import { MarkedPicture } from './MarkedPicture.tsx';
import type { MarkedState } from './usePicture.ts';
import { FileField } from '../ui/FileField.tsx';
import { WordButton } from '../ui/Button.tsx';
import { pictureMarks as say } from '../words.ts';

interface PictureChoiceProps {
  state: MarkedState;
  onDrawn: () => void;
}

/** A picture from a file, or a drawn one to try it on. */
export function PictureChoice({ state, onDrawn }: PictureChoiceProps) {
  return (
    <div className="flex flex-wrap items-end gap-x-4">
      <FileField
        label={say.picture}
        accept="image/*"
        onChoose={(file) => void state.openFile(file)}
      />
      <WordButton onClick={onDrawn}>{say.tryDrawing}</WordButton>
    </div>
  );
}

/** The open picture with what is to be pointed at next. */
export function PictureMarks({ state, plan }: { state: MarkedState; plan: readonly Mark[] }) {
  const { opened, marks, active, place, activate } = state;
  if (opened === null) return null;
  const mark = plan[active];
  return (
    <>
      <p className="min-h-[2.2em] text-[1.5rem]" aria-live="polite">
        {mark === undefined ? say.allMarksPlacedEach : say.point(active + 1, mark.words)}
      </p>
      <MarkedPicture
        picture={opened.picture}
        url={opened.url}
        plan={plan}
        marks={marks}
        active={mark?.id ?? null}
        onActive={(id) => {
          activate(plan.findIndex((each) => each.id === id));
        }}
        onMove={place}
        onPlaced={() => {
          const next = plan.findIndex(({ id }) => marks[id] === undefined && id !== mark?.id);
          activate(next === -1 ? plan.length : next);
        }}
      />
    </>
  );
}
