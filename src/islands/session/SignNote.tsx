import { CAUTION_KINDS, findCautionKind } from '../../core/cautions/catalogue.ts';
import { toggleSign } from '../../core/sessions/logHold.ts';
import type { Clearance } from '../../core/sessions/readSession.ts';
import type { HoldNotes } from '../../core/sessions/session.ts';
import { Toggle } from '../shared/ui/Button.tsx';
import { signNote as say } from './words.ts';

interface SignNoteProps {
  notes: HoldNotes;
  cleared: Clearance | null;
  /** Something hurts: the signs are shown to be asked after. */
  isAsked?: boolean;
  onChange: (change: Partial<HoldNotes>) => void;
}

/** Signs that may be reported or seen while a pose is held. */
const IN_SESSION = ['sharp-joint-pain', 'tingling', 'knee-gives-way', 'night-pain'];
const SIGNS = CAUTION_KINDS.filter(
  ({ id, tier }) => tier === 'emergency' || tier === 'same-day' || IN_SESSION.includes(id),
);

/** A stop sign that was reported or seen. */
export function SignNote({ notes, cleared, isAsked = false, onChange }: SignNoteProps) {
  const name = notes.sign === null ? null : (findCautionKind(notes.sign)?.name ?? notes.sign);
  return (
    <details open={isAsked || notes.sign !== null}>
      <summary className="font-bold text-stop">
        {name === null ? say.stopSign : say.stopSignOf(name)}
        {cleared === null ? '' : say.clearedBy(cleared.by)}
      </summary>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        {SIGNS.map((kind) => (
          <Toggle
            key={kind.id}
            aria-pressed={notes.sign === kind.id}
            onClick={() => {
              onChange(toggleSign(notes, kind.id));
            }}
          >
            {kind.name.toLowerCase()}
          </Toggle>
        ))}
      </div>
    </details>
  );
}
