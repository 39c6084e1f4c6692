import { drawMarks } from '../../core/drawing/flowMat.ts';
import type { FlowEdit } from '../../core/sequence/editFlow.ts';
import { findAnyPose } from '../../core/poses/anyPose.ts';
import type { Mark } from '../../core/sequence/marks.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import type { FlowRun } from '../../core/sequence/plannedFlow.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { FlowChecks } from './FlowChecks.tsx';
import { FlowLoadView } from './FlowLoadView.tsx';
import { WordSelect } from '../shared/ui/WordSelect.tsx';
import { flowFacts as say, towardPeak as words } from './words.ts';

interface FlowFactsProps {
  plan: FlowPlan;
  unit: LengthUnit;
  edit: (edit: FlowEdit) => void;
}

const nameOf = (pose: string): string => findAnyPose(pose)?.name ?? pose;
const write = (cm: number, unit: LengthUnit): string =>
  writeLength(metresFromCm(Math.abs(cm)), unit, unit === 'cm' ? 0 : 1);

/** The marks of the mat, the shared stances, where the time goes, and what was left out. */
export function FlowFacts({ plan, unit, edit }: FlowFactsProps) {
  const { marks, mat, runs, leftOut, problems } = plan;
  return (
    <div className="mt-4 grid gap-x-8 tablet:grid-cols-2">
      {marks.length > 0 && (
        <section>
          <h2>{say.mat}</h2>
          <p>
            {mat.overCm > 0
              ? say.tooShort(write(mat.overCm, unit))
              : say.fits(write(mat.frontMarksCm, unit))}
          </p>
          <SheetDrawing drawing={drawMarks(mat, marks)} size="small" />
          <MarkTable plan={plan} unit={unit} />
        </section>
      )}
      <div>
        <PeakFacts plan={plan} edit={edit} />
        <FlowChecks plan={plan} edit={edit} />
        <section>
          <h2>{say.stances}</h2>
          {runs.length === 0 ? (
            <p>{say.noStance}</p>
          ) : (
            runs.map((run) => (
              <RunWords
                key={run.from}
                run={run}
                side={plan.steps[run.from]!.place.side}
                unit={unit}
              />
            ))
          )}
        </section>
        <TimeBar plan={plan} edit={edit} />
        {leftOut.length > 0 && (
          <section>
            <h2>{say.leftOut}</h2>
            {leftOut.map(({ index, problems: why }) => (
              <ProblemList key={index} problems={why} />
            ))}
          </section>
        )}
        {problems.length > 0 && (
          <section>
            <h2>{say.notes}</h2>
            <ProblemList problems={problems} />
          </section>
        )}
      </div>
      <div className="tablet:col-span-2">
        <FlowLoadView plan={plan} />
      </div>
    </div>
  );
}

interface RunWordsProps {
  run: FlowRun;
  side: 'left' | 'right' | null;
  unit: LengthUnit;
}

function RunWords({ run, side, unit }: RunWordsProps) {
  // A pose may stand in it twice: held in one version, passed through in another.
  const names = [...new Set(run.poses.map(({ pose }) => nameOf(pose)))].join(', ');
  const losing = run.poses.filter(({ lost }) => lost >= 0.005);
  return (
    <p>
      {say.stance(names, side ?? '', write(run.stanceCm, unit), Math.round(run.backFootDeg))}{' '}
      {run.setBy === null
        ? say.setByNone
        : `${say.setBy(nameOf(run.setBy))} ${losing
            .map(({ pose, lost }) => say.loses(nameOf(pose), Math.round(100 * lost)))
            .join('; ')}.`}
    </p>
  );
}

