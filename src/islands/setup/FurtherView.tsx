import { capital } from '../../core/units/capital.ts';
import type { Setting, SetUp } from '../../core/setup/setUp.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { LazyDetails } from '../shared/ui/LazyDetails.tsx';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { sayHandProp, saySupportProp } from '../../core/recipe/sayProps.ts';
import { BandsView } from './BandsView.tsx';
import { sayNumber } from './sayNumber.ts';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { furtherView as say } from './words.ts';

interface FurtherViewProps {
  request: PlanRequest;
  isStanding: boolean;
  /** Leads the drawing to the depth of the books. */
  onPush: () => void;
}

/**
 * How sure each number is, the bounds, what gives and the props: worked out when it is
 * opened. A lying form has only its props.
 */
export function FurtherView(props: FurtherViewProps) {
  return (
    <LazyDetails
      id="accuracy"
      summary={props.isStanding ? say.accuracyLimitsCompensations : say.propsFromCupboard}
    >
      {() => <FurtherAnswer {...props} />}
    </LazyDetails>
  );
}

function FurtherAnswer({ request, isStanding, onPush }: FurtherViewProps) {
  const { record, poseId, side, rules, level } = request;
  const key = findRequestKey(request);
  const answer = useAnswer(`full ${key}`, () =>
    planInWorker(key, record, poseId, side, rules, level, 'full'),
  );
  if (answer === null) return <p className="text-faint">{say.workingOut}</p>;
  if (!answer.ok) return <ProblemList problems={answer.problems} />;
  return <Further setUp={answer.value} request={isStanding ? request : null} onPush={onPush} />;
}

const write = (cm: number, unit: LengthUnit): string => writeLength(metresFromCm(cm), unit, 1);

function writeBar({ value, unit, plusMinus }: Setting, lengthUnit: LengthUnit): string {
  if (plusMinus === null) return '';
  return unit === 'deg'
    ? `${value.toFixed(0)}° ± ${plusMinus.toFixed(1)}°`
    : `${write(value, lengthUnit)} ± ${write(plusMinus, lengthUnit)}`;
}

function Further({
  setUp,
  request,
  onPush,
}: {
  setUp: SetUp;
  request: PlanRequest | null;
  onPush: () => void;
}) {
  const unit = useUnit();
  const { bounds, ifPushed, handProp, supportProps, balance } = setUp;
  const move = setUp.problems.find(({ code }) => code === 'smallest-move');
  const unsure = setUp.settings.filter(
    (each) => (each.plusMinus ?? 0) > (each.unit === 'cm' ? 0.35 : 0.6),
  );
  return (
    <dl className="[&_dt]:mt-3 [&_dt]:font-bold">
      {move !== undefined && (
        <>
          <dt>{say.smallestMove}</dt>
          <dd>
            {move.message} {move.hint}
          </dd>
        </>
      )}
      {bounds !== null && (
        <>
          <dt>{say.stance}</dt>
          <dd>
            {say.worksFrom(
              write(bounds.shortest.cm, unit),
              bounds.shortest.reason,
              write(bounds.longest.cm, unit),
              bounds.longest.reason,
            )}
          </dd>
        </>
      )}
      {ifPushed !== null && (
        <>
          <dt>{say.ifForced(ifPushed.to)}</dt>
          <dd>
            {ifPushed.sentence} <WordButton onClick={onPush}>{say.show}</WordButton>
          </dd>
        </>
      )}
      {handProp !== null && (
        <>
          <dt>{say.underHand}</dt>
          <dd>{capital(sayHandProp(handProp, unit))}</dd>
        </>
      )}
      {supportProps.length > 0 && (
        <>
          {request !== null && <dt>{say.propsFromCupboard}</dt>}
          <dd>
            <ul className="grid gap-[0.35rem]">
              {supportProps.map((each) => (
                <li key={each.setting}>
                  {sayNumber(each.setting)}: {saySupportProp(each, unit)}
                </li>
              ))}
            </ul>
          </dd>
        </>
      )}
      {balance !== null && (
        <>
          <dt>{say.balance}</dt>
          <dd>
            {say.centreMassLiesInside(
              write(balance.nearestEdgeCm, unit),
              write(balance.aheadCm, unit),
              write(balance.behindCm, unit),
              write(balance.toLeftCm, unit),
              write(balance.toRightCm, unit),
            )}
          </dd>
        </>
      )}
      {unsure.length > 0 && (
        <>
          <dt>{say.oneStandardError}</dt>
          <dd>
            <ul className="grid gap-[0.35rem]">
              {unsure.map((each) => (
                <li key={each.id}>
                  {sayNumber(each.id)} {writeBar(each, unit)}
                </li>
              ))}
            </ul>
          </dd>
        </>
      )}
      {request !== null && (
        <>
          <dt>{say.nineRepeatsTen}</dt>
          <dd>
            <BandsView request={request} unit={unit} />
          </dd>
        </>
      )}
    </dl>
  );
}
