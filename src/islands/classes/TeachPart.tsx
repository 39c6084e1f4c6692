import { useState } from 'react';
import { toKept } from '../../core/classes/cupboard/keepShares.ts';
import { describePose } from '../../core/classes/classSheet.ts';
import { toClassHolds } from '../../core/classes/leadClass.ts';
import type { ClassRun } from '../../core/classes/yogaClass.ts';
import {
  endMeeting,
  joinMeeting,
  leaveMeeting,
  leavePose,
  noteInMeeting,
  startMeeting,
} from '../../data/classes.ts';
import { namePose } from '../shared/poseWords.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, Toggle, WordButton } from '../shared/ui/Button.tsx';
import { useStepKeys } from '../session/useStepKeys.ts';
import { useWakeLock } from '../session/useWakeLock.ts';
import { AddSomebody } from './AddSomebody.tsx';
import type { ClassPartProps } from './classPart.ts';
import { ClassCues } from '../cues/ClassCues.tsx';
import { cuesPart } from '../cues/words.ts';
import { LazyDetails } from '../shared/ui/LazyDetails.tsx';
import { MemberPanel } from './MemberPanel.tsx';
import { sessionsOf, type ClassMember } from './useClassMembers.ts';
import { classView, teachPart as say } from './words.ts';

/** The class as it is taught: who is here, then one pose at a time. */
export function TeachPart(props: ClassPartProps) {
  const { yogaClass, pose } = props;
  if (pose === null) return <p>{classView.nobody}</p>;
  return yogaClass.run === null ? (
    <BeforeClass {...props} pose={pose} />
  ) : (
    <Teaching {...props} run={yogaClass.run} />
  );
}

/** Who is here, before the first pose. */
function BeforeClass({ yogaClass, state, plan, shared }: ClassPartProps & { pose: string }) {
  const [missing, setMissing] = useState<ReadonlySet<string>>(new Set());
  const { write, told } = useWrite();
  const here = state.members.filter(({ id }) => !missing.has(id));
  const isReady = !plan.isWorking && shared.answer !== null;
  const begin = (): void => {
    const comers = here.map(({ id }) => ({
      member: id,
      holds: toClassHolds(plan.planned, yogaClass.poses, id),
    }));
    const [first = ''] = yogaClass.poses;
    const isHere = new Set(here.map(({ id }) => id));
    const shares = shared.sheet.shares.filter(({ need }) => isHere.has(need.member));
    write(() => startMeeting(yogaClass.id, comers, first, toKept(shares)));
  };
  return (
    <section>
      <h2 className="text-[1.8rem]">{say.title}</h2>
      <p>{say.who}</p>
      <div className="mb-4 flex flex-wrap gap-2" data-testid="who-is-here">
        {state.members.map(({ id, name }) => (
          <Toggle
            key={id}
            aria-pressed={!missing.has(id)}
            onClick={() => {
              setMissing((now) => {
                const next = new Set(now);
                if (!next.delete(id)) next.add(id);
                return next;
              });
            }}
          >
            {name}
          </Toggle>
        ))}
      </div>
      {told}
      {!isReady && <p role="status">{say.wait}</p>}
      {here.length === 0 && <p role="status">{say.nobodyHere}</p>}
      <Button disabled={!isReady || here.length === 0} onClick={begin}>
        {say.start}
      </Button>
    </section>
  );
}

/** The session of somebody in this meeting; null = it is on its way. */
const findSession = ({ sessions }: ClassMember, run: ClassRun) =>
  sessions.find((each) => each.class?.meeting === run.id) ?? null;

