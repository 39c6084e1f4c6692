import { listRecipe } from '../../core/recipe/recipe.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { calcGiveOrTakeSteps, sayWideGiveOrTake } from '../../core/setup/giveOrTake.ts';
import type { WorkingStep } from '../../core/planning/working.ts';
import { settingsList as say } from './words.ts';

/** The set-up as a recipe; each line opens to its arithmetic. */
export function SettingsList({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  return (
    <ol className="list-decimal pl-[1.8rem] [&_summary]:min-h-8 [&_summary]:list-none [&_summary:hover]:underline [&_summary:hover]:decoration-water [&_summary:hover]:decoration-2 [&_summary:hover]:underline-offset-4 [&_summary]:after:text-faint [&_summary]:after:content-['_+'] [&_details[open]>summary]:after:content-['_−'] max-phone:[&_summary]:min-h-11 print:[&_summary]:min-h-0">
      {listRecipe(setUp, unit).map(({ setting, words }) => (
        <li key={setting.id} id={`setting-${setting.id}`}>
          <details>
            <summary>
              {words}
              <GiveOrTake words={sayWideGiveOrTake(setting, unit)} />
            </summary>
            <Working steps={[...setting.working, ...calcGiveOrTakeSteps(setting)]} />
          </details>
        </li>
      ))}
    </ol>
  );
}

const GiveOrTake = ({ words }: { words: string | null }) =>
  words === null ? null : <span className="text-faint">, {words}</span>;

const writeStepValue = ({ value, unit }: WorkingStep): string =>
  unit === 'deg' ? `${value.toFixed(1)}°` : say.cm(value.toFixed(1));

const STEP_LOOK: Partial<Record<WorkingStep['kind'], string>> = {
  total: 'border-t border-ink font-bold [&_th]:font-bold',
  limit: 'text-faint',
};

/** The arithmetic of one number, line by line, as a pencil would write it. */
export function Working({ steps }: { steps: readonly WorkingStep[] }) {
  return (
    <table className="mt-[0.2rem] mb-[0.8rem] w-full border-collapse text-[0.9rem] [&_td]:pl-2 [&_td]:text-right [&_td]:whitespace-nowrap [&_th]:pr-[0.6rem] [&_th]:text-left [&_th]:font-normal">
      <caption className="sr-only">{say.working}</caption>
      <tbody>
        {steps.map((step, i) => (
          <tr key={i} className={STEP_LOOK[step.kind] ?? ''} data-testid={`step-${step.kind}`}>
            <th scope="row">{step.text}</th>
            <td>{step.expression ?? ''}</td>
            <td>{writeStepValue(step)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
