import { memo } from 'react';
import { findLimitingFact, sayPropsShort, sayStanceRule } from '../../core/recipe/sheetFacts.ts';
import { isMeasuredWarm } from '../../core/measures/sittings.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { sayGiveOrTake } from '../../core/setup/giveOrTake.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { useUnit } from '../shared/useRecord.ts';
import { PartLink } from './PartLink.tsx';
import { sheetFacts as say } from './words.ts';

interface SheetFactsProps {
  record: RevisedRecord;
  setUp: SetUp;
  /** Something is held by hand: no rule says why the stance is as it is. */
  isMoved: boolean;
}

/**
 * What decides a set-up, in two lines: how sure its stance is and how it compares with the rule;
 * props, limiting joint, and whether it was measured warm.
 */
export const SheetFacts = memo(function SheetFacts({ record, setUp, isMoved }: SheetFactsProps) {
  const unit = useUnit();
  const stance = setUp.settings.find(({ id }) => id === 'stance-length');
  const giveOrTake = stance === undefined ? null : sayGiveOrTake(stance, unit);
  const rule = sayStanceRule(setUp, unit);
  const props = sayPropsShort(setUp, unit);
  const limiting = findLimitingFact(setUp);
  return (
    <div
      className="mb-1 min-h-[2.7em] text-[0.92rem] leading-[1.35] [&_p]:m-0 [&_p]:max-w-none"
      data-testid="sheet-facts"
    >
      {isMoved ? (
        <p>{say.movedByHand}</p>
      ) : (
        <p>
          {giveOrTake !== null && (
            <>
              <PartLink to="setting-stance-length">{say.stance}</PartLink>{' '}
              <PartLink to="accuracy">{giveOrTake}</PartLink>.{' '}
            </>
          )}
          {rule}
        </p>
      )}
      <p>
        {props.length === 0 ? say.noProp : <PartLink to="accuracy">{props.join(' ')}</PartLink>}{' '}
        {limiting !== null && (
          <>
            {say.limitedBy} <PartLink to="margins">{limiting.joint}</PartLink>
            {say.heldBack(limiting.heldBackDeg)}{' '}
          </>
        )}
        {isMeasuredWarm(record.readings) ? say.warm : say.cold}
      </p>
    </div>
  );
});
