import { lazy, memo } from 'react';
import { hasSides } from '../../core/poses/hasSides.ts';
import { USUAL_LEVEL } from '../../core/poses/level.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { KeptSetUp } from '../../core/whatIf/keptSetUp.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { NOT_MOVED, type HeldRequest } from '../../core/whatIf/planMoved.ts';
import { errorsPart } from '../poseErrors/words.ts';
import { loadsPart } from '../loads/words.ts';
import { rotationPart } from '../rotation/words.ts';
import { LazyDetails } from '../shared/ui/LazyDetails.tsx';
import { useUnit } from '../shared/useRecord.ts';
import type { SetUpLink, ShownSetUp } from './setUpLink.ts';
import { AsFoundView } from './AsFoundView.tsx';
import { ChosenSchools } from './ChosenSchools.tsx';
import { FrontView } from './FrontView.tsx';
import { KeptView } from './KeptView.tsx';
import { SchoolsView } from './SchoolsView.tsx';
import { SetUpTable } from './SetUpTable.tsx';
import { LABEL } from './SheetView.tsx';
import { SidesView } from './SidesView.tsx';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';
import { VersionsView } from './VersionsView.tsx';
import { onward as say, versionsView } from './words.ts';

const ErrorsPart = lazy(async () => ({
  default: (await import('../poseErrors/ErrorsPart.tsx')).ErrorsPart,
}));
const LoadsPart = lazy(async () => ({
  default: (await import('../loads/LoadsPart.tsx')).LoadsPart,
}));
const RotationPart = lazy(async () => ({
  default: (await import('../rotation/RotationPart.tsx')).RotationPart,
}));

interface OnwardProps {
  request: PlanRequest;
  pose: PoseDefinition | LyingPose;
  shown: ShownSetUp;
  onAsk: (asked: SetUpLink) => void;
}

/** What a set-up is set beside: another view, the other side, other schools, what is done now, what was kept. */
export const Onward = memo(function Onward({ request, pose: whole, shown, onAsk }: OnwardProps) {
  const { setUp, planned, moved } = shown;
  const unit = useUnit();
  if (setUp === null) return null;
  // A school that cannot be held can be left from here.
  const pose = 'starts' in whole ? whole : null;
  const versions = pose !== null && pose.levels.length > 1 && (
    <LazyDetails id="versions" summary={versionsView.summary}>
      {() => (
        <VersionsView
          request={request}
          pose={pose}
          shown={setUp.level}
          onLevel={(level) => {
            onAsk({ level });
          }}
        />
      )}
    </LazyDetails>
  );
  if (setUp.status === 'failed') {
    const isStopped = setUp.problems.some((each) => each.code === 'stop-sign');
    return (
      <>
        {!isStopped && versions}
        <ChosenSchools record={request.record} pose={whole} />
        {pose !== null && !isStopped && <Schools request={request} pose={pose} onAsk={onAsk} />}
      </>
    );
  }
  const turnTo = (kept: KeptSetUp): void => {
    const level = kept.level ?? USUAL_LEVEL;
    const own = { ...request, side: kept.side, level, rules: kept.rules };
    moved.beginAt(findRequestKey(own), kept.moved ?? NOT_MOVED);
    const { depth = 'recommended', provisional = false } = kept.rules;
    onAsk({ side: kept.side, level, depth, provisional });
  };
  const { side, rules, level } = request;
  const asked: HeldRequest = { pose: whole.id, side, rules, level, held: moved.now };
  const hold = (held: AsFound): void => {
    moved.move(held, true);
  };
  return (
    <div className="mt-[0.4rem] print:hidden" data-testid="onward">
      {pose !== null && (
        <LazyDetails summary={say.frontView}>
          {() => <FrontView pose={pose} setUp={setUp} unit={unit} labelMm={LABEL} />}
        </LazyDetails>
      )}
      {versions}
      {hasSides(whole.id) && (
        <LazyDetails id="sides" summary={say.leftRight}>
          {() => <SidesView request={request} pose={pose} />}
        </LazyDetails>
      )}
      {pose !== null && (
        <>
          <LazyDetails id="loads" summary={loadsPart.summary}>
            {() => (
              <LoadsPart
                record={request.record}
                pose={pose}
                setUp={setUp}
                asked={asked}
                onHold={hold}
              />
            )}
          </LazyDetails>
          <LazyDetails id="rotation" summary={rotationPart.summary}>
            {() => <RotationPart pose={pose} setUp={setUp} />}
          </LazyDetails>
          <LazyDetails id="errors" summary={errorsPart.summary}>
            {() => (
              <ErrorsPart
                record={request.record}
                pose={pose}
                planned={planned ?? setUp}
                asked={{ ...asked, onSameFeet: [] }}
                onHold={hold}
              />
            )}
          </LazyDetails>
          <Schools request={request} pose={pose} onAsk={onAsk} />
          <LazyDetails summary={say.checkTodaysStance}>
            {() => (
              <AsFoundView
                pose={pose}
                recommended={planned ?? setUp}
                onFound={(found) => {
                  moved.move(found, true);
                }}
              />
            )}
          </LazyDetails>
        </>
      )}
      <LazyDetails summary={say.keptSetUps}>
        {() => <KeptView request={request} setUp={setUp} moved={moved.now} onShow={turnTo} />}
      </LazyDetails>
      <LazyDetails summary={say.drawingAsTable}>
        {() => <SetUpTable setUp={setUp} unit={unit} />}
      </LazyDetails>
    </div>
  );
});

const Schools = ({
  request,
  pose,
  onAsk,
}: Pick<OnwardProps, 'request' | 'onAsk'> & { pose: PoseDefinition }) => (
  <LazyDetails id="schools" summary={say.compareSchools}>
    {() => (
      <SchoolsView
        request={request}
        pose={pose}
        onLook={(school) => {
          onAsk({ school });
        }}
      />
    )}
  </LazyDetails>
);
