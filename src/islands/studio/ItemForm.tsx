import { useState } from 'react';
import type { Problem } from '../../core/problems/problem.ts';
import { PROP_KINDS, type PropItem, type PropKind } from '../../core/props/propList.ts';
import { hasField, readItem, toDraft, type ItemDraft } from '../../core/studio/readItem.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { CheckField } from '../shared/ui/CheckField.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { TextField } from '../shared/ui/TextField.tsx';
import { UnitInput } from '../shared/ui/UnitInput.tsx';
import { itemForm as say } from './words.ts';

interface ItemFormProps {
  item: PropItem;
  unit: LengthUnit;
  onSave: (item: PropItem) => void;
  onCancel: () => void;
}

const LENGTHS = ['length', 'width', 'rail', 'depth'] as const;

/** One thing of the cupboard; only the fields that its kind has are asked. */
export function ItemForm({ item, unit, onSave, onCancel }: ItemFormProps) {
  const [draft, setDraft] = useState<ItemDraft>(() => toDraft(item, unit));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const put = (change: Partial<ItemDraft>): void => {
    setDraft((now) => ({ ...now, ...change }));
  };
  const save = (): void => {
    const read = readItem(draft, unit);
    if (read.ok) onSave(read.value);
    else setProblems(read.problems);
  };
  return (
    <form
      className="my-3 border-l-2 border-water pl-4"
      data-testid="item-form"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <TextField
        label={say.name}
        value={draft.name}
        onChange={(name) => {
          put({ name });
        }}
      />
      <div className="flex flex-wrap gap-x-4 *:flex-[1_1_8rem]">
        <SelectField
          label={say.kind}
          value={draft.kind}
          options={PROP_KINDS.map((kind) => [kind, say.kinds[kind]] as const)}
          onChange={(kind) => {
            put({ kind: kind as PropKind, isFirm: kind !== 'book' && kind !== 'own' });
          }}
        />
        <Field label={say.count}>
          <input
            inputMode="numeric"
            value={draft.count}
            onChange={(event) => {
              put({ count: event.target.value });
            }}
          />
        </Field>
      </div>
      {hasField(draft.kind, 'heights') && (
        <Field label={say.heights}>
          <UnitInput
            unit={unit}
            value={draft.heights}
            onChange={(event) => {
              put({ heights: event.target.value });
            }}
          />
        </Field>
      )}
      <div className="flex flex-wrap gap-x-4 *:flex-[1_1_8rem]">
        {LENGTHS.filter((field) => hasField(draft.kind, field)).map((field) => (
          <Field key={field} label={say[field]}>
            <UnitInput
              unit={unit}
              value={draft[field]}
              onChange={(event) => {
                put({ [field]: event.target.value });
              }}
            />
          </Field>
        ))}
      </div>
      {hasField(draft.kind, 'isFirm') && (
        <CheckField
          isChecked={draft.isFirm}
          onChange={(isFirm) => {
            put({ isFirm });
          }}
        >
          {say.firm}
        </CheckField>
      )}
      {problems.length > 0 && (
        <div role="alert">
          <ProblemList problems={problems} />
        </div>
      )}
      <div className="my-3 flex flex-wrap gap-3">
        <Button type="submit">{say.save}</Button>
        <Button isPlain onClick={onCancel}>
          {say.cancel}
        </Button>
      </div>
    </form>
  );
}
