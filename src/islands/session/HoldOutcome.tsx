import type { HoldNotes } from '../../core/sessions/session.ts';

interface HoldOutcomeProps {
  notes: HoldNotes;
  onChange: (change: Partial<HoldNotes>) => void;
}

/** How the breath was, which side was harder, and whether it was held to its end. */
export function HoldOutcome({ notes, onChange: change }: HoldOutcomeProps) {
  return (
    <div className="word-choices">
      <Toggle
        isOn={notes.breath === 'easy'}
        onPress={() => {
          change({ breath: notes.breath === 'easy' ? null : 'easy' });
        }}
      >
        breath easy
      </Toggle>
      <Toggle
        isOn={notes.breath === 'held'}
        onPress={() => {
          change({ breath: notes.breath === 'held' ? null : 'held' });
        }}
      >
        breath held
      </Toggle>
      <Toggle
        isOn={notes.isHarder}
        onPress={() => {
          change({ isHarder: !notes.isHarder });
        }}
      >
        this side was harder
      </Toggle>
      <Toggle
        isOn={notes.outcome === 'ended-early'}
        onPress={() => {
          change({ outcome: notes.outcome === 'ended-early' ? null : 'ended-early' });
        }}
      >
        ended early
      </Toggle>
      <Toggle
        isOn={notes.outcome === 'skipped'}
        onPress={() => {
          change({ outcome: notes.outcome === 'skipped' ? null : 'skipped' });
        }}
      >
        skipped
      </Toggle>
    </div>
  );
}

interface ToggleProps {
  isOn: boolean;
  onPress: () => void;
  children: string;
}

function Toggle({ isOn, onPress, children }: ToggleProps) {
  return (
    <button type="button" className="word-toggle" aria-pressed={isOn} onClick={onPress}>
      {children}
    </button>
  );
}
