import { findPose } from '../../core/poses/catalogue/index.ts';
import { USUAL_LEVEL } from '../../core/poses/level.ts';
import type { HoldNotes, PlannedHold } from '../../core/sessions/session.ts';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { UsedNumbers } from './UsedNumbers.tsx';
import { used as say } from './words.ts';

interface UsedProps {
  plan: PlannedHold;
  notes: HoldNotes;
  onChange: (change: Partial<HoldNotes>) => void;
}

/** The level and the numbers that were really used, where they differ from the plan. */
export function Used({ plan, notes, onChange: change }: UsedProps) {
  const levels = findPose(plan.pose)?.levels ?? [];
  return (
    <details>
      <summary>{say.whatActuallyUsed}</summary>
      {levels.length > 0 && (
        <SelectField
          label={say.levelReached}
          value={notes.level ?? plan.level ?? USUAL_LEVEL}
          options={levels.map(({ id, name }) => [id, name] as const)}
          onChange={(value) => {
            change({ level: value });
          }}
        />
      )}
      <UsedNumbers plan={plan} notes={notes} onChange={change} />
    </details>
  );
}
