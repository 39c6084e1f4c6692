import { toTenths } from '../../core/units/rounding.ts';
import { useState } from 'react';
import { adviseLegLengths, type LegLengthAdvice } from '../../core/measures/legLengths.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import {
  describeBody,
  type MeasureOverview,
  type SideOverview,
} from '../../core/planning/bodyOverview.ts';
import { REASON_WORDS } from './NotTaken.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate, writeValue } from '../shared/writeValue.ts';
import { Table } from '../shared/ui/Table.tsx';
import { bodyView as say } from './words.ts';

/** Left and right beside each other on one axis a measure, with errors, ages and what is missing. */
export function BodyView({ record }: { record: PersonRecord }) {
  const [now] = useState(() => new Date().toISOString());
  const rows = describeBody(record, now);
  const [lengths, ranges] = [
    rows.filter((each) => each.protocol.unit === 'cm'),
    rows.filter((each) => each.protocol.unit !== 'cm'),
  ];
  return (
    <section data-testid="body-view">
      <h2>{say.bodyOverview}</h2>
      <p className="text-faint">{say.filledLeftSideAbove}</p>
      <BodyTable name="Ranges" rows={ranges} />
      <BodyTable name="Lengths" rows={lengths} />
    </section>
  );
}

function BodyTable({ name, rows }: { name: string; rows: readonly MeasureOverview[] }) {
  if (rows.length === 0) return null;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={name}>
      <Table look="values">
        <thead>
          <tr>
            <th scope="col">{name}</th>
            <th scope="col">
              <span className="sr-only">{say.drawing}</span>
            </th>
            <th scope="col">{say.left}</th>
            <th scope="col">{say.right}</th>
            <th scope="col">{say.whatShows}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <BodyRow key={row.measure} row={row} />
          ))}
        </tbody>
      </Table>
    </div>
  );
}

function BodyRow({ row }: { row: MeasureOverview }) {
  const unit = useUnit();
  const write = (value: number): string => writeValue(value, row.protocol.unit, unit);
  const cell = ({ now, isStale, estimate, notDone }: SideOverview) =>
    now === null ? (
      <span className="text-faint">
        {estimate === null ? 'missing' : say.aboutEstimated(write(Math.round(estimate)))}
        {notDone !== null && `, ${REASON_WORDS[notDone]}`}
      </span>
    ) : (
      <>
        {write(toTenths(now.value))} ± {write(toTenths(now.error))}
        {isStale && <span className="text-faint">{say.reMeasure}</span>}
      </>
    );
  const [only, other] = row.sides;
  return (
    <tr>
      <th scope="row">
        {row.protocol.name}
        {row.band !== null && (
          <span className="text-faint block text-[0.85rem]" title={row.band.source}>
            {row.band.who}: {write(row.band.mean)}
          </span>
        )}
      </th>
      <td>
        <Axis row={row} />
      </td>
      {only !== undefined && other === undefined ? (
        <td colSpan={2}>{cell(only)}</td>
      ) : (
        row.sides.map((each) => <td key={String(each.side)}>{cell(each)}</td>)
      )}
      <td className="text-faint">{sayRow(row, write)}</td>
    </tr>
  );
}

/** What a difference of the legs calls for. */
const LEG_LENGTH_WORDS: Readonly<Record<LegLengthAdvice, string>> = {
  unclear: '',
  ordinary: say.common,
  'to-note': say.eachSideSetUp,
  'to-be-seen': say.moreThanCmSee,
};

/** In words: the sides against each other, what has changed, and what waits. */
function sayRow(
  { measure, difference, sides, blocks }: MeasureOverview,
  write: (value: number) => string,
): string {
  const round = (value: number): string => write(toTenths(Math.abs(value)));
  const said: string[] = [];
  if (difference?.verdict === 'real') {
    const less = difference.difference < 0 ? 'Left' : 'Right';
    said.push(say.hasLess(less, round(difference.difference)));
  }
  const [left, right] = sides.map((each) => each.now);
  if (measure === 'leg-length' && left && right) {
    said.push(LEG_LENGTH_WORDS[adviseLegLengths(left, right)]);
  }
  for (const { side, change, first } of sides) {
    if (change?.verdict !== 'real' || first === null) continue;
    const sign = change.difference < 0 ? '−' : '+';
    const since = writeDate(first.takenAt);
    said.push(say.since(side ?? 'It', sign, round(change.difference), since));
  }
  const [pose, ...more] = blocks;
  if (pose !== undefined) {
    const others = more.length === 1 ? 'another' : say.morePoses(more.length);
    said.push(more.length === 0 ? say.neededFor(pose) : say.neededForAnd(pose, others));
  }
  return said.filter((each) => each !== '').join(' ');
}

const WIDTH = 200;
const HEIGHT = 34;

/** The plausible band from end to end, what most people have in grey, left above and right below. */
function Axis({ row }: { row: MeasureOverview }) {
  const { possible } = row.protocol;
  const usual = row.band === null ? row.protocol.usual : ([row.band.low, row.band.high] as const);
  const values = row.sides.flatMap(({ now, estimate }) => now?.value ?? estimate ?? []);
  const low = Math.max(possible[0], Math.min(usual[0] - 10, ...values));
  const high = Math.min(possible[1], Math.max(usual[1] + 10, ...values));
  const at = (value: number): number => 6 + ((value - low) / (high - low)) * (WIDTH - 12);
  const middle = HEIGHT / 2;
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      aria-hidden
    >
      <rect
        className="fill-sand"
        x={at(usual[0])}
        y={middle - 9}
        width={at(usual[1]) - at(usual[0])}
        height={18}
      />
      <line className="stroke-faint" x1={6} x2={WIDTH - 6} y1={middle} y2={middle} />
      {row.sides.map(({ side, now, first }) => {
        if (now === null) return null;
        const y = side === null ? middle : side === 'left' ? middle - 7 : middle + 7;
        return (
          <g key={String(side)}>
            {first !== null && (
              <circle className="fill-none stroke-ink" cx={at(first.value)} cy={y} r={3.5} />
            )}
            <line
              className="stroke-ink stroke-2"
              x1={at(now.value - now.error)}
              x2={at(now.value + now.error)}
              y1={y}
              y2={y}
            />
            <circle className="fill-ink" cx={at(now.value)} cy={y} r={4} />
          </g>
        );
      })}
    </svg>
  );
}
