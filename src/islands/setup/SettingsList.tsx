import { listRecipe } from '../../core/recipe/recipe.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import type { WorkingStep } from '../../core/planning/working.ts';

/** The set-up as a recipe; each line opens to its arithmetic. */
export function SettingsList({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  return (
    <ol className="recipe">
      {listRecipe(setUp, unit).map(({ setting, words }) => (
        <li key={setting.id} id={`setting-${setting.id}`}>
          <details>
            <summary>{words}</summary>
            <Working steps={setting.working} />
          </details>
        </li>
      ))}
    </ol>
  );
}

const writeStepValue = ({ value, unit }: WorkingStep): string =>
  unit === 'deg' ? `${value.toFixed(1)}°` : `${value.toFixed(1)} cm`;

/** The arithmetic of one number, line by line, as a pencil would write it. */
export function Working({ steps }: { steps: readonly WorkingStep[] }) {
  return (
    <table className="working">
      <caption className="sr-only">Working</caption>
      <tbody>
        {steps.map((step, i) => (
          <tr key={i} className={`step-${step.kind}`}>
            <th scope="row">{step.text}</th>
            <td>{step.expression ?? ''}</td>
            <td>{writeStepValue(step)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
