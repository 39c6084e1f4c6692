import { findCautionKind } from '../../core/cautions/catalogue.ts';
import type { MeasureId } from '../../core/measures/protocols/index.ts';
import type { Side } from '../../core/measures/protocol.ts';
import { findNotDone, noteNotDone } from '../../core/person/notDone.ts';
import type { CautionEntry, NotDoneReason, PersonRecord } from '../../core/person/person.ts';
import { changePerson } from '../../data/people.ts';
import { writeDate } from '../shared/writeValue.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordSelect } from '../shared/ui/WordSelect.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { notTaken as say } from './words.ts';

export const REASON_WORDS: Readonly<Record<NotDoneReason, string>> = {
  declined: 'declined',
  'not-allowed': say.notAllowed,
  pain: 'stopped: pain',
  'nerve-sign': say.stoppedTinglingBurning,
  other: say.anotherReason,
};

/** Which caution a stopped test suggests. */
const SUGGESTS: Partial<Record<NotDoneReason, string>> = {
  pain: 'sharp-joint-pain',
  'nerve-sign': 'tingling',
};

interface NotTakenProps {
  record: PersonRecord;
  measure: MeasureId;
  side: Side | null;
}

/** Why a test was not taken on one side; a stop for pain offers a caution. */
export function NotTaken({ record, measure, side }: NotTakenProps) {
  const { person } = record;
  const { write, told } = useWrite();
  const entry = findNotDone(record, measure, side);
  const choose = (value: string): void => {
    write(() =>
      changePerson(person.id, ({ notDone }) => ({
        notDone:
          value === ''
            ? notDone.filter((each) => each.measure !== measure || each.side !== side)
            : noteNotDone(notDone, {
                measure,
                side,
                reason: value as NotDoneReason,
                at: new Date().toISOString(),
                note: '',
              }),
      })),
    );
  };
  const kind = entry === null ? null : findCautionKind(SUGGESTS[entry.reason] ?? '');
  const isNoted = person.cautions.some((each) => each.id === kind?.id);
  const noteCaution = (): void => {
    if (kind === null) return;
    const caution: CautionEntry = {
      uid: crypto.randomUUID(),
      id: kind.id,
      side: kind.sided ? side : null,
      since: new Date().toISOString().slice(0, 10),
      severity: 'stop',
      clearedBy: null,
      clearedAt: null,
      note: say.test(measure),
    };
    write(() => changePerson(person.id, ({ cautions }) => ({ cautions: [...cautions, caution] })));
  };
  return (
    <div className="[&_label]:inline-block [&_label]:first-letter:uppercase">
      <label>
        {say.taken(side === null ? 'Not' : say.not(side))}
        <WordSelect
          value={entry?.reason ?? ''}
          onChange={(event) => {
            choose(event.target.value);
          }}
        >
          <option value="">{say.sayWhy}</option>
          {Object.entries(REASON_WORDS).map(([reason, words]) => (
            <option key={reason} value={reason}>
              {words}
            </option>
          ))}
        </WordSelect>
      </label>
      {entry !== null && <span className="text-faint"> {writeDate(entry.at)}</span>}
      {kind !== null && !isNoted && (
        <p className="font-semibold">
          {kind.name}? <WordButton onClick={noteCaution}>{say.keepAsStopSign}</WordButton>{' '}
          <span className="text-faint">{kind.advice}</span>
        </p>
      )}
      {told}
    </div>
  );
}
