import { lazy, Suspense, useState } from 'react';
import { readHomeFile } from '../../core/formats/homeFile.ts';
import {
  addHomeDays,
  isToCome,
  takeBackHomeDays,
  type HomeDay,
} from '../../core/person/homeDay.ts';
import type { Person } from '../../core/person/person.ts';
import { problem, type Problem } from '../../core/problems/problem.ts';
import type { Session } from '../../core/sessions/session.ts';
import { sayCount } from '../../core/units/sayCount.ts';
import { changePerson } from '../../data/people.ts';
import { namePose } from '../shared/poseWords.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { sayError } from '../shared/sayError.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { CheckField } from '../shared/ui/CheckField.tsx';
import { FileField } from '../shared/ui/FileField.tsx';
import { TextField } from '../shared/ui/TextField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { homeDays as say } from './words.ts';

const DateTimeField = lazy(async () => ({
  default: (await import('../shared/ui/DateTimeField.tsx')).DateTimeField,
}));

/** As many poses as are practised at home. Common practice, no source. */
const MOST_POSES = 3;
const FIRST_POSES = ['mountain', 'warrior-two', 'triangle'];

const NOTHING_WRITTEN = { day: '', poses: [] as readonly string[], words: '' };

/** The poses of the last session, a few of them. */
function findHomePoses(sessions: readonly Session[]): readonly string[] {
  const last = sessions.find(({ holds }) => holds.length > 0);
  const poses = [...new Set((last?.holds ?? []).map(({ pose }) => pose))];
  return (poses.length === 0 ? FIRST_POSES : poses).slice(0, MOST_POSES);
}

interface HomeDaysProps {
  person: Person;
  /** The latest first. */
  sessions: readonly Session[];
}

/** What a person reports of practising at home: typed here, or on a file that they hand back. */
export function HomeDays({ person, sessions }: HomeDaysProps) {
  const poses = findHomePoses(sessions);
  const [line, setLine] = useState(NOTHING_WRITTEN);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [missing, setMissing] = useState('');
  const [failed, setFailed] = useState('');
  /** What was taken in last, and the days as they were. */
  const [taken, setTaken] = useState<{
    readonly days: readonly HomeDay[];
    readonly before: readonly HomeDay[];
  } | null>(null);
  const { write, told } = useWrite();
  const paper = new URLSearchParams({ id: person.id, kind: 'home', poses: poses.join(',') });

  const takeIn = async (days: readonly HomeDay[]): Promise<void> => {
    let before: readonly HomeDay[] = [];
    await changePerson(person.id, ({ home = [] }) => {
      before = home;
      return { home: addHomeDays(home, days) };
    });
    setTaken({ days, before });
  };
  const add = (): void => {
    const { day, words } = line;
    const isEmpty = line.poses.length === 0 && words.trim() === '';
    setMissing(day === '' ? say.dayMissing : isEmpty ? say.emptyLine : '');
    const now = new Date().toISOString();
    const isEarly = day !== '' && isToCome(day, now);
    setProblems(isEarly ? [problem('day-to-come', say.day, { text: day })] : []);
    if (day === '' || isEmpty || isEarly) return;
    const typed: HomeDay = {
      ...line,
      words: words.trim(),
      id: crypto.randomUUID(),
      by: 'typed',
      takenInAt: now,
    };
    write(async () => {
      await takeIn([typed]);
      setLine(NOTHING_WRITTEN);
    }, typed);
  };
  const choose = async (chosen: File | undefined): Promise<void> => {
    setProblems([]);
    setFailed('');
    if (chosen === undefined) return;
    try {
      const read = readHomeFile(await chosen.text(), person, new Date().toISOString());
      if (read.ok) write(() => takeIn(read.value));
      else setProblems(read.problems);
    } catch (error) {
      setFailed(say.couldNotRead(chosen.name, sayError(error)));
    }
  };
  return (
    <section data-testid="home-days">
      <h2>{say.title}</h2>
      <p>
        {(person.home ?? []).length > 0 && (
          <>{say.reported(sayCount(person.home?.length ?? 0, 'day'))} </>
        )}
        <a href={`/paper?${paper.toString()}`}>{say.ownPage}</a>
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <Suspense>
          <DateTimeField
            label={say.day}
            isDay
            value={line.day}
            onChange={(day) => {
              setLine((now) => ({ ...now, day }));
            }}
          />
        </Suspense>
        <fieldset className="mb-2">
          <legend className="text-[0.95rem] text-faint">{say.poses}</legend>
          {poses.map((pose) => (
            <CheckField
              key={pose}
              isChecked={line.poses.includes(pose)}
              onChange={(isChecked) => {
                setLine((now) => ({
                  ...now,
                  poses: isChecked
                    ? [...now.poses, pose]
                    : now.poses.filter((each) => each !== pose),
                }));
              }}
            >
              {namePose(pose)}
            </CheckField>
          ))}
        </fieldset>
        <TextField
          label={say.words}
          value={line.words}
          onChange={(words) => {
            setLine((now) => ({ ...now, words }));
          }}
        />
        {missing !== '' && <p role="alert">{missing}</p>}
        <Button type="submit" isPlain>
          {say.add}
        </Button>
      </form>
      <div className="mt-4">
        <FileField
          label={say.file}
          accept=".json,application/json"
          onChoose={(file) => void choose(file)}
        />
      </div>
      <ProblemList problems={problems} />
      {failed !== '' && <p role="alert">{failed}</p>}
      {told}
      {taken !== null && (
        <p role="status">
          {say.takenIn(sayCount(taken.days.length, 'day'))}
          <WordButton
            onClick={() => {
              write(async () => {
                await changePerson(person.id, ({ home = [] }) => ({
                  home: takeBackHomeDays(home, taken.days, taken.before),
                }));
                setTaken(null);
              });
            }}
          >
            {say.undo}
          </WordButton>
        </p>
      )}
    </section>
  );
}
