import { otherSide, type Side } from '../../core/measures/protocol.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { findChosenRules } from '../../core/rules/chosenSchools.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import { NOT_MOVED } from '../../core/setup/planMoved.ts';
import type { KeptSetUp } from '../../core/setup/keptSetUp.ts';
import { Beside } from './Beside.tsx';
import { FurtherView } from './FurtherView.tsx';
import { MoveControls, MovedSentence } from './Moving.tsx';
import { NoSetUp } from './NoSetUp.tsx';
import { Onward } from './Onward.tsx';
import { SetUpSentence } from './SetUpSentence.tsx';
import { SheetView } from './SheetView.tsx';
import { StudioView } from './StudioView.tsx';
import { useMoved } from './useMoved.ts';
import { keyOf, usePlanned } from './usePlanned.ts';

/** What of a set-up stands in the page's link. */
export interface Asked {
  readonly side?: Side;
  readonly level?: string | null;
  readonly depth?: HouseRules['depth'];
  readonly provisional?: boolean;
  /** Which step is read from across the room; null = none. */
  readonly studio?: number | null;
}

interface PlannedSetUpProps {
  record: PersonRecord;
  pose: PoseDefinition | LyingPose;
  side: Side;
  rules: Partial<HouseRules>;
  level: string | null;
  studio: number | null;
  onAsk: (asked: Asked) => void;
}

/** One pose and side planned, drawn and told; what is moved by hand begins from here. */
export function PlannedSetUp(props: PlannedSetUpProps) {
  const { record, pose, side, rules, level, studio, onAsk } = props;
  const request = { record, poseId: pose.id, side, rules, level };
  const { result, working } = usePlanned(request);
  const isStanding = 'starts' in pose;
  const planned = result?.ok === true && result.value.pose === pose.id ? result.value : null;
  const turn = planned?.settings.find((each) => each.id === 'back-foot-angle')?.value ?? 0;
  const moved = useMoved(request, isStanding, turn);
  const setUp = planned === null ? null : (moved.answer?.setUp ?? planned);
  const problems = result?.ok === false ? result.problems : [];
  const isDeepest = rules.depth === 'deepest';
  const isMovable = isStanding && planned !== null && planned.status !== 'failed';
  const turnTo = (kept: KeptSetUp): void => {
    const own = { ...request, side: kept.side, level: kept.level, rules: kept.rules };
    moved.beginAt(keyOf(own), kept.moved ?? NOT_MOVED);
    const { depth = 'recommended', provisional = false } = kept.rules;
    onAsk({ side: kept.side, level: kept.level, depth, provisional });
  };
  return (
    <>
      <section className="sheet-column">
        <div className="sheet-title">
          <h1>{pose.name}</h1>
          <p className="sanskrit" lang="sa">
            {pose.sanskrit}
          </p>
          {setUp !== null && setUp.status !== 'failed' && (
            <button
              type="button"
              className="word-button"
              onClick={() => {
                onAsk({ studio: 0 });
              }}
            >
              from across the room
            </button>
          )}
        </div>
        <SetUpSentence
          pose={pose}
          side={side}
          isDeepest={isDeepest}
          isProvisional={rules.provisional === true}
          level={level}
          setUp={setUp}
          onSide={() => {
            onAsk({ side: otherSide(side) });
          }}
          onDepth={() => {
            onAsk({ depth: isDeepest ? 'recommended' : 'deepest' });
          }}
          onLevel={(id) => {
            onAsk({ level: id });
          }}
          onUsual={() => {
            onAsk({ provisional: false });
          }}
        />
        {setUp === null ? (
          <NoSetUp
            personId={record.person.id}
            problems={problems}
            working={working}
            onProvisional={() => {
              onAsk({ provisional: true });
            }}
          />
        ) : (
          <>
            {isMovable && (
              <MoveControls
                pose={pose}
                recommended={planned}
                moved={moved}
                onOtherSide={() => {
                  const other = otherSide(side);
                  moved.beginAt(keyOf({ ...request, side: other }), moved.now);
                  onAsk({ side: other });
                }}
              />
            )}
            <SheetView
              record={record}
              pose={pose}
              setUp={setUp}
              ghost={setUp === planned ? null : planned}
              faded={working}
              heelLines={moved.heelLines}
              onMove={moved.move}
            />
            {setUp.status !== 'failed' && (
              <Onward
                request={request}
                pose={isStanding ? pose : null}
                recommended={planned ?? setUp}
                setUp={setUp}
                moved={moved}
                onShow={turnTo}
              />
            )}
          </>
        )}
        {studio !== null && setUp !== null && setUp.status !== 'failed' && (
          <StudioView
            pose={pose}
            setUp={setUp}
            moved={moved}
            step={studio}
            onStep={(step) => {
              onAsk({ studio: step });
            }}
            onClose={() => {
              onAsk({ studio: null });
            }}
          />
        )}
      </section>
      {setUp !== null && (
        <Beside
          pose={isStanding ? pose : null}
          setUp={setUp}
          record={record}
          moved={<MovedSentence moved={moved} />}
          guidance={pose.guidance}
          isOwnSchool={Object.keys(findChosenRules(record.person, pose.id)).length > 0}
          onward={
            <FurtherView
              request={request}
              isStanding={isStanding}
              onPush={() => {
                moved.move({ depth: planned?.depth?.textbook ?? null }, true);
              }}
            />
          }
        />
      )}
    </>
  );
}
