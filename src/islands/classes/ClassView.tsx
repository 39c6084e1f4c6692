import { lazy, Suspense, useMemo } from 'react';
import { findClashes, MOST_PEOPLE, type YogaClass } from '../../core/classes/yogaClass.ts';
import { changeClass, removeClass, saveClass } from '../../data/classes.ts';
import { Opening } from '../shared/Opening.tsx';
import { UnitChoice } from '../shared/UnitChoice.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useUnit } from '../shared/useRecord.ts';
import { useStoredText } from '../shared/useStoredText.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { showToast } from '../shared/ui/toasts.ts';
import { Working } from '../shared/ui/Working.tsx';
import { PlanPart } from './PlanPart.tsx';
import { useClassMembers, type ClassState } from './useClassMembers.ts';
import { useClassPlan, type ClassPlan } from './useClassPlan.ts';
import { useShared } from './useShared.ts';
import type { ClassPartProps } from './classPart.ts';
import { classesView, classView as say, PART_WORDS } from './words.ts';

const PropsPart = lazy(async () => ({ default: (await import('./PropsPart.tsx')).PropsPart }));
const RoomPart = lazy(async () => ({ default: (await import('./RoomPart.tsx')).RoomPart }));
const SheetPart = lazy(async () => ({ default: (await import('./SheetPart.tsx')).SheetPart }));
const TeachPart = lazy(async () => ({ default: (await import('./TeachPart.tsx')).TeachPart }));
const AfterPart = lazy(async () => ({ default: (await import('./AfterPart.tsx')).AfterPart }));

const PARTS = {
  plan: PlanPart,
  props: PropsPart,
  room: RoomPart,
  sheet: SheetPart,
  teach: TeachPart,
  after: AfterPart,
} as const;
type Part = keyof typeof PARTS;

interface ClassViewProps {
  yogaClass: YogaClass;
  others: readonly YogaClass[];
  onClose: () => void;
}

/** One class: who comes and what is held, and all that comes of it, part by part. */
export function ClassView({ yogaClass, others, onClose }: ClassViewProps) {
  const state = useClassMembers(yogaClass);
  if (state === undefined) return <Opening />;
  return <LoadedClass yogaClass={yogaClass} others={others} state={state} onClose={onClose} />;
}

function LoadedClass({
  yogaClass,
  others,
  state,
  onClose,
}: ClassViewProps & { state: ClassState }) {
  const [query, setQuery] = useQuery();
  const unit = useUnit();
  const asked = query.get('part') ?? 'plan';
  const part: Part = asked in PARTS ? (asked as Part) : 'plan';
  const { poses, instructions } = yogaClass;
  const pose = poses.find((each) => each === query.get('pose')) ?? poses[0] ?? null;
  const plan = useClassPlan(state.members, poses, instructions, pose);
  const shared = useShared(yogaClass, state, plan);
  const props = useMemo(
    (): ClassPartProps => ({
      yogaClass,
      others,
      state,
      plan,
      shared,
      pose,
      unit,
      onPose: (id) => {
        setQuery({ pose: id });
      },
      onPart: (id) => {
        setQuery({ part: id });
      },
    }),
    [yogaClass, others, state, plan, shared, pose, unit, setQuery],
  );
  const Shown = PARTS[part];
  return (
    <div className="pt-1">
      <ClassHead yogaClass={yogaClass} part={part} onClose={onClose} />
      <ClassProblems yogaClass={yogaClass} others={others} state={state} plan={plan} />
      <Suspense fallback={<Opening />}>
        <Shown {...props} />
      </Suspense>
    </div>
  );
}

