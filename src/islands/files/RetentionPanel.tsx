import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { listPastRetention } from '../../data/erasing.ts';
import { getRetentionMonths, setRetentionMonths } from '../../data/settings.ts';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { retentionPanel as say } from './words.ts';

const PERIODS: readonly (readonly [string, string])[] = [
  ['', say.noPeriodSet],
  ['12', say.year],
  ['24', '2 years'],
  ['36', '3 years'],
  ['60', '5 years'],
  ['120', '10 years'],
];

/** How long data is kept after the last of it, and who is past that. */
export function RetentionPanel() {
  const [now] = useState(() => Date.now());
  const months = useLiveQuery(getRetentionMonths, []);
  const past = useLiveQuery(() => listPastRetention(months ?? null, now), [months, now]) ?? [];
  const { write, told } = useWrite();
  return (
    <>
      <SelectField
        label={say.afterTheirLastEntry}
        value={months == null ? '' : String(months)}
        options={PERIODS}
        onChange={(value) => {
          write(() => setRetentionMonths(value === '' ? null : Number(value)));
        }}
      />
      {told}
      {months != null && past.length === 0 && <p className="text-faint">{say.nobodyPastPeriod}</p>}
      {past.length > 0 && (
        <>
          <p>{say.pastPeriodNothingErased}</p>
          <ul className="grid gap-[0.35rem]">
            {past.map(({ id, name, lastAt }) => (
              <li key={id}>
                <a href={`/person?id=${encodeURIComponent(id)}#their-data`}>{name}</a>
                <span className="text-faint">{say.last(writeDate(lastAt))}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
