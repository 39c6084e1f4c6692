import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import type { Setting, SettingId, SetUp } from '../../core/setup/setUp.ts';
import type { WorkingStep } from '../../core/setup/working.ts';

/** In the order in which a teacher sets them. */
const ORDER: readonly {
  readonly id: SettingId;
  /** With what the number leads to and starts from, in words. */
  readonly say: (value: string, raw: number, to: string, from: string) => string;
}[] = [
  {
    id: 'front-heel-from-mat-edge',
    say: (value) => `front heel ${value} from the mat’s front edge`,
  },
  { id: 'stance-length', say: (value, _raw, to) => `${to} ${value} behind it` },
  { id: 'back-heel-from-mat-edge', say: (value) => `that is ${value} from the front edge` },
  { id: 'back-ball-from-mat-edge', say: (value) => `that is ${value} from the front edge` },
  {
    id: 'stance-width',
    say: (value, raw, to) =>
      Math.abs(raw) < 0.25
        ? 'both heels on one line'
        : `${to} ${value} ${raw > 0 ? 'to its own side of' : 'across'} the front heel’s line`,
  },
  {
    id: 'front-foot-angle',
    say: (value, raw) => (raw < 0.5 ? 'front toes straight ahead' : `front toes ${value} outward`),
  },
  { id: 'back-foot-angle', say: (value) => `back toes ${value} from the mat’s line` },
  {
    id: 'front-knee-bend',
    say: (value, raw) =>
      raw < 5 ? 'front knee straight' : `front knee bent ${value}, over its ankle`,
  },
  { id: 'pelvis-short-of-square', say: (value) => `let the pelvis rest ${value} short of square` },
  {
    id: 'chest-short-of-target',
    say: (value, raw, _to, from) =>
      raw < 2 ? `chest facing the ${from}` : `chest about ${value} short of the ${from}`,
  },
  { id: 'back-heel-lift', say: (value) => `back heel lifted ${value}, toes under` },
  {
    id: 'hand-height',
    say: (value, raw) => (raw < 0.5 ? 'hand on the floor' : `hand ${value} above the mat`),
  },
  {
    id: 'hand-ahead',
    say: (value, raw) =>
      raw >= 0
        ? `that hand ${value} ahead of the front toes`
        : `that hand ${value} behind the front toe tips`,
  },
  {
    id: 'hand-beside',
    say: (value, raw) =>
      `and ${value} to the ${raw >= 0 ? 'little-toe' : 'big-toe'} side of the foot’s line`,
  },
];

const spoken = (id: string): string => id.replaceAll('-', ' ');

function writeSetting({ value, unit }: Setting, lengthUnit: LengthUnit): string {
  if (unit === 'deg') return `${String(Math.abs(Math.round(value)))}°`;
  const settable = lengthUnit === 'cm' ? Math.round(value * 2) / 2 : value;
  return writeLength(metresFromCm(Math.abs(settable)), lengthUnit, 1);
}

/** The set-up as a recipe; each line opens to its arithmetic. */
export function SettingsList({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  return (
    <ol className="recipe">
      {ORDER.flatMap(({ id, say }) => {
        const setting = setUp.settings.find((each) => each.id === id);
        if (setting === undefined) return [];
        return [
          <li key={id} id={`setting-${id}`}>
            <details>
              <summary>
                {say(
                  writeSetting(setting, unit),
                  setting.value,
                  spoken(setting.to),
                  spoken(setting.from),
                )}
              </summary>
              <Working steps={setting.working} />
            </details>
          </li>,
        ];
      })}
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
