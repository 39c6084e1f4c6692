import { useEffect, useRef, useState } from 'react';
import type { Side } from '../../core/measures/protocol.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { findEasierLevels } from '../../core/poses/level.ts';
import { noteChange } from '../../core/sessions/logHold.ts';
import { readSession, type LoggedHold } from '../../core/sessions/readSession.ts';
import { respond } from '../../core/sessions/respond.ts';
import type { HoldNotes, NewEntry, Session } from '../../core/sessions/session.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import { changeClass, noteInMeeting } from '../../data/classes.ts';
import { ErrorTiles } from '../poseErrors/ErrorTiles.tsx';
import { PainNote } from '../session/PainNote.tsx';
import { ResponsePanel } from '../session/ResponsePanel.tsx';
import { SetStage } from '../session/SetStage.tsx';
import { SignNote } from '../session/SignNote.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Toggle, WordButton } from '../shared/ui/Button.tsx';
import type { ClassPartProps } from './classPart.ts';
import type { ClassMember } from './useClassMembers.ts';
import { teachPart as say } from './words.ts';

interface MemberPanelProps extends ClassPartProps {
  member: ClassMember;
  /** null = it is being written. */
  session: Session | null;
  pose: string;
  onClose: () => void;
}

/** One person of a class in the pose that is held: their drawing, what is seen, and what they say. */
export function MemberPanel(props: MemberPanelProps) {
  const { member, session, pose, plan, onClose } = props;
  const dialog = useRef<HTMLDialogElement>(null);
  const [asked, setAsked] = useState<Side>('right');
  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  const holds =
    session === null
      ? []
      : readSession(session).holds.filter(({ plan: hold }) => hold.pose === pose);
  const hold = holds.find((each) => each.plan.side === asked) ?? holds[0] ?? null;
  const setUp =
    plan.planned
      .find((each) => each.member === member.id && each.pose === pose)
      ?.pairs.find((each) => each.plan.side === hold?.plan.side)?.setUp ?? null;
  return (
    <dialog
      ref={dialog}
      aria-label={member.name}
      className="m-auto max-h-[94dvh] w-[72rem] max-w-[calc(100vw-1rem)] overflow-y-auto rounded border bg-sheet p-5 text-[1.3rem] text-ink backdrop:bg-ink/30"
      data-testid="member-panel"
      onClose={onClose}
    >
      <div className="mb-2 flex flex-wrap items-baseline gap-x-4">
        <h2 className="m-0 text-[2rem]">{member.name}</h2>
        {holds.length > 1 &&
          holds.map(({ plan: { side } }) => (
            <Toggle
              key={side}
              aria-pressed={side === hold?.plan.side}
              onClick={() => {
                setAsked(side);
              }}
            >
              {say.side(side)}
            </Toggle>
          ))}
        <WordButton className="ml-auto" onClick={onClose}>
          {say.close}
        </WordButton>
      </div>
      {member.isGuest && <p className="text-faint">{say.guestSession}</p>}
      {session === null || hold === null ? (
        <p>{session === null ? '…' : say.noSetUp}</p>
      ) : (
        <>
          <SetStage plan={hold.plan} setUp={setUp} leadIn={null} />
          <Notes {...props} session={session} hold={hold} setUp={setUp} />
        </>
      )}
    </dialog>
  );
}

/** What is seen and said: each tap is stored at once in the person’s own record. */
function Notes({
  yogaClass,
  member,
  session,
  hold,
  setUp,
}: MemberPanelProps & { session: Session; hold: LoggedHold; setUp: SetUp | null }) {
  const { plan, notes } = hold;
  const { write, told } = useWrite();
  const note = (entries: readonly NewEntry[]): void => {
    write(
      () => noteInMeeting(yogaClass.id, [{ member: member.id, session: session.id, entries }]),
      entries,
    );
  };
  const change = (changed: Partial<HoldNotes>): void => {
    note([noteChange(plan.id, changed)]);
    const { sign } = changed;
    // A guest has no record: the sign stands with the guest, and keeps them from every pose.
    if (member.isGuest && typeof sign === 'string') {
      write(() =>
        changeClass(yogaClass.id, ({ guests }) => ({
          guests: guests.map((each) =>
            each.id === member.id ? { ...each, signs: [...new Set([...each.signs, sign])] } : each,
          ),
        })),
      );
    }
  };
  const pose = findPose(plan.pose);
  const [easier] = pose === null ? [] : findEasierLevels(pose, plan.level);
  const tookEasier = easier !== undefined && notes.level === easier.id;
  return (
    <section aria-label={say.errors}>
      {told}
      <h3 className="mb-1 font-serif text-[1.4rem]">{say.errors}</h3>
      <ErrorTiles
        record={member.record}
        sessions={member.sessions}
        hold={hold}
        setUp={setUp}
        onNote={note}
      />
      <div className="my-3 flex flex-wrap gap-2">
        {easier !== undefined && (
          <Toggle
            aria-pressed={tookEasier}
            onClick={() => {
              change({ level: tookEasier ? null : easier.id });
            }}
          >
            {say.easier}: {easier.name.toLowerCase()}
          </Toggle>
        )}
        <Toggle
          aria-pressed={notes.isHarder}
          onClick={() => {
            change({ isHarder: !notes.isHarder });
          }}
        >
          {say.harder}
        </Toggle>
        <span role="status" className="self-center text-faint">
          {hold.at === null ? '' : say.saved}
        </span>
      </div>
      <UnderTheFinger>
        <Health member={member} session={session} hold={hold} onChange={change} onNote={note} />
      </UnderTheFinger>
    </section>
  );
}

/** How long what is said about pain stays open without a touch, ms. */
const OPEN_MS = 20_000;

/** What nobody on a mat should read: closed until it is pressed, and closed again by itself. */
function UnderTheFinger({ children }: { children: React.ReactNode }) {
  const [isOpen, setIsOpen] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(
    () => () => {
      clearTimeout(timer.current);
    },
    [],
  );
  const stayOpen = (): void => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      setIsOpen(false);
    }, OPEN_MS);
  };
  return (
    <div onPointerDown={stayOpen} onKeyDown={stayOpen} data-testid="under-the-finger">
      <WordButton
        aria-expanded={isOpen}
        onClick={() => {
          stayOpen();
          setIsOpen(!isOpen);
        }}
      >
        {isOpen ? say.hide : say.health}
      </WordButton>
      {isOpen && (
        <div className="text-[1rem]">
          <p className="text-faint">{say.hides}</p>
          {children}
        </div>
      )}
    </div>
  );
}

/** Pain and stop signs, and what to do at once. */
function Health({
  member,
  session,
  hold,
  onChange,
  onNote,
}: {
  member: ClassMember;
  session: Session;
  hold: LoggedHold;
  onChange: (change: Partial<HoldNotes>) => void;
  onNote: (entries: readonly NewEntry[]) => void;
}) {
  const { notes, cleared, plan } = hold;
  const response = hold.at === null ? null : respond(toHolds(member.sessions), plan);
  return (
    <>
      {response !== null && response.kind !== 'ease' && (
        <ResponsePanel
          record={member.record}
          session={session}
          hold={hold}
          holds={readSession(session).holds}
          response={response}
          onPass={onNote}
          onNote={onNote}
        />
      )}
      <PainNote notes={notes} onChange={onChange} />
      <SignNote notes={notes} cleared={cleared} onChange={onChange} />
    </>
  );
}
