import { capital } from '../../core/units/capital.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { sayMove } from '../../core/sequence/sayMoves.ts';
import type { LedStep } from '../../core/sessions/ledFlow.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength } from '../../core/units/readQuantity.ts';
import { FlowFigure } from '../shared/FlowFigure.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { leadIn as say } from './words.ts';

interface LeadInProps {
  step: LedStep;
  /** Where the front marks are, cm from the mat’s front edge; null = that was said before. */
  begin: number | null;
}

/** What is said to come into a step: how far the feet go, then what is done in order. */
export function LeadIn({ step, begin }: LeadInProps) {
  const unit = useUnit();
  const { moves, place, order, hands } = step;
  const said = moves.map((move) => sayMove(move, place.side, unit)).filter(Boolean);
  if (said.length === 0 && order.length === 0 && begin === null) return null;
  return (
    <div className="mb-3" data-testid="lead-in">
      {begin !== null && (
        <p className="mb-1 max-w-none">
          {say.begin(writeLength(metresFromCm(begin), unit, unit === 'cm' ? 0 : 1))}
        </p>
      )}
      {said.length > 0 && (
        <p className="mb-1 max-w-none font-serif text-[1.9rem] leading-tight font-medium">
          {capital(said.join('; '))}.
        </p>
      )}
      {order.length > 0 && <p className="mb-1 max-w-none text-[1.3rem]">{order.join(' ')}</p>}
      {hands !== '' && <p className="m-0 text-[1.3rem] text-faint">{say.hands(hands)}</p>}
    </div>
  );
}

/** A step of which no numbers are set: a linking pose, a movement, or what is passed through. */
export function StepStage({ step, setUp, begin }: LeadInProps & { setUp: SetUp | null }) {
  return (
    <div
      className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] items-center gap-8 pt-6 max-tablet:grid-cols-[minmax(0,1fr)] [&_svg]:h-auto [&_svg]:max-h-[420px] [&_svg]:max-w-full"
      data-testid="run-step"
    >
      <FlowFigure step={{ setUp, place: step.place }} size="large" />
      <div>
        {step.step === null && <p className="text-faint">{say.onTheWay}</p>}
        <LeadIn step={step} begin={begin} />
        {step.say !== '' && <p className="max-w-[30ch] text-[1.9rem] leading-[1.25]">{step.say}</p>}
      </div>
    </div>
  );
}
