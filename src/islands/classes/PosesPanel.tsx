import { memo } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import { listHeldPoses } from '../../core/classes/flowPoses.ts';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { fillTemplate, FLOW_TEMPLATES } from '../../core/sequence/templates.ts';
import { changeClass } from '../../data/classes.ts';
import { listFlows } from '../../data/flows.ts';
import { EVERY_POSE, namePose } from '../shared/poseWords.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { OrderButtons } from '../shared/ui/OrderButtons.tsx';
import { OrderList } from '../shared/ui/OrderList.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { posesPanel as say } from './words.ts';

/** Flows whose poses a class may take: templates, and those of its people. */
function useFlowChoices(personIds: readonly string[]) {
  const own = useLiveQuery(
    async () => (await Promise.all(personIds.map((id) => listFlows(id)))).flat(),
    [personIds.join(' ')],
  );
  const templates = FLOW_TEMPLATES.map((each) => fillTemplate(each, each.id, () => 'right'));
  return [...templates, ...(own ?? [])].map((flow, i) => ({ id: String(i), flow }));
}

/** Which poses are held, in which order. */
export const PosesPanel = memo(function PosesPanel({
  yogaClass: { id, poses, personIds },
}: {
  yogaClass: YogaClass;
}) {
  const { write, told } = useWrite();
  const flows = useFlowChoices(personIds);
  const put = (change: (now: readonly string[]) => readonly string[]): void => {
    write(() => changeClass(id, (now) => ({ poses: [...new Set(change(now.poses))] })));
  };
  const move = (from: number, to: number): void => {
    put((now) => {
      const moved = poses[from]!;
      const others = now.filter((each) => each !== moved);
      return [...others.slice(0, to), moved, ...others.slice(to)];
    });
  };
  const unused = EVERY_POSE.filter((each) => !poses.includes(each.id));
  return (
    <section>
      <h2>{say.poses}</h2>
      {told}
      <OrderList
        className="mb-3"
        rowClassName="grid min-h-11 grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-2 border-b border-hair"
        data-testid="class-poses"
        items={poses.map((pose) => ({ id: pose, name: namePose(pose) }))}
        onMove={move}
      >
        {({ id: pose, name }, i) => (
          <>
            <span>{name}</span>
            <span className="whitespace-nowrap">
              <OrderButtons
                at={i}
                count={poses.length}
                words={{
                  earlier: say.earlier(name),
                  later: say.later(name),
                  leaveOut: say.leaveOut(name),
                }}
                onMove={(to) => {
                  move(i, to);
                }}
                onLeaveOut={() => {
                  put((now) => now.filter((each) => each !== pose));
                }}
              />
            </span>
          </>
        )}
      </OrderList>
      <SelectField
        label={say.add}
        value=""
        options={[['', say.choose], ...unused.map((each) => [each.id, each.name] as const)]}
        onChange={(pose) => {
          if (pose !== '') put((now) => [...now, pose]);
        }}
      />
      <SelectField
        label={say.fromFlow}
        value=""
        options={[['', say.choose], ...flows.map(({ id: at, flow }) => [at, flow.name] as const)]}
        onChange={(at) => {
          const found = flows.find((each) => each.id === at);
          if (found !== undefined) put(() => listHeldPoses(found.flow));
        }}
      />
    </section>
  );
});
