import { useState } from 'react';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { Problem, Result } from '../../core/problems/problem.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { isMoved, NOT_MOVED } from '../../core/whatIf/planMoved.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { SETTING_KINDS } from '../../core/setup/settingKinds.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { readTyped } from '../shared/readTyped.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { UnitInput } from '../shared/ui/UnitInput.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { asFoundView as say } from './words.ts';

interface AsFoundViewProps {
  pose: PoseDefinition;
  recommended: SetUp;
  onFound: (found: AsFound) => void;
}

interface FoundField {
  readonly key: keyof AsFound;
  readonly name: string;
  readonly unit: 'cm' | 'deg';
}

/** What can be noted of a pose: what its set-up has a number for. */
function findFields(pose: PoseDefinition, { settings, depth }: SetUp): FoundField[] {
  const fields = SETTING_KINDS.flatMap(({ id, byHand }): FoundField[] => {
    const setting = settings.find((each) => each.id === id);
    if (setting === undefined || byHand === undefined) return [];
    return [{ key: byHand.key, name: byHand.name, unit: setting.unit }];
  });
  if (pose.depth === null || depth === null) return fields;
  return [...fields, { key: 'depth', name: pose.depth.words, unit: depth.unit }];
}

/** A heel may stand across its line: only there is a minus a length. */
function readField(
  { unit, name, key }: FoundField,
  text: string,
  lengthUnit: LengthUnit,
): Result<number> {
  const bare = text.trim();
  const isMinus = key === 'widthCm' && /^[-−]/.test(bare);
  const read = readTyped(isMinus ? bare.slice(1) : bare, { unit, name }, lengthUnit);
  return read.ok && isMinus ? { ok: true, value: -read.value } : read;
}

/** What the student does now: it is held, drawn and judged by the same numbers; then one thing is changed. */
export function AsFoundView({ pose, recommended, onFound }: AsFoundViewProps) {
  const unit = useUnit();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const fields = findFields(pose, recommended);
  const take = (form: FormData): void => {
    const found: { -readonly [Key in keyof AsFound]: AsFound[Key] } = { ...NOT_MOVED };
    const wrong: Problem[] = [];
    for (const field of fields) {
      const text = form.get(field.key);
      if (typeof text !== 'string' || text.trim() === '') continue;
      const read = readField(field, text, unit);
      if (read.ok) found[field.key] = read.value;
      else wrong.push(...read.problems);
    }
    setProblems(wrong);
    if (wrong.length === 0 && isMoved(found)) onFound(found);
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        take(new FormData(event.currentTarget));
      }}
    >
      <p>{say.enterWhatYouSee}</p>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(14rem,1fr))] items-end gap-x-6">
        {fields.map(({ key, name, unit: own }) => (
          <Field key={key} label={name}>
            <UnitInput
              name={key}
              unit={own === 'deg' ? '°' : unit}
              inputMode="decimal"
              autoComplete="off"
            />
          </Field>
        ))}
      </div>
      <ProblemList problems={problems} />
      <div className="my-4 flex flex-wrap gap-3">
        <Button type="submit" isPlain>
          {say.show}
        </Button>
      </div>
    </form>
  );
}