function ClassHead({
  yogaClass,
  part,
  onClose,
}: {
  yogaClass: YogaClass;
  part: Part;
  onClose: () => void;
}) {
  const { id, name } = yogaClass;
  const [, setQuery] = useQuery();
  const { write, told } = useWrite();
  const remove = (): void => {
    write(async () => {
      await removeClass(id);
      showToast({
        words: say.removed(name),
        action: {
          words: say.undo,
          run: () => {
            write(() => saveClass(yogaClass), yogaClass);
          },
        },
      });
      onClose();
    });
  };
  return (
    <header className="mb-3 max-tablet:in-[body:has([data-run])]:hidden print:hidden">
      <h1 className="sr-only">{name}</h1>
      <div className="flex flex-wrap items-baseline gap-x-5">
        <WordButton onClick={onClose}>{classesView.allClasses}</WordButton>
        <ClassName yogaClass={yogaClass} />
        <nav
          aria-label={say.parts(name)}
          className="flex flex-wrap gap-x-5 font-serif text-[1.1rem] max-phone:gap-x-3"
        >
          {Object.entries(PART_WORDS).map(([each, words]) => (
            <a
              key={each}
              className="inline-flex min-h-11 items-center no-underline hover:wave aria-[current]:wave"
              href={`/classes?class=${encodeURIComponent(id)}&part=${each}`}
              aria-current={each === part ? 'page' : undefined}
              onClick={(event) => {
                event.preventDefault();
                setQuery({ part: each });
              }}
            >
              {words}
            </a>
          ))}
        </nav>
        <span className="ml-auto">
          <UnitChoice />
        </span>
        <WordButton className="text-faint" onClick={remove}>
          {say.remove}
        </WordButton>
      </div>
      {told}
    </header>
  );
}

/** The name of the class, changed in place. */
function ClassName({ yogaClass: { id, name } }: { yogaClass: YogaClass }) {
  const { field, told } = useStoredText({
    label: classesView.name,
    stored: name,
    check: (text) => (text === '' ? classesView.nameMissing : null),
    store: async (from, to) => {
      let theirs: string | null = null;
      await changeClass(id, (now) => {
        theirs = now.name === from || now.name === to ? null : now.name;
        return theirs === null ? { name: to } : {};
      });
      return theirs;
    },
  });
  return (
    <span className="inline-flex items-baseline gap-2">
      <input
        {...field}
        aria-label={classesView.name}
        className="w-64! border-0! border-b! bg-transparent! px-0! font-serif text-[1.35rem]"
      />
      {told}
    </span>
  );
}

/** What stands in the way of the class, and how far its planning is. */
function ClassProblems({
  yogaClass,
  others,
  state,
  plan,
}: {
  yogaClass: YogaClass;
  others: readonly YogaClass[];
  state: ClassState;
  plan: ClassPlan;
}) {
  const { write, told } = useWrite();
  const nameOf = (id: string): string =>
    state.members.find((each) => each.id === id)?.name ?? say.gonePerson;
  const count = yogaClass.personIds.length + yogaClass.guests.length;
  return (
    <div className="print:hidden" data-testid="class-problems">
      {told}
      {count > MOST_PEOPLE && <p role="alert">{say.tooMany(count, MOST_PEOPLE)}</p>}
      {findClashes(yogaClass, others).map(({ person, other }) => (
        <p key={`${person} ${other}`} role="alert">
          {say.inTwoClasses(nameOf(person), other)}
        </p>
      ))}
      {state.missing.map(({ id, name }) => (
        <p key={id} role="status">
          {name === null ? say.gonePerson : say.removedPerson(name)}{' '}
          <WordButton
            onClick={() => {
              write(() =>
                changeClass(yogaClass.id, ({ personIds }) => ({
                  personIds: personIds.filter((each) => each !== id),
                })),
              );
            }}
          >
            {say.takeOut}
          </WordButton>
        </p>
      ))}
      {plan.isWorking && (
        <Working
          words={say.planning(plan.done, plan.all)}
          done={plan.done}
          all={plan.all}
          onStop={plan.stop}
        />
      )}
      {!plan.isWorking && plan.failed === 0 && plan.done < plan.all && (
        <p role="status">
          {say.stopped(plan.done, plan.all)} <WordButton onClick={plan.goOn}>{say.goOn}</WordButton>
        </p>
      )}
      {!plan.isWorking && plan.failed > 0 && (
        <p role="alert">
          {say.failed(plan.failed)} <WordButton onClick={plan.goOn}>{say.tryAgain}</WordButton>
        </p>
      )}
    </div>
  );
}
