import {
  DRAWS,
  ONE_JOINT_SHARE,
  type Bands,
  type SettingBand,
} from '../../core/whatIf/planBands.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { planBandsInWorker } from '../../workers/setUpClient.ts';
import { useLongAnswer } from '../shared/useLongAnswer.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { sayNumber } from './sayNumber.ts';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { Working } from '../shared/ui/Working.tsx';
import { bandsView as say } from './words.ts';

interface BandsViewProps {
  readonly request: PlanRequest;
  readonly unit: LengthUnit;
}

/**
 * Where more than one joint may stop a pose, ± says too little: the measuring is simulated
 * many times, each time solved, and the middle nine tenths are shown. Takes seconds,
 * so it waits to be asked.
 */
export function BandsView({ request, unit }: BandsViewProps) {
  const { record, poseId, side, rules, level } = request;
  const answer = useLongAnswer(findRequestKey(request), (watch) =>
    planBandsInWorker(record, poseId, side, rules, level, watch),
  );
  const count = (repeats: number): string => repeats.toLocaleString('en');
  if (answer.kind === 'not-asked')
    return <WordButton onClick={answer.ask}>{say.simulateMeasuringTimes(count(DRAWS))}</WordButton>;
  if (answer.kind === 'working') {
    const { done, all, stop } = answer;
    const words = say.repeatsDone(count(done), count(DRAWS));
    return <Working words={words} done={done} all={all} onStop={stop} />;
  }
  const { result } = answer;
  if (!result.ok) return <ProblemList problems={result.problems} />;
  return result.value === null ? null : <Drawn bands={result.value} unit={unit} />;
}

/** A band no wider than this says nothing, cm or degrees. */
const NARROW = 1;

function Drawn({ bands, unit }: Omit<BandsViewProps, 'request'> & { bands: Bands }) {
  const { draws, held, oneJointShare, settings } = bands;
  const share = Math.round(oneJointShare * 100);
  const wide = settings.filter(({ low, high }) => high - low > NARROW);
  return (
    <div role="status">
      <p>
        {oneJointShare >= ONE_JOINT_SHARE
          ? say.sameJointLimitsRepeats(share)
          : say.mostFrequentLimitingJoint(share)}
        {held < draws &&
          say.poseCouldNotHeld((draws - held).toLocaleString('en'), draws.toLocaleString('en'))}
      </p>
      <ul className="grid gap-[0.35rem]">
        {wide.map((band) => (
          <li key={band.id}>
            {sayNumber(band.id)} {writeBand(band, unit)}
          </li>
        ))}
      </ul>
    </div>
  );
}

function writeBand({ unit, low, high }: SettingBand, lengthUnit: LengthUnit): string {
  if (unit === 'deg') return say.to(low.toFixed(0), high.toFixed(0));
  const write = (cm: number): string => writeLength(metresFromCm(cm), lengthUnit, 1);
  return say.toOf(write(low), write(high));
}
