import { useEffect, useState } from 'react';
import {
  DRAWS,
  ONE_JOINT_SHARE,
  type Bands,
  type SettingBand,
} from '../../core/whatIf/planBands.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { planBandsInWorker } from '../../workers/setUpClient.ts';
import { useAnswer } from '../shared/useAnswer.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { sayNumber } from './sayNumber.ts';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';
import { WordButton } from '../shared/ui/Button.tsx';
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
  const [asked, setAsked] = useState<{ key: string; abort: AbortController } | null>(null);
  const [done, setDone] = useState(0);
  const key = findRequestKey(request);
  const running = asked?.key === key ? asked.abort : null;
  const { record, poseId, side, rules, level } = request;
  const result = useAnswer(running === null ? null : key, () =>
    planBandsInWorker(record, poseId, side, rules, level, running!.signal, setDone),
  );
  // Another set-up is looked at: nobody waits for this one any more.
  useEffect(
    () => () => {
      asked?.abort.abort();
    },
    [asked],
  );
  if (running === null) {
    return (
      <WordButton
        onClick={() => {
          setDone(0);
          setAsked({ key, abort: new AbortController() });
        }}
      >
        {say.simulateMeasuringTimes(DRAWS.toLocaleString('en'))}
      </WordButton>
    );
  }
  if (result === null) {
    const words = say.repeatsDone(done.toLocaleString('en'), DRAWS.toLocaleString('en'));
    return (
      <p className="flex flex-wrap items-center gap-x-4">
        <progress className="accent-water" value={done} max={DRAWS} aria-label={words} />
        {words}
        <WordButton
          onClick={() => {
            setAsked(null);
          }}
        >
          {say.stop}
        </WordButton>
      </p>
    );
  }
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
