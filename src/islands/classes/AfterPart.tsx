import { useMemo } from 'react';
import type { Meeting } from '../../core/classes/yogaClass.ts';
import { findMemberChange, type MemberChange } from '../../core/progress/classChange.ts';
import { decide } from '../../core/sessions/decide.ts';
import type { Judgement } from '../../core/sessions/judgeSession.ts';
import { readSession } from '../../core/sessions/readSession.ts';
import { sayVerdict } from '../../core/sessions/sayVerdict.ts';
import type { Decision } from '../../core/sessions/session.ts';
import { noteInMeeting, type ClassNote } from '../../data/classes.ts';
import { namePose } from '../shared/poseWords.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { Button } from '../shared/ui/Button.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import type { ClassPartProps } from './classPart.ts';
import type { ClassMember } from './useClassMembers.ts';
import { useJudgements, type MemberJudgement } from './useJudgements.ts';
import { afterPart as say } from './words.ts';

/** After the class: what the ladder says for everybody, and the weeks so far. */
export function AfterPart(props: ClassPartProps) {
  const { meetings } = props.yogaClass;
  const last = meetings.at(-1);
  if (last === undefined) return <p>{say.none}</p>;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-x-12 max-tablet:grid-cols-[minmax(0,1fr)]">
      <Verdicts {...props} meeting={last} />
      <Weeks members={props.state.members} meetings={meetings} />
    </div>
  );
}

const findDecision = ({ session }: MemberJudgement, { pose, side }: Judgement): Decision | null =>
  readSession(session).decisions.find((each) => each.pose === pose && each.side === side) ?? null;

/** What comes of the last meeting for everybody, in one list. */
function Verdicts({ yogaClass, state, meeting }: ClassPartProps & { meeting: Meeting }) {
  const judgements = useJudgements(state.members, meeting.id);
  const { write, told } = useWrite();
  const isWorking = judgements.some(({ judged }) => judged === null);
  const open = judgements.flatMap((each) =>
    (each.judged ?? [])
      .filter((one) => findDecision(each, one) === null)
      .map((judgement) => ({ each, judgement })),
  );
  const keeps = open.filter(({ judgement }) => judgement.verdict.kind === 'keep');
  const acceptKeeps = (): void => {
    const notes = judgements.map(({ member, session }): ClassNote => ({
      member: member.id,
      session: session.id,
      entries: keeps
        .filter(({ each }) => each.session.id === session.id)
        .map(({ judgement }) => ({ kind: 'decide', decision: decide(judgement, 'keep', '') })),
    }));
    write(() => noteInMeeting(yogaClass.id, notes), notes);
  };
  return (
    <section>
      <h2>{say.title}</h2>
      <p className="text-faint">{say.last(writeDate(meeting.at))}</p>
      {told}
      {isWorking && <p role="status">{say.working}</p>}
      {keeps.length > 0 ? (
        <Button className="mb-3" onClick={acceptKeeps}>
          {say.acceptKeep(keeps.length)}
        </Button>
      ) : (
        !isWorking && <p role="status">{say.keepAccepted}</p>
      )}
      <Table look="list" data-testid="class-verdicts">
        <TableHead columns={say.columns} />
        <tbody>
          {judgements.flatMap((each) =>
            each.judged?.length === 0
              ? [
                  <tr key={each.member.id}>
                    <th scope="row" className="font-normal">
                      {each.member.name}
                    </th>
                    <td colSpan={4} className="text-faint">
                      {say.nothing}
                    </td>
                  </tr>,
                ]
              : (each.judged ?? []).map((judgement) => (
                  <VerdictRow
                    key={`${each.member.id} ${judgement.pose} ${judgement.side}`}
                    of={each}
                    judgement={judgement}
                  />
                )),
          )}
        </tbody>
      </Table>
    </section>
  );
}

function VerdictRow({ of, judgement }: { of: MemberJudgement; judgement: Judgement }) {
  const { member, session } = of;
  const { pose, side, verdict } = judgement;
  const decision = findDecision(of, judgement);
  const query = new URLSearchParams({ id: member.id, session: session.id });
  return (
    <tr>
      <th scope="row" className="font-normal">
        {member.name}
      </th>
      <td>{namePose(pose)}</td>
      <td>{side}</td>
      <td className={verdict.kind === 'keep' ? '' : 'font-semibold'}>
        {sayVerdict(decision?.kind ?? verdict.kind)}
      </td>
      <td>
        {decision === null ? (
          <a href={`/session?${query.toString()}`}>
            {say.look}
            <span className="sr-only">
              {' '}
              {member.name}, {namePose(pose)}, {side}
            </span>
          </a>
        ) : (
          say.accepted
        )}
      </td>
    </tr>
  );
}

const sayMember = (change: MemberChange): string =>
  change.kind === 'not-twice'
    ? say.notTwice
    : change.kind === 'noise'
      ? say.noChange
      : change.words;

/** Who came, and who changed by more than measuring does. */
function Weeks({
  members,
  meetings,
}: {
  members: readonly ClassMember[];
  meetings: readonly Meeting[];
}) {
  const people = members.filter(({ isGuest }) => !isGuest);
  const changes = useMemo(
    () => new Map(people.map(({ id, record }) => [id, findMemberChange(record.readings)])),
    [people],
  );
  const count = (...kinds: readonly MemberChange['kind'][]): number =>
    [...changes.values()].filter(({ kind }) => kinds.includes(kind)).length;
  const twice = people.length - count('not-twice');
  return (
    <section data-testid="weeks">
      <h2>{say.weeks}</h2>
      <p>{say.moved(count('moved-on'), twice)}</p>
      {count('noise') > 0 && <p>{say.noise(count('noise'))}</p>}
      {count('not-twice') > 0 && <p className="text-faint">{say.once(count('not-twice'))}</p>}
      <Table look="list">
        <TableHead columns={say.changeColumns} />
        <tbody>
          {people.map(({ id, name }) => (
            <tr key={id}>
              <th scope="row" className="font-normal">
                <a href={`/over-time?id=${encodeURIComponent(id)}`}>{name}</a>
              </th>
              <td className="whitespace-nowrap">
                {say.times(
                  meetings.filter(({ present }) => present.includes(id)).length,
                  meetings.length,
                )}
              </td>
              <td>{sayMember(changes.get(id) ?? { kind: 'not-twice' })}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  );
}
