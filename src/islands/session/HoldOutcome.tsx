import { toggleBreath, toggleOutcome } from '../../core/sessions/logHold.ts';
import type { HoldNotes } from '../../core/sessions/session.ts';
import { Toggle } from '../shared/ui/Button.tsx';

interface HoldOutcomeProps {
  notes: HoldNotes;
  onChange: (change: Partial<HoldNotes>) => void;
}

/** How the breath was, which side was harder, and whether it was held to its end. */
export function HoldOutcome({ notes, onChange: change }: HoldOutcomeProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
      <Outcome
        isOn={notes.breath === 'easy'}
        onPress={() => {
          change(toggleBreath(notes, 'easy'));
        }}
      >
        breath easy
      </Outcome>
      <Outcome
        isOn={notes.breath === 'held'}
        onPress={() => {
          change(toggleBreath(notes, 'held'));
        }}
      >
        breath held
      </Outcome>
      <Outcome
        isOn={notes.isHarder}
        onPress={() => {
          change({ isHarder: !notes.isHarder });
        }}
      >
        this side was harder
      </Outcome>
      <Outcome
        isOn={notes.outcome === 'ended-early'}
        onPress={() => {
          change(toggleOutcome(notes, 'ended-early'));
        }}
      >
        ended early
      </Outcome>
      <Outcome
        isOn={notes.outcome === 'skipped'}
        onPress={() => {
          change(toggleOutcome(notes, 'skipped'));
        }}
      >
        skipped
      </Outcome>
    </div>
  );
}

interface OutcomeProps {
  isOn: boolean;
  onPress: () => void;
  children: string;
}

const Outcome = ({ isOn, onPress, children }: OutcomeProps) => (
  <Toggle aria-pressed={isOn} onClick={onPress}>
    {children}
  </Toggle>
);
