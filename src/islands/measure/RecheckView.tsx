import { toTenths } from '../../core/units/rounding.ts';
import { useState } from 'react';
import { sortByPosture } from '../../core/measures/rounds.ts';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { Result } from '../../core/problems/problem.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import type { SharperSetting } from '../../core/whatIf/rankRepeats.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import type { Recheck } from '../../core/whatIf/planRecheck.ts';
import { planRecheckInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeValue } from '../shared/writeValue.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';
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
  const [asked, setAsked] = useState<Result<readonly Recheck[]> | 'working' | null>(null);
  const ask = (): void => {
    setAsked('working');
    void planRecheckInWorker(record, poseIds).then(setAsked);
  };
  if (asked === null) {
    return (
      <p>
        <WordButton onClick={ask}>{say.whichReadingsWorthRepeating}</WordButton>
      </p>
    );
  }
  if (asked === 'working') return <p role="status">{say.workingOutEveryPose}</p>;
  if (!asked.ok) return <ProblemList problems={asked.problems} />;
  const { value } = asked;
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
