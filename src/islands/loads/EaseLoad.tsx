import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { nameLoad } from '../../core/setup/sayLoads.ts';
import type { JointLoad, SetUp } from '../../core/setup/setUp.ts';
import type { EasedLoad, SoreJoint } from '../../core/whatIf/easeLoad.ts';
import { sayLoadChanges } from '../../core/whatIf/loadChanges.ts';
import type { HeldRequest } from '../../core/whatIf/planMoved.ts';
import { sayStep } from '../../core/whatIf/stepSetting.ts';
import { easeLoadInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { Button, Toggle, WordButton } from '../shared/ui/Button.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { easeLoad as say, loadVersions } from './words.ts';

/** A shorter arm asks little already, cm. */
const WORTH_EASING_CM = 3;

interface EaseLoadProps {
  record: RevisedRecord;
  setUp: SetUp;
  asked: HeldRequest;
  /** Holds these numbers by hand. */
  onHold: (held: AsFound) => void;
}

/** What was used, and what was held before it. */
interface Used {
  readonly words: string;
  readonly before: AsFound;
}

/** For a sore joint: the smallest move that lowers its load, to be used and taken back. */
export function EaseLoad({ record, setUp, asked, onHold }: EaseLoadProps) {
  const [sore, setSore] = useState<SoreJoint | null>(null);
  const [used, setUsed] = useState<Used | null>(null);
  const worth = setUp.loads.filter(({ lineArmCm }) => lineArmCm >= WORTH_EASING_CM);
  const isChosen = ({ joint, side }: JointLoad): boolean =>
    sore?.joint === joint && sore.side === side;
  if (worth.length === 0) return null;
  return (
    <>
      <h3 className="mt-4 mb-1 text-[1rem] font-bold">{say.title}</h3>
      {used === null ? (
        <>
          <div className="flex flex-wrap gap-2" role="group" aria-label={say.label}>
            {worth.map((load) => (
              <Toggle
                key={`${load.joint} ${load.side ?? ''}`}
                className="text-[1.05rem]"
                aria-pressed={isChosen(load)}
                onClick={() => {
                  const { joint, side } = load;
                  setSore(isChosen(load) ? null : { joint, side });
                }}
              >
                {nameLoad(load, setUp)}
              </Toggle>
            ))}
          </div>
          {sore !== null && (
            <Eased
              key={`${sore.joint} ${sore.side ?? ''}`}
              record={record}
              setUp={setUp}
              asked={asked}
              sore={sore}
              onUse={({ held }, words) => {
                setUsed({ words, before: asked.held });
                onHold(held);
              }}
            />
          )}
        </>
      ) : (
        <p role="status">
          <strong>{say.used(used.words)}</strong>{' '}
          <WordButton
            onClick={() => {
              setUsed(null);
              onHold(used.before);
            }}
          >
            {say.undo}
          </WordButton>
        </p>
      )}
      <p className="text-faint">{say.caution}</p>
    </>
  );
}

interface EasedProps extends Omit<EaseLoadProps, 'onHold'> {
  sore: SoreJoint;
  onUse: (eased: EasedLoad, words: string) => void;
}

/** The move that was found for one joint, or that there is none. */
function Eased({ record, setUp, asked, sore, onUse }: EasedProps) {
  const unit = useUnit();
  const answer = useAnswer(JSON.stringify([record.revision, asked, sore]), () =>
    easeLoadInWorker(record, asked, sore),
  );
  if (answer === null) {
    return (
      <p role="status" className="text-faint">
        {say.workingOut}
      </p>
    );
  }
  if (!answer.ok) return <ProblemList problems={answer.problems} />;
  const eased = answer.value;
  if (eased === null) return <p role="status">{say.none(nameLoad(sore, setUp))}</p>;
  const words = sayStep(eased, setUp.pose, unit);
  const { spares, costs } = sayLoadChanges(eased.before, eased.setUp, unit);
  return (
    <>
      <p role="status" data-testid="eased-load">
        {say.lead} <strong>{words}</strong> {spares !== null && loadVersions.spares(spares)}{' '}
        {costs !== null && loadVersions.costs(costs)}
      </p>
      <Button
        isPlain
        onClick={() => {
          onUse(eased, words);
        }}
      >
        {say.use}
      </Button>
    </>
  );
}
