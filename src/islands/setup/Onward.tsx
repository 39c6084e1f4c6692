import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { KeptSetUp } from '../../core/setup/keptSetUp.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { LazyDetails } from '../shared/LazyDetails.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { AsFoundView } from './AsFoundView.tsx';
import { FrontView } from './FrontView.tsx';
import { KeptView } from './KeptView.tsx';
import { SchoolsView } from './SchoolsView.tsx';
import { SetUpTable } from './SetUpTable.tsx';
import { LABEL } from './SheetView.tsx';
import { SidesView } from './SidesView.tsx';
import type { MovedSetUp } from './useMoved.ts';
import type { PlanRequest } from './usePlanned.ts';

interface OnwardProps {
  request: PlanRequest;
  /** null = a lying or seated form. */
  pose: PoseDefinition | null;
  recommended: SetUp;
  setUp: SetUp;
  moved: MovedSetUp;
  onShow: (kept: KeptSetUp) => void;
}

/** What a set-up is set beside: another view, the other side, other schools, what is done now, what was kept. */
export function Onward({ request, pose, recommended, setUp, moved, onShow }: OnwardProps) {
  const unit = useUnit();
  return (
    <div className="onward">
      {pose !== null && (
        <LazyDetails summary="From the front edge of the mat">
          {() => <FrontView pose={pose} setUp={setUp} unit={unit} labelMm={LABEL} />}
        </LazyDetails>
      )}
      <LazyDetails summary="Left and right">
        {() => <SidesView request={request} pose={pose} />}
      </LazyDetails>
      {pose !== null && (
        <>
          <LazyDetails summary="Schools side by side">
            {() => <SchoolsView request={request} pose={pose} />}
          </LazyDetails>
          <LazyDetails summary="What is done now">
            {() => (
              <AsFoundView
                pose={pose}
                recommended={recommended}
                onFound={(found) => {
                  moved.move(found, true);
                }}
              />
            )}
          </LazyDetails>
        </>
      )}
      <LazyDetails summary="Kept set-ups">
        {() => <KeptView request={request} setUp={setUp} moved={moved.now} onShow={onShow} />}
      </LazyDetails>
      <LazyDetails summary="The drawing as a table">
        {() => <SetUpTable setUp={setUp} unit={unit} />}
      </LazyDetails>
    </div>
  );
}
