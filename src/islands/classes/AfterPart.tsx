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

const list = new Intl.ListFormat(undefined, { type: 'conjunction' });

const findDecision = ({ session }: MemberJudgement, { pose, side }: Judgement): Decision | null =>
  readSession(session).decisions.find((each) => each.pose === pose && each.side === side) ?? null;

/** What comes of the last meeting for everybody, in one list. */
function Verdicts({ yogaClass, state, meeting }: ClassPartProps & { meeting: Meeting }) {
  const judgements = useJudgements(state.members, meeting.id);
  const { write, told } = useWrite();
  const isWorking = judgements.some(({ judged }) => judged === null);
  const lines = judgements.flatMap((of) =>
    (of.judged ?? []).map((judgement): Line => ({ of, judgement })),
  );
  const isKeep = ({ judgement }: Line): boolean => judgement.verdict.kind === 'keep';
  const [sure, others] = [lines.filter(isKeep), lines.filter((each) => !isKeep(each))];
  const keeps = sure.filter(({ of, judgement }) => findDecision(of, judgement) === null);
  const quiet = judgements.flatMap(({ judged, member }) =>
    judged?.length === 0 ? [member.name] : [],
  );
  const acceptKeeps = (): void => {
    const notes = judgements.map(({ member, session }): ClassNote => ({
      member: member.id,
      session: session.id,
      entries: keeps
        .filter(({ of }) => of.session.id === session.id)
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
      <h3 className="font-serif text-[1.1rem]">{say.others}</h3>
      {others.length === 0 && !isWorking && <p>{say.noOthers}</p>}
      <VerdictTable lines={others} />
      <details>
        <summary>{say.keeps(sure.length)}</summary>
        <VerdictTable lines={sure} />
      </details>
      {quiet.length > 0 && (
        <p className="text-faint">
          {list.format(quiet)}: {say.nothing}
        </p>
      )}
    </section>
  );
}

/** One pose and side of somebody’s session. */
interface Line {
  readonly of: MemberJudgement;
  readonly judgement: Judgement;
}

const VerdictTable = ({ lines }: { lines: readonly Line[] }) =>
  lines.length === 0 ? null : (
    <Table look="list" data-testid="class-verdicts">
      <TableHead columns={say.columns} />
      <tbody>
        {lines.map((line) => (
          <VerdictRow
            key={`${line.of.member.id} ${line.judgement.pose} ${line.judgement.side}`}
            {...line}
          />
        ))}
      </tbody>
    </Table>
  );

function VerdictRow({ of, judgement }: Line) {
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
