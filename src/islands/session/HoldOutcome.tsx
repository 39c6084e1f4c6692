import { toggleBreath, toggleOutcome } from '../../core/sessions/logHold.ts';
import type { HoldNotes } from '../../core/sessions/session.ts';
import { Toggle } from '../shared/ui/Button.tsx';
import { holdOutcome as say } from './words.ts';

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
        {say.breathEasy}
      </Outcome>
      <Outcome
        isOn={notes.breath === 'held'}
        onPress={() => {
          change(toggleBreath(notes, 'held'));
        }}
      >
        {say.breathHeld}
      </Outcome>
      <Outcome
        isOn={notes.isHarder}
        onPress={() => {
          change({ isHarder: !notes.isHarder });
        }}
      >
        {say.sideHarder}
      </Outcome>
      <Outcome
        isOn={notes.outcome === 'ended-early'}
        onPress={() => {
          change(toggleOutcome(notes, 'ended-early'));
        }}
      >
        {say.endedEarly}
      </Outcome>
      <Outcome
        isOn={notes.outcome === 'skipped'}
        onPress={() => {
          change(toggleOutcome(notes, 'skipped'));
        }}
      >
        {say.skipped}
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
