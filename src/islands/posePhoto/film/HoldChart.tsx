import { useMemo, useState } from 'react';
import { FRAME_NAMES, type HeldQuantity } from '../../../core/poseCheck/compareFrames.ts';
import { toTenths } from '../../../core/units/rounding.ts';
import { LineChart, type ChartLine } from '../../shared/LineChart.tsx';
import { SelectField } from '../../shared/ui/SelectField.tsx';
import { Table } from '../../shared/ui/Table.tsx';
import { TableHead } from '../../shared/ui/TableHead.tsx';
import { useUnit } from '../../shared/useRecord.ts';
import { writeValue } from '../../shared/writeValue.ts';
import { holdChart as say } from '../words.ts';

const NO_BANDS: readonly never[] = [];
const NO_MARKS: readonly never[] = [];

/** How each quantity that the film can show went through the hold, with its error, next to the plan. */
export function HoldChart({ quantities }: { quantities: readonly HeldQuantity[] }) {
  const unit = useUnit();
  const [id, setId] = useState<string | null>(null);
  const shown = quantities.find((each) => each.id === id) ?? quantities[0];
  const lines = useMemo(
    (): readonly ChartLine[] =>
      shown === undefined
        ? []
        : [
            {
              name: say.seen,
              points: shown.points.map(({ frame, seen, error }) => ({
                x: FRAME_NAMES.indexOf(frame),
                y: seen,
                error,
              })),
            },
            {
              name: say.planned,
              isSecond: true,
              points: FRAME_NAMES.map((_, x) => ({ x, y: shown.planned })),
            },
          ],
    [shown],
  );
  if (shown === undefined) return null;
  return (
    <div data-testid="hold-chart">
      <h2>{say.throughTheHold}</h2>
      <SelectField
        label={say.quantity}
        value={shown.id}
        options={quantities.map((each) => [each.id, each.name] as const)}
        onChange={setId}
      />
      <LineChart
        lines={lines}
        bands={NO_BANDS}
        marks={NO_MARKS}
        unit={shown.unit === 'deg' ? '°' : ' cm'}
        places={FRAME_NAMES}
        label={say.through(shown.name)}
      />
      <div className="overflow-x-auto">
        <Table look="list">
          <caption className="sr-only">{say.throughTheHold}</caption>
          <TableHead columns={['What', 'Planned', ...FRAME_NAMES.map(say.column)]} />
          <tbody>
            {quantities.map((each) => (
              <tr key={each.id}>
                <th scope="row">{each.name}</th>
                <td>{writeValue(toTenths(each.planned), each.unit, unit)}</td>
                {FRAME_NAMES.map((name) => {
                  const point = each.points.find(({ frame }) => frame === name);
                  return (
                    <td key={name}>
                      {point === undefined
                        ? ''
                        : say.value(
                            writeValue(toTenths(point.seen), each.unit, unit),
                            writeValue(toTenths(point.error), each.unit, unit),
                            point.words,
                          )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
    </div>
  );
}
