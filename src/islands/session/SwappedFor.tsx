import { swapFor } from '../../core/sessions/logHold.ts';
import type { HoldNotes, PlannedHold } from '../../core/sessions/session.ts';
import { EVERY_POSE } from '../shared/poseWords.ts';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { swappedFor as say } from './words.ts';

interface SwappedForProps {
  plan: PlannedHold;
  notes: HoldNotes;
  onChange: (change: Partial<HoldNotes>) => void;
}

/** The pose that took this one's place; null = none. */
export function SwappedFor({ plan, notes, onChange: change }: SwappedForProps) {
  return (
    <SelectField
      label={say.swappedFor}
      value={notes.swappedFor ?? ''}
      options={[
        ['', 'not swapped'],
        ...EVERY_POSE.filter(({ id }) => id !== plan.pose).map(
          ({ id, name }) => [id, name] as const,
        ),
      ]}
      onChange={(value) => {
        change(swapFor(value === '' ? null : value));
      }}
    />
  );
}
