import { Toggle } from '../shared/ui/Button.tsx';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { changeCount, changeUsed, findUsed } from '../../core/sessions/logHold.ts';
import type { HoldNotes, PlannedHold } from '../../core/sessions/session.ts';
import { writeValue } from '../shared/writeValue.ts';
import { findSettingKind } from '../../core/setup/settingKinds.ts';
import { useUnit } from '../shared/useRecord.ts';
import { usedNumbers as say } from './words.ts';

interface UsedNumbersProps {
  plan: PlannedHold;
  notes: HoldNotes;
  onChange: (change: Partial<HoldNotes>) => void;
}

interface UsedRow {
  readonly name: string;
  readonly unit: 'cm' | 'deg' | 's';
  readonly value: number;
  readonly by: number;
  readonly put: (value: number) => void;
}

/** What was really used and held, from the plan on, by half centimetres, degrees and breaths. */
export function UsedNumbers({ plan, notes, onChange }: UsedNumbersProps) {
  const unit = useUnit();
  const used = findUsed(plan, notes);
  const hold = (change: Partial<AsFound>): void => {
    onChange(changeUsed(plan, notes, change));
  };
  const rows: UsedRow[] = plan.settings.flatMap(({ id, value, unit: own }): UsedRow[] => {
    const held = findSettingKind(id)?.byHand;
    if (held === undefined) return [];
    const { key, step: by } = held;
    const now = used[key] ?? value;
    return [
      {
        name: id.replaceAll('-', ' '),
        unit: own,
        value: now,
        by,
        put: (next) => {
          hold({ [key]: next });
        },
      },
    ];
  });
  if (plan.depth !== null) {
    const now = used.depth ?? plan.depth;
    const put = (next: number): void => {
      hold({ depth: next });
    };
    rows.unshift({ name: 'depth', unit: 'deg', value: now, by: 1, put });
  }
  const breaths = notes.breaths ?? plan.breaths;
  const rounds = notes.rounds ?? plan.rounds;
  return (
    <table className="[&_td]:py-[0.15rem] [&_td]:pr-3 [&_td]:text-left [&_th]:py-[0.15rem] [&_th]:pr-3 [&_th]:text-left [&_th]:font-normal">
      <caption className="sr-only">{say.whatActuallyUsed}</caption>
      <tbody>
        {rows.map((row) => (
          <Row key={row.name} row={row} written={writeValue(row.value, row.unit, unit)} />
        ))}
        <Row
          row={{
            name: 'breaths',
            unit: 's',
            value: breaths,
            by: 1,
            put: (value) => {
              onChange(changeCount('breaths', value));
            },
          }}
          written={String(breaths)}
        />
        <Row
          row={{
            name: 'rounds',
            unit: 's',
            value: rounds,
            by: 1,
            put: (value) => {
              onChange(changeCount('rounds', value));
            },
          }}
          written={String(rounds)}
        />
      </tbody>
    </table>
  );
}

function Row({ row: { name, value, by, put }, written }: { row: UsedRow; written: string }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>
        <Toggle
          aria-label={say.less(name)}
          onClick={() => {
            put(value - by);
          }}
        >
          −
        </Toggle>
      </td>
      <td className="min-w-20 text-center! tabular-nums lining-nums">{written}</td>
      <td>
        <Toggle
          aria-label={say.more(name)}
          onClick={() => {
            put(value + by);
          }}
        >
          +
        </Toggle>
      </td>
    </tr>
  );
}
