import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findAnyPose } from '../../core/poses/anyPose.ts';
import { POSES } from '../../core/poses/catalogue/index.ts';
import type { Result } from '../../core/problems/problem.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import type { PreparedPeak } from '../../core/sequence/peak/preparePeak.ts';
import { sayMotion } from '../../core/sequence/peak/preparing.ts';
import type { PromisingPeak } from '../../core/sequence/peak/promising.ts';
import type { Session } from '../../core/sessions/session.ts';
import { writeLength } from '../../core/units/readQuantity.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { findPromisingPeaksInWorker, preparePeakInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate } from '../shared/writeValue.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { CheckField } from '../shared/ui/CheckField.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { flowsView, towardPeak as say } from './words.ts';

interface TowardPeakProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  onTake: (flow: Flow) => void;
}

const USUAL_MINUTES = 30;
const nameOf = (pose: string): string => findAnyPose(pose)?.name ?? pose;

/** A flow that prepares a peak: chosen by the teacher, or one of the three that are most promising. */
export function TowardPeak({ record, sessions, onTake }: TowardPeakProps) {
  const [peak, setPeak] = useState('');
  const [minutes, setMinutes] = useState(USUAL_MINUTES);
  const [isActive, setIsActive] = useState(true);
  const [found, setFound] = useState<Result<PreparedPeak> | 'working' | null>(null);
  const choose = (pose: string): void => {
    setPeak(pose);
    setFound(null);
  };
  const build = async (): Promise<void> => {
    setFound('working');
    const flow = { id: crypto.randomUUID(), name: say.name(nameOf(peak)) };
    setFound(await preparePeakInWorker(record, sessions, { peak, minutes, isActive }, flow));
  };
  return (
    <section data-testid="toward-peak">
      <h2>{say.title}</h2>
      <p className="text-faint">{say.about}</p>
      <Promising record={record} sessions={sessions} onChoose={choose} />
      <div className="my-3 flex flex-wrap items-end gap-x-5 gap-y-2 [&_input]:w-auto [&_select]:w-auto">
        <SelectField
          label={say.peak}
          value={peak}
          options={[['', say.choose], ...POSES.map(({ id, name }) => [id, name] as const)]}
          onChange={choose}
        />
        <Field className="[&_input]:w-24!" label={say.minutes}>
          <input
            type="number"
            min={1}
            max={240}
            defaultValue={minutes}
            onChange={({ target }) => {
              setMinutes(target.valueAsNumber);
              setFound(null);
            }}
          />
        </Field>
        <CheckField
          isChecked={isActive}
          onChange={(checked) => {
            setIsActive(checked);
            setFound(null);
          }}
        >
          {say.active}
        </CheckField>
        <Button
          isPlain
          disabled={peak === '' || !(minutes >= 1 && minutes <= 240) || found === 'working'}
          onClick={() => void build()}
        >
          {say.build}
        </Button>
      </div>
      {found === 'working' && <p role="status">{say.working}</p>}
      {found !== null && found !== 'working' && !found.ok && (
        <div role="alert">
          <ProblemList problems={found.problems} />
        </div>
      )}
      {found !== null && found !== 'working' && found.ok && (
        <Prepared prepared={found.value} onTake={onTake} />
      )}
    </section>
  );
}

/** The three poses nearest to their next version, each with what is still to go. */
function Promising({
  record,
  sessions,
  onChoose,
}: Pick<TowardPeakProps, 'record' | 'sessions'> & { onChoose: (pose: string) => void }) {
  const unit = useUnit();
  const key = JSON.stringify([record.revision, sessions.map(({ entries }) => entries.length)]);
  const found = useAnswer(key, () => findPromisingPeaksInWorker(record, sessions));
  if (found === null) return <p className="text-faint">{say.lookingAhead}</p>;
  if (!found.ok || found.value.length === 0) return null;
  const sayNeed = ({ words, amount, unit: own }: PromisingPeak['needs'][number]): string =>
    say.need(
      own === 'cm' ? writeLength(metresFromCm(amount), unit, 0) : `${String(Math.round(amount))}°`,
      words,
    );
  const describe = ({ next, needs, measuredAt }: PromisingPeak): string =>
    [
      next === null ? say.noNext : say.next(next),
      ...(next === null
        ? []
        : [needs.length === 0 ? say.fits : say.needs(needs.map(sayNeed).join(', '))]),
      ...(measuredAt === null ? [] : [say.measured(writeDate(measuredAt))]),
    ].join('; ');
  return (
    <>
      <h3 className="font-serif text-[1.1rem]">{say.promising}</h3>
      <ul>
        {found.value.map((each) => (
          <li key={each.pose}>
            <WordButton
              onClick={() => {
                onChoose(each.pose);
              }}
            >
              {nameOf(each.pose)}
            </WordButton>{' '}
            <span className="text-faint">{describe(each)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What was found, before it is taken: how good it is, and what it leaves unprepared. */
function Prepared({
  prepared: { flow, isProven, unprepared },
  onTake,
}: {
  prepared: PreparedPeak;
  onTake: (flow: Flow) => void;
}) {
  return (
    <div role="status">
      <p>
        <strong>{say.found(flowsView.steps(flow.steps.length), flow.minutes ?? 0)}</strong>{' '}
        {isProven ? say.proven : say.notProven}
      </p>
      {unprepared.length > 0 && (
        <>
          <h3 className="font-serif text-[1.1rem]">{say.unprepared}</h3>
          <ul className="list-disc pl-[1.1rem]">
            {unprepared.map((each) => {
              const sayIt = each.why === 'no-time' ? say.noTime : say.nothing;
              const words = sayIt(sayMotion(each), Math.round(100 * each.peakShare));
              return <li key={words}>{words}</li>;
            })}
          </ul>
        </>
      )}
      <Button
        onClick={() => {
          onTake(flow);
        }}
      >
        {say.open}
      </Button>
    </div>
  );
}
