import { useMemo } from 'react';
import { otherSide, type Side } from '../../core/measures/protocol.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { findSchoolRules } from '../../core/rules/chosenSchools.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SetUpLink } from './setUpLink.ts';
import { getValue } from '../../core/setup/setUp.ts';
import { Beside } from './Beside.tsx';
import { LevelsNote } from './LevelsNote.tsx';
import { MoveControls } from './Moving.tsx';
import { sayOption, sayRule } from './ChosenSchools.tsx';
import { NextBest } from './NextBest.tsx';
import { NoSetUp } from './NoSetUp.tsx';
import { Onward } from './Onward.tsx';
import { SetUpSentence } from './SetUpSentence.tsx';
import { SheetView } from './SheetView.tsx';
import { LargeStepView } from './LargeStepView.tsx';
import { useMoved } from './useMoved.ts';
import { PartLink } from './PartLink.tsx';
import { SheetFacts } from './SheetFacts.tsx';
import { findRequestKey, useErrorBars, usePlanned } from './usePlanned.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { useRested } from '../shared/useRested.ts';
import { plannedSetUp as say } from './words.ts';

interface PlannedSetUpProps {
  record: RevisedRecord;
  pose: PoseDefinition | LyingPose;
  side: Side;
  rules: Partial<HouseRules>;
  /** A school that is looked at without being chosen, as `rule option`; null = none. */
  school: string | null;
  level: string;
  largeStep: number | null;
  onAsk: (asked: SetUpLink) => void;
}

/** One pose and side planned, drawn and described; what is moved by hand begins from here. */
export function PlannedSetUp(props: PlannedSetUpProps) {
  const { record, pose, side, school, level, largeStep, onAsk } = props;
  const [lookedRule = '', lookedOption = ''] = (school ?? '').split(' ');
  const lookedRules = findSchoolRules(lookedRule, lookedOption);
  const isLooking = Object.keys(lookedRules).length > 0;
  const rules = { ...props.rules, ...lookedRules };
  const asked = { record, poseId: pose.id, side, rules, level };
  const key = findRequestKey(asked);
  // The key holds everything the request says.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const request = useMemo(() => asked, [key]);
  const { result, working } = usePlanned(request);
  const isStanding = 'starts' in pose;
  const quick = result?.ok === true && result.value.pose === pose.id ? result.value : null;
  const planned = useErrorBars(request, quick);
  const turn = planned === null ? 0 : (getValue(planned, 'back-foot-angle') ?? 0);
  const moved = useMoved(request, isStanding, turn);
  const setUp = planned === null ? null : (moved.answer?.setUp ?? planned);
  const problems = result?.ok === false ? result.problems : [];
  const isDeepest = rules.depth === 'deepest';
  const isMovable = isStanding && planned !== null && planned.status !== 'failed';
  // While a foot is dragged the drawing comes first; the text beside it follows when the hand rests.
  const now = useMemo(
    () => ({ setUp, planned, moved }),
    // All that is moved is in the set-up, or on its way there.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [setUp, planned, moved.now],
  );
  const shown = useRested(now, setUp !== planned);
  const paper = new URLSearchParams({ id: record.person.id, poses: pose.id, side });
  return (
    <>
      <section>
        <div className="flex flex-wrap items-baseline gap-x-[0.9rem] [&_h1]:m-0 [&_h1]:flex-none max-phone:[&_h1]:flex-initial [&_p]:m-0 [&_p]:leading-[1.15]">
          <h1>{pose.name}</h1>
          <p className="font-serif text-[1.05rem] text-faint italic" lang="sa">
            {pose.sanskrit}
          </p>
          {/* They wait for what they lead to, which follows the drawing. */}
          {setUp !== null && shown.setUp !== null && shown.setUp.status !== 'failed' && (
            <span className="ml-auto flex flex-none items-baseline gap-4 *:min-h-11 *:content-center print:hidden">
              <a href={`/paper?${paper.toString()}`}>{say.card}</a>
              {isStanding && <PartLink to="schools">{say.schools}</PartLink>}
              <WordButton
                onClick={() => {
                  onAsk({ largeStep: 0 });
                }}
              >
                {say.largeStepView}
              </WordButton>
            </span>
          )}
        </div>
        <SetUpSentence
          pose={pose}
          side={side}
          isDeepest={isDeepest}
          isProvisional={rules.provisional === true}
          level={level}
          setUp={setUp}
          hasVersions={shown.setUp !== null}
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
        {isLooking && (
          <p role="status">
            <strong>
              {say.onlyLooking(
                sayRule(lookedRule, lookedOption),
                sayOption(lookedRule, lookedOption),
              )}
            </strong>{' '}
            <WordButton
              onClick={() => {
                onAsk({ school: null });
              }}
            >
              {say.leave}
            </WordButton>
          </p>
        )}
        {setUp !== null && setUp.status !== 'failed' && isStanding && <LevelsNote setUp={setUp} />}
        {setUp === null ? (
          <NoSetUp
            person={record.person}
            pose={pose}
            problems={problems}
            working={working}
            onAsk={onAsk}
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
                  moved.beginAt(findRequestKey({ ...request, side: other }), moved.now);
                  onAsk({ side: other });
                }}
              />
            )}
            {shown.setUp !== null && shown.setUp.status !== 'failed' && (
              <SheetFacts
                record={record}
                setUp={shown.setUp}
                isMoved={shown.setUp !== shown.planned}
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
            {setUp.status === 'failed' && (
              <NextBest person={record.person} pose={pose} setUp={setUp} onAsk={onAsk} />
            )}
            <Onward request={request} pose={pose} shown={shown} onAsk={onAsk} />
          </>
        )}
        {largeStep !== null && setUp !== null && setUp.status !== 'failed' && (
          <LargeStepView
            pose={pose}
            setUp={setUp}
            moved={moved}
            step={largeStep}
            onStep={(step) => {
              onAsk({ largeStep: step });
            }}
            onClose={() => {
              onAsk({ largeStep: null });
            }}
          />
        )}
      </section>
      <Beside request={request} pose={pose} shown={shown} />
    </>
  );
}
