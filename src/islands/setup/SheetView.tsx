import { StopPanel } from '../shared/ui/StopPanel.tsx';
import { drawLying } from '../../core/drawing/lying/drawLying.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { MovableSheet } from './MovableSheet.tsx';
import { useIsNarrow } from './useIsNarrow.ts';
import type { MovedSetUp } from './useMoved.ts';
import { ButtonLink } from '../shared/ui/Button.tsx';
import { sheetView as say } from './words.ts';

/** Height of a label on the drawing, mm of paper; larger where the whole drawing is small. */
export const LABEL = 5.3;
const LABEL_NARROW = 8.5;

interface SheetViewProps {
  record: RevisedRecord;
  pose: PoseDefinition | LyingPose;
  setUp: SetUp;
  ghost: SetUp | null;
  faded: boolean;
  heelLines: MovedSetUp['heelLines'];
  onMove: MovedSetUp['move'];
}

/** The measured drawing, or why there is none. */
export function SheetView({
  record,
  pose,
  setUp,
  ghost,
  faded,
  heelLines,
  onMove,
}: SheetViewProps) {
  const unit = useUnit();
  const narrow = useIsNarrow();
  if (setUp.status === 'failed') {
    const isStopped = setUp.problems.some((each) => each.code === 'stop-sign');
    const Frame = isStopped ? StopPanel : 'div';
    return (
      <Frame className={isStopped ? 'max-w-160' : 'max-w-160 py-4'}>
        <h2>{say.noSetUp}</h2>
        <ProblemList problems={setUp.problems} />
        <div className="my-4 flex flex-wrap gap-3">
          <ButtonLink isPlain href={`/person?id=${encodeURIComponent(record.person.id)}`}>
            {say.health}
          </ButtonLink>
          <ButtonLink isPlain href={`/measure?id=${encodeURIComponent(record.person.id)}`}>
            {say.measures}
          </ButtonLink>
        </div>
      </Frame>
    );
  }
  const labelMm = narrow ? LABEL_NARROW : LABEL;
  if (!('starts' in pose)) {
    const drawing = drawLying(pose, setUp, { unit, labelMm });
    return drawing === null ? null : <SheetDrawing drawing={drawing} size="large" />;
  }
  return (
    <MovableSheet
      pose={pose}
      setUp={setUp}
      ghost={ghost}
      unit={unit}
      labelMm={labelMm}
      faded={faded}
      heelLines={heelLines}
      onMove={onMove}
    />
  );
}
