import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { MovableSheet } from './MovableSheet.tsx';
import { SettingsList } from './SettingsList.tsx';
import { useIsNarrow } from './useIsNarrow.ts';
import type { MovedSetUp } from './useMoved.ts';

/** Height of a label on the drawing, mm of paper; larger where the whole drawing is small. */
export const LABEL = 5.3;
const LABEL_NARROW = 8.5;

interface SheetViewProps {
  personId: string;
  /** null = a lying or seated form, which is told in numbers. */
  pose: PoseDefinition | null;
  setUp: SetUp;
  ghost: SetUp | null;
  faded: boolean;
  heelLines: MovedSetUp['heelLines'];
  onMove: MovedSetUp['move'];
}

/** The measured drawing, or why there is none. */
export function SheetView({
  personId,
  pose,
  setUp,
  ghost,
  faded,
  heelLines,
  onMove,
}: SheetViewProps) {
  const unit = useUnit();
  const narrow = useIsNarrow();
  if (pose === null && setUp.status !== 'failed') return <NumbersOnly setUp={setUp} unit={unit} />;
  if (pose === null || setUp.status === 'failed') {
    return (
      <div
        className={
          setUp.problems.some((each) => each.code === 'stop-sign') ? 'stop-panel' : 'empty'
        }
      >
        <h2>No set-up</h2>
        <ProblemList problems={setUp.problems} />
        <div className="button-row">
          <a className="button plain" href={`/person?id=${encodeURIComponent(personId)}`}>
            What to mind
          </a>
          <a className="button plain" href={`/measure?id=${encodeURIComponent(personId)}`}>
            Measures
          </a>
        </div>
      </div>
    );
  }
  const labelMm = narrow ? LABEL_NARROW : LABEL;
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

/** Marks, supports and straps of a lying or seated form. */
function NumbersOnly({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  return (
    <div className="numbers-only">
      <SettingsList setUp={setUp} unit={unit} />
      {setUp.problems.length > 0 && <ProblemList problems={setUp.problems} />}
    </div>
  );
}
