import { useState } from 'react';
import { compareFeltSides } from '../../core/felt/compareFeltSides.ts';
import { findExpected, judgeFelt } from '../../core/felt/judgeFelt.ts';
import { NOWHERE, sayFelt, type Felt } from '../../core/felt/places.ts';
import { sayExpected } from '../../core/felt/sayFeltJudgement.ts';
import { otherSide } from '../../core/measures/protocol.ts';
import { hasSides } from '../../core/poses/hasSides.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { toggleFelt, toggleSign } from '../../core/sessions/logHold.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { HoldNotes, NewEntry, Session } from '../../core/sessions/session.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { Toggle } from '../shared/ui/Button.tsx';
import { FeltAnswer } from './FeltAnswer.tsx';
import { FeltOutline } from './FeltOutline.tsx';
import { feltNote as say } from './words.ts';

interface FeltNoteProps {
  record: RevisedRecord;
  /** All of this person. */
  sessions: readonly Session[];
  hold: LoggedHold;
  /** Of this session. */
  holds: readonly LoggedHold[];
  /** As it was held; null = it is not there yet. */
  setUp: SetUp | null;
  onNote: (entries: readonly NewEntry[]) => void;
  onChange: (change: Partial<HoldNotes>) => void;
  /** Pain is noted with its score, and its stop signs. */
  onPain: () => void;
  /** An error is to be seen on this body. */
  onSee: (error: string) => void;
}

const HOWS = Object.keys(say.hows) as readonly Felt['how'][];

/** Where a side was felt, in a tap each, and whether that is where the set-up stretches. */
export function FeltNote({
  record,
  sessions,
  hold,
  holds,
  setUp,
  onNote,
  onChange,
  onPain,
  onSee,
}: FeltNoteProps) {
  const { plan, notes } = hold;
  const [how, setHow] = useState<Felt['how']>('stretch');
  const press = (place: string): void => {
    onNote([toggleFelt(plan.id, notes, place, place === NOWHERE ? 'stretch' : how)]);
  };
  const expected = setUp === null ? [] : findExpected(setUp);
  const judgement = setUp === null ? null : judgeFelt(setUp, notes.felt);
  const other = holds.findLast(
    (each) => each.plan.pose === plan.pose && each.plan.side === otherSide(plan.side),
  );
  const sides =
    other === undefined || !hasSides(plan.pose)
      ? []
      : compareFeltSides({
          left: (plan.side === 'left' ? notes : other.notes).felt,
          right: (plan.side === 'right' ? notes : other.notes).felt,
        });
  return (
    <details data-testid="felt">
      <summary className="font-serif text-[1.1rem]">
        {notes.felt.length === 0 ? say.title : say.titleOf(sayFelt(notes.felt))}
      </summary>
      {expected.length > 0 && <p className="m-0 text-faint">{sayExpected(expected)}</p>}
      <div
        className="my-2 flex flex-wrap items-center gap-x-2 gap-y-1"
        role="group"
        aria-label={say.how}
      >
        {HOWS.map((each) => (
          <Toggle
            key={each}
            aria-pressed={how === each}
            onClick={() => {
              setHow(each);
            }}
          >
            {say.hows[each]}
          </Toggle>
        ))}
        <Toggle
          className="text-stop"
          aria-pressed={notes.sign === 'tingling'}
          onClick={() => {
            onChange(toggleSign(notes, 'tingling'));
          }}
        >
          {say.sign}
        </Toggle>
        <Toggle className="text-stop" onClick={onPain}>
          {say.pain}
        </Toggle>
        <Toggle
          aria-pressed={notes.felt.some(({ place }) => place === NOWHERE)}
          onClick={() => {
            press(NOWHERE);
          }}
        >
          {say.nowhere}
        </Toggle>
      </div>
      <div className="grid grid-cols-2 gap-3 max-phone:grid-cols-1">
        {(['front', 'back'] as const).map((face) => (
          <FeltOutline key={face} face={face} felt={notes.felt} onPress={press} />
        ))}
      </div>
      {setUp !== null && judgement !== null && (
        <FeltAnswer
          record={record}
          sessions={sessions}
          hold={hold}
          setUp={setUp}
          judgement={judgement}
          onSee={onSee}
        />
      )}
      {sides.map((each) => (
        <p key={each} className="m-0">
          {each}
        </p>
      ))}
    </details>
  );
}