function MarkTable({ plan, unit }: Omit<FlowFactsProps, 'edit'>) {
  const sayPlace = ({ place }: Mark): string => {
    const { y } = place;
    return Math.abs(y) < 0.5 ? say.middle : say.sideways(write(y, unit), y > 0 ? 'left' : 'right');
  };
  const sayToes = ({ place }: Mark): string => {
    const deg = Math.round(Math.abs(place.turnDeg));
    if (place.part === 'knee') return '';
    return deg < 1 ? say.ahead : say.turned(deg, place.turnDeg > 0 ? 'left' : 'right');
  };
  const PART = { foot: say.heel, ball: say.ball, knee: say.knee } as const;
  return (
    <Table look="list" data-testid="marks">
      <caption className="sr-only">{say.mat}</caption>
      <TableHead columns={[say.mark, say.foot, say.along, say.across, say.toes, say.serves]} />
      <tbody>
        {plan.marks.map((mark) => (
          <tr key={mark.number}>
            <th scope="row">{mark.number}</th>
            <td>{`${mark.side} ${PART[mark.place.part]}`}</td>
            <td>{write(Math.max(0, -mark.place.x), unit)}</td>
            <td>{sayPlace(mark)}</td>
            <td>{sayToes(mark)}</td>
            <td>{[...new Set(mark.serves.map((i) => plan.steps[i]!.name))].join(', ')}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Which pose is the peak, when it comes, and how active the flow is. */
function PeakFacts({ plan: { flow, peak }, edit }: Pick<FlowFactsProps, 'plan' | 'edit'>) {
  const inFlow = flow.steps.flatMap((step) =>
    step.kind === 'pose' && findAnyPose(step.pose)?.kind === 'standing' ? [step.pose] : [],
  );
  const poses = [...new Set([...inFlow, ...(flow.peak === null ? [] : [flow.peak])])];
  if (poses.length === 0) return null;
  const percent = (share: number): number => Math.round(100 * share);
  return (
    <section data-testid="peak">
      <h2>{words.inFlow}</h2>
      <p>
        <WordSelect
          aria-label={words.peak}
          value={flow.peak ?? ''}
          onChange={({ target: { value } }) => {
            edit({ kind: 'peak', peak: value === '' ? null : value });
          }}
        >
          <option value="">{words.none}</option>
          {poses.map((pose) => (
            <option key={pose} value={pose}>
              {nameOf(pose)}
            </option>
          ))}
        </WordSelect>{' '}
        {peak !== null && words.at(percent(peak.at), percent(peak.activeShare))}
        {peak === null && flow.peak !== null && words.notInFlow}
      </p>
    </section>
  );
}

const PARTS = ['holds', 'moves', 'sides', 'props'] as const;
/** Each part of the bar by its own pattern, not by colour alone. */
const LOOK = {
  holds: 'bg-water',
  moves: 'bg-shallow',
  sides: 'bg-sand',
  props: 'bg-[repeating-linear-gradient(45deg,var(--color-ink)_0_1px,transparent_1px_5px)]',
} as const;

function TimeBar({ plan: { seconds, flow }, edit }: Pick<FlowFactsProps, 'plan' | 'edit'>) {
  const clock = (each: number): string =>
    `${String(Math.floor(each / 60))}:${String(Math.round(each % 60)).padStart(2, '0')}`;
  return (
    <section>
      <h2>{say.time}</h2>
      <div className="flex h-4 border border-ink" aria-hidden>
        {PARTS.map((part) => (
          <span
            key={part}
            className={LOOK[part]}
            style={{ width: `${String((100 * seconds[part]) / Math.max(1, seconds.total))}%` }}
          />
        ))}
      </div>
      <ul className="mt-2 flex flex-wrap gap-x-5">
        {PARTS.map((part) => (
          <li key={part} className="inline-flex items-center gap-2">
            <span className={`inline-block h-3 w-3 border border-ink ${LOOK[part]}`} aria-hidden />
            {clock(seconds[part])} {say[part]}
          </li>
        ))}
      </ul>
      <label className="mt-2 flex items-center gap-2">
        {say.shouldLast}
        <input
          key={flow.minutes}
          type="number"
          min={1}
          max={240}
          className="w-24!"
          defaultValue={flow.minutes ?? ''}
          onBlur={({ target }) => {
            const minutes = target.valueAsNumber;
            const isTime = minutes >= 1 && minutes <= 240;
            const wanted = isTime ? minutes : null;
            if (wanted !== flow.minutes) edit({ kind: 'minutes', minutes: wanted });
          }}
        />
        {say.minutes}
      </label>
    </section>
  );
}