/** One pose at a time, readable from the mats; a name opens what is noted of that person. */
function Teaching(props: ClassPartProps & { run: ClassRun }) {
  useWakeLock();
  const { yogaClass, state, shared, unit, run, onPart } = props;
  const { id, poses } = yogaClass;
  const [opened, setOpened] = useState<string | null>(null);
  const [isLate, setIsLate] = useState(false);
  const { write, told } = useWrite();
  const at = Math.max(0, poses.indexOf(run.pose));
  const pose = poses[at] ?? run.pose;
  const present = state.members.filter((each) => run.present.includes(each.id));
  const finish = async (): Promise<void> => {
    await endMeeting(id);
    onPart('after');
  };
  const next = (): void => {
    const to = poses[at + 1];
    if (opened !== null) setOpened(null);
    else write(() => (to === undefined ? finish() : leavePose(id, pose, to)));
  };
  const back = (): void => {
    const to = poses[at - 1];
    if (opened !== null) setOpened(null);
    else if (to !== undefined) write(() => noteInMeeting(id, [], { pose: to }));
  };
  useStepKeys({ onNext: next, onBack: back, onUndo: () => undefined });
  const sheet = describePose(shared.sheet, pose, unit);
  const isHere = new Set(present.map((each) => each.id));
  const groups = sheet.groups.filter(({ names }) => names.length > 0);
  const lines = new Map(sheet.lines.map(({ member, words }) => [member.id, words]));
  const keptFrom = new Set(sheet.keepFrom.map(({ name }) => name));
  const byEye = new Set(sheet.notPlanned);
  const sayOf = ({ id: member, name }: ClassMember): string => {
    if (keptFrom.has(name)) return say.keepFrom;
    return byEye.has(name) ? say.byEye : (lines.get(member)?.join(', ') ?? '');
  };
  const open = present.find((each) => each.id === opened) ?? null;
  const session = open === null ? null : findSession(open, run);
  return (
    <div
      className="flex min-h-[calc(100dvh-10rem)] flex-col gap-3 text-[1.5rem] leading-[1.3] max-tablet:min-h-[calc(100dvh-2.25rem)]"
      data-run
    >
      <header className="flex flex-wrap items-baseline gap-x-6 [&_button]:text-base">
        <h2 className="m-0 text-[3rem]">{namePose(pose)}</h2>
        <span className="text-faint" data-testid="place-in-class">
          {say.of(at + 1, poses.length)}
        </span>
        <WordButton
          className="ml-auto"
          aria-expanded={isLate}
          onClick={() => {
            setIsLate(!isLate);
          }}
        >
          {say.latecomer}
        </WordButton>
        <WordButton
          onClick={() => {
            write(finish);
          }}
        >
          {say.end}
        </WordButton>
      </header>
      {told}
      {isLate && <Latecomers {...props} />}
      <section className="flex-1" aria-label={say.legend} data-testid="class-run">
        {groups.length > 0 && (
          <dl className="mb-4 flex flex-wrap gap-x-14 gap-y-3">
            {groups.map(({ value, names }) => (
              <div key={value}>
                <dt className="font-serif text-[5rem] leading-none font-medium tabular-nums lining-nums">
                  {value}
                </dt>
                <dd className="max-w-[26ch]">{names.join(', ')}</dd>
              </div>
            ))}
          </dl>
        )}
        {groups.length === 0 && <p>{say.everybody}</p>}
        <LazyDetails key={`cues ${pose}`} summary={cuesPart.summary}>
          {() => <ClassCues pose={pose} sessions={sessionsOf(state)} />}
        </LazyDetails>
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(24rem,100%),1fr))] gap-x-8">
          {present.map((member) => (
            <li key={member.id} className="border-b border-hair">
              <button
                type="button"
                className="flex min-h-14 w-full cursor-pointer flex-wrap items-baseline gap-x-3 py-1 text-left"
                onClick={() => {
                  setOpened(member.id);
                }}
              >
                <strong className="underline decoration-water decoration-2 underline-offset-4">
                  {member.name}
                </strong>
                <span>{sayOf(member)}</span>
              </button>
            </li>
          ))}
        </ul>
        {isHere.size === 0 && <p>{say.nobodyHere}</p>}
      </section>
      {open !== null && (
        <MemberPanel
          {...props}
          key={`${open.id} ${pose}`}
          member={open}
          session={session}
          pose={pose}
          onClose={() => {
            setOpened(null);
          }}
        />
      )}
      <div className="sticky bottom-0 flex gap-4 bg-paper pt-1 pb-2 *:min-h-18 *:flex-1 *:cursor-pointer *:rounded-[10px] *:border-2 *:border-ink *:bg-sheet *:disabled:cursor-default *:disabled:opacity-45">
        <button type="button" disabled={at === 0} onClick={back}>
          {say.back}
        </button>
        <button type="button" onClick={next}>
          {at === poses.length - 1 ? say.finish : `${say.next}: ${namePose(poses[at + 1] ?? '')}`}
        </button>
      </div>
    </div>
  );
}

/** Who came late, who has gone, and somebody who was not expected. */
function Latecomers({ yogaClass, state, plan, run }: ClassPartProps & { run: ClassRun }) {
  const { id, poses } = yogaClass;
  const { write, told } = useWrite();
  const isPlanned = (member: string): boolean =>
    plan.planned.filter((each) => each.member === member).length === poses.length;
  const toggle = (member: string): void => {
    write(() =>
      run.present.includes(member)
        ? leaveMeeting(id, member)
        : joinMeeting(id, { member, holds: toClassHolds(plan.planned, poses, member) }),
    );
  };
  return (
    <section className="rounded-md bg-mist px-4 py-3" data-testid="latecomers">
      <div className="flex flex-wrap gap-2">
        {state.members.map(({ id: member, name }) => (
          <Toggle
            key={member}
            aria-pressed={run.present.includes(member)}
            disabled={!isPlanned(member)}
            onClick={() => {
              toggle(member);
            }}
          >
            {name}
          </Toggle>
        ))}
      </div>
      <AddSomebody yogaClass={yogaClass} />
      {told}
    </section>
  );
}
