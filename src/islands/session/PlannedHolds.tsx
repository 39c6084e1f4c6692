import type { SessionPlan } from '../../core/sessions/planSession.ts';
import { calcSessionSeconds } from '../../core/sessions/timing.ts';
import { listRecipe } from '../../core/recipe/recipe.ts';
import type { Session } from '../../core/sessions/session.ts';
import { ClearPause } from './ClearPause.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { findAnyPose } from '../../core/poses/anyPose.ts';
import { findWarmUp } from '../../core/poses/warmUps/index.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { nameLevel, namePose, nameSide } from '../shared/poseWords.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { plannedHolds as say } from './words.ts';

/** A knee that is bent by less is straight or soft. */
const LEAST_TOLD = 12;
/** Numbers of a hold that are shown at a glance. */
const TOLD = ['stance-length', 'front-knee-bend', 'hand-height'];

interface PlannedHoldsProps {
  plan: SessionPlan | null;
  /** By the sum of the flow that leads through them; null = there is none. */
  seconds?: number | null;
  isWorking: boolean;
  personId: string;
  sessions: readonly Session[];
}

/** What a session comes to: every hold in its order, what is left out, and how long it takes. */
export function PlannedHolds({
  plan,
  seconds = null,
  isWorking,
  personId,
  sessions,
}: PlannedHoldsProps) {
  const unit = useUnit();
  if (plan === null) {
    return isWorking ? (
      <p className="text-faint" role="status">
        {say.workingOutSetUps}
      </p>
    ) : (
      <p>{say.choosePoseBeginWith}</p>
    );
  }
  const minutes = Math.ceil(
    (seconds ?? calcSessionSeconds(plan.holds.map((each) => each.plan))) / 60,
  );
  return (
    <>
      {plan.changes.length > 0 && (
        <ul className="list-disc pl-[1.1rem]">
          {plan.changes.map(({ change, reason }) => (
            <li key={reason + change}>
              <strong>{reason}:</strong> {change}
            </li>
          ))}
        </ul>
      )}
      {plan.leftOut.length > 0 && (
        <ul className="list-disc pl-[1.1rem]">
          {plan.leftOut.map(({ pose, why, instead, isPaused }) => (
            <li key={pose}>
              <strong>{say.leftOut(nameStepOf(pose))}</strong> {why.join(' ')}
              {instead === '' ? '' : say.instead(instead)}
              {isPaused && <ClearPause personId={personId} sessions={sessions} pose={pose} />}
            </li>
          ))}
        </ul>
      )}
      {plan.holds.length > 0 && (
        <>
          <p role="status">{say.aboutIncludingSetUp(plan.holds.length, minutes)}</p>
          <Table look="list" data-testid="holds">
            <caption className="sr-only">{say.holdsTheirOrder}</caption>
            <TableHead columns={['Pose', 'Side', 'Breaths', 'Set']} />
            <tbody>
              {plan.holds.map(({ plan: hold, setUp }, i) => (
                <tr key={hold.id}>
                  <th scope="row">
                    {plan.holds[i - 1]?.plan.pose === hold.pose ? (
                      <span className="text-faint">{say.and}</span>
                    ) : (
                      namePose(hold.pose)
                    )}
                  </th>
                  <td>{nameSide(hold.pose, hold.side)}</td>
                  <td>
                    {hold.breaths}
                    {hold.rounds > 1 ? ` × ${String(hold.rounds)}` : ''}
                  </td>
                  <td>
                    <VersionName pose={hold.pose} level={hold.level} />
                    {listRecipe(setUp, unit)
                      .filter(
                        ({ setting }) => TOLD.includes(setting.id) && setting.value > LEAST_TOLD,
                      )
                      .map(({ setting, value }) => `${setting.id.replaceAll('-', ' ')} ${value}`)
                      .join(', ')}
                    {hold.why.length > 0 && (
                      <span className="text-faint"> {hold.why.join('; ')}</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
      {plan.harder.map(({ pose, side, why }) => (
        <p key={pose} className="text-faint">
          {say.harderSide(namePose(pose), side, why)}
        </p>
      ))}
    </>
  );
}

/** A pose of any kind, or a movement. */
const nameStepOf = (id: string): string => findAnyPose(id)?.name ?? findWarmUp(id)?.name ?? id;

/** The version of a pose that has several, before its numbers. */
function VersionName({ pose: id, level }: { pose: string; level: string | null }) {
  const pose = findPose(id);
  if (pose === null || pose.levels.length === 0) return null;
  return <span className="font-semibold">{nameLevel(pose, level)}: </span>;
}
