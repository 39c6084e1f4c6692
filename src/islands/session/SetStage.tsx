import { useMemo, type ReactNode } from 'react';
import { drawSheet } from '../../core/drawing/sheet.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { withLevel } from '../../core/poses/level.ts';
import type { PlannedHold } from '../../core/sessions/session.ts';
import { listProps } from '../../core/recipe/fetch.ts';
import { listRecipe } from '../../core/recipe/recipe.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { findSettingKind } from '../../core/setup/settingKinds.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { setStage as say } from './words.ts';

/** Height of a label on the small drawing, mm of paper. */
const LABEL = 6.5;
const MOST_LARGE = 6;
/** A knee that is bent by less is straight or soft, which the words say. */
const SOFT_DEG = 12;

/** The numbers that a teacher sets, large, beside the small drawing. */
export function SetStage({
  plan,
  setUp,
  leadIn,
}: {
  plan: PlannedHold;
  setUp: SetUp | null;
  /** How the pose is come into, in a flow. */
  leadIn: ReactNode;
}) {
  const unit = useUnit();
  const pose = findPose(plan.pose);
  const drawing = useMemo(
    () =>
      pose === null || setUp === null
        ? null
        : drawSheet(withLevel(pose, plan.level), setUp, { unit, labelMm: LABEL }),
    [pose, setUp, plan.level, unit],
  );
  const lines = listRecipe(plan, unit);
  const isLarge = ({ setting: { id, value, unit: own } }: (typeof lines)[number]): boolean =>
    findSettingKind(id)?.isLarge === true && (own === 'cm' || value > SOFT_DEG);
  const large = lines.filter(isLarge).slice(0, MOST_LARGE);
  const others = lines.filter((each) => !large.includes(each));
  const props = setUp === null ? [] : listProps(setUp);
  return (
    <div
      className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] items-start gap-8 max-tablet:grid-cols-[minmax(0,1fr)] [&_svg]:max-h-[470px] max-phone:[&_svg]:max-h-none [&_svg]:w-full"
      data-testid="run-set"
    >
      {drawing !== null && <SheetDrawing drawing={drawing} size="large" />}
      <div className="max-tablet:contents">
        {leadIn !== null && <div className="max-tablet:order-first">{leadIn}</div>}
        {props.length > 0 && (
          <p className="mb-2 max-w-[44ch] text-[1.5rem]">
            <strong>{say.props}</strong> {props.join(', ')}
          </p>
        )}
        <dl className="mb-3 grid grid-cols-[repeat(auto-fill,minmax(13.5rem,1fr))] gap-x-5 gap-y-2 *:flex *:flex-col [&_dd]:m-0 [&_dd]:font-serif [&_dd]:text-[3.5rem] [&_dd]:leading-[1.05] [&_dd]:font-medium [&_dd]:tabular-nums [&_dd]:lining-nums [&_dt]:text-[1.5rem] [&_dt]:leading-[1.15] [&_small]:text-[1.6rem]">
          {large.map(({ setting, words, value }) => (
            <div key={setting.id}>
              <dd>
                <Large value={value} />
              </dd>
              <dt>{sayWithout(words, value)}</dt>
            </div>
          ))}
        </dl>
        {others.length > 0 && (
          <ul className="mb-3 columns-2 gap-x-6 text-[1.5rem] leading-[1.2] max-tablet:columns-1">
            {others.map(({ setting, words }) => (
              <li key={setting.id}>{words}</li>
            ))}
          </ul>
        )}
        {plan.why.length > 0 && (
          <p className="mb-2 max-w-[44ch] text-[1.5rem]">{plan.why.join('; ')}</p>
        )}
      </div>
    </div>
  );
}

/** A number to be read from afar, its unit smaller beside it. */
function Large({ value }: { value: string }) {
  const [, number = value, unit = ''] = /^(.*\d) (cm)$/.exec(value) ?? [];
  return (
    <>
      {number}
      {unit !== '' && <small> {unit}</small>}
    </>
  );
}

/** A line of the recipe without its number, which stands above it. */
const sayWithout = (words: string, value: string): string =>
  words.replace(value, '').replace(/\s+/g, ' ').replace(' ,', ',').trim().replace(/ by$/, '');
