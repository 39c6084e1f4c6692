import type { ClassPartProps } from './classPart.ts';
import { GroupsPanel } from './GroupsPanel.tsx';
import { PosesPanel } from './PosesPanel.tsx';
import { PoseTabs } from './PoseTabs.tsx';
import { PoseTable } from './PoseTable.tsx';
import { WhenPanel } from './WhenPanel.tsx';
import { WhoPanel } from './WhoPanel.tsx';
import { classView as say } from './words.ts';

/** Who comes, when, and which poses; and what everybody sets in the pose on screen. */
export function PlanPart(props: ClassPartProps) {
  const { yogaClass, state, plan, pose, onPose } = props;
  return (
    <div className="grid grid-cols-[minmax(0,19rem)_minmax(0,1fr)] gap-x-12 gap-y-6 max-tablet:grid-cols-[minmax(0,1fr)]">
      <div>
        <WhoPanel yogaClass={yogaClass} state={state} />
        <PosesPanel yogaClass={yogaClass} />
        <WhenPanel yogaClass={yogaClass} />
      </div>
      <div>
        {pose === null || state.members.length === 0 ? (
          <p>{say.nobody}</p>
        ) : (
          <>
            <PoseTabs poses={yogaClass.poses} pose={pose} onPose={onPose} />
            <GroupsPanel key={pose} {...props} pose={pose} />
            <PoseTable state={state} planned={plan.planned} pose={pose} unit={props.unit} />
          </>
        )}
      </div>
    </div>
  );
}
