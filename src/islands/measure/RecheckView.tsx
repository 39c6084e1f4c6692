import { toTenths } from '../../core/units/rounding.ts';
import { sortByPosture } from '../../core/measures/rounds.ts';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import type { SharperSetting } from '../../core/whatIf/rankRepeats.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { planRecheckInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useLongAnswer } from '../shared/useLongAnswer.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeValue } from '../shared/writeValue.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { Working } from '../shared/ui/Working.tsx';
import { recheckView as say } from './words.ts';

interface RecheckViewProps {
  record: RevisedRecord;
  poseIds: readonly string[];
}

/** "pyramid, left: hand height ± 4.1 cm → ± 2.3 cm" */
function sayMost({ pose, side, setting, unit, now, then }: SharperSetting, to: LengthUnit): string {
  const name = findPose(pose)?.name.toLowerCase() ?? pose;
  const write = (each: number): string => writeValue(toTenths(each), unit, to);
  return `${name}, ${side}: ${setting.replaceAll('-', ' ')} ± ${write(now)} → ± ${write(then)}`;
}

/** What to measure again: the few readings whose doubt holds this person's set-ups back most. */
export function RecheckView({ record, poseIds }: RecheckViewProps) {
  const [, setQuery] = useQuery();
  const unit = useUnit();
  const answer = useLongAnswer(JSON.stringify([record.revision, poseIds]), (watch) =>
    planRecheckInWorker(record, poseIds, watch),
  );
  if (answer.kind === 'not-asked') {
    return (
      <p>
        <WordButton onClick={answer.ask}>{say.whichReadingsWorthRepeating}</WordButton>
      </p>
    );
  }
  if (answer.kind === 'working') {
    const { done, all, stop } = answer;
    return <Working words={say.setUpsDone(done, all)} done={done} all={all} onStop={stop} />;
  }
  const { result } = answer;
  if (!result.ok) return <ProblemList problems={result.problems} />;
  const { value } = result;
  if (value.length === 0)
    return (
      <p role="status">
        {record.readings.length === 0 ? say.thereNoSetUp : say.nothingWorthRepeatingOne}
      </p>
    );
  const only = sortByPosture(value.map((each) => each.measure));
  return (
    <section role="status">
      <h2>{say.worthRepeating}</h2>
      <ol>
        {value.map(({ measure, side, errorNow, errorThen, depthGain, setUps, most }) => {
          const protocol = getProtocol(measure);
          const write = (each: number): string => writeValue(each, protocol.unit, unit);
          return (
            <li key={`${measure} ${side ?? ''}`}>
              <strong>
                {side === null ? '' : `${side} `}
                {protocol.name.toLowerCase()}
              </strong>
              : ± {write(errorNow)} → ± {write(errorThen)}
              {most !== null && `; ${sayMost(most, unit)}`}
              {depthGain >= 0.1 && (
                <span className="text-faint">
                  {say.setUpsTogetherGain(setUps, depthGain.toFixed(1))}
                </span>
              )}
            </li>
          );
        })}
      </ol>
      <Button
        onClick={() => {
          setQuery({ only: only.join(','), step: only[0] ?? null });
        }}
      >
        {say.measureTheseAgain}
      </Button>
    </section>
  );
}
