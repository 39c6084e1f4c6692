import { memo } from 'react';
import { describeNumbers } from '../../core/classes/classSheet.ts';
import type { MemberPose } from '../../core/classes/planMember.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import type { ClassMember, ClassState } from './useClassMembers.ts';
import { posePlan as say, whoPanel } from './words.ts';

interface PoseTableProps {
  state: ClassState;
  planned: readonly MemberPose[];
  pose: string;
  unit: LengthUnit;
}

/** What everybody sets in one pose; each name opens the set-up with its arithmetic. */
export function PoseTable({ state, planned, pose, unit }: PoseTableProps) {
  const of = new Map(
    planned.filter((each) => each.pose === pose).map((each) => [each.member, each]),
  );
  return (
    <div className="overflow-x-auto">
      <Table look="list" data-testid="pose-table">
        <TableHead columns={say.columns} />
        <tbody>
          {state.members.map((member) => (
            <Row
              key={member.id}
              member={member}
              planned={of.get(member.id) ?? null}
              pose={pose}
              unit={unit}
            />
          ))}
        </tbody>
      </Table>
    </div>
  );
}

/** A name that opens the person's own set-up of a pose; a guest has no page. */
export const MemberName = ({ member, pose }: { member: ClassMember; pose: string }) =>
  member.isGuest ? (
    <>
      {member.name} <small className="text-faint">{whoPanel.estimate}</small>
    </>
  ) : (
    <a href={`/set-up?id=${encodeURIComponent(member.id)}&pose=${encodeURIComponent(pose)}`}>
      {member.name}
    </a>
  );

const Row = memo(function Row({
  member,
  planned,
  pose,
  unit,
}: {
  member: ClassMember;
  planned: MemberPose | null;
  pose: string;
  unit: LengthUnit;
}) {
  const name = (
    <th scope="row" className="font-normal">
      <MemberName member={member} pose={pose} />
    </th>
  );
  if (planned === null) {
    return (
      <tr>
        {name}
        <td colSpan={5} className="text-faint">
          {say.waiting}
        </td>
      </tr>
    );
  }
  const { leftOut, harder } = planned;
  if (planned.pairs.length === 0) {
    const words =
      leftOut?.isUnmeasured === false
        ? say.keepFrom(leftOut.instead)
        : say.unmeasured(leftOut?.why.join(' ') ?? '');
    return (
      <tr>
        {name}
        <td colSpan={5}>{words}</td>
      </tr>
    );
  }
  const { version, stance, backFoot, hand, group } = describeNumbers(planned, unit);
  return (
    <tr>
      {name}
      <td>{[version, ...(harder === null ? [] : [say.harder(harder)])].join(', ')}</td>
      <td>{stance}</td>
      <td>{backFoot}</td>
      <td>{hand}</td>
      <td>{group ?? say.own}</td>
    </tr>
  );
});
