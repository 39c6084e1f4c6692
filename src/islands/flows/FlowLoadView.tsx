import { useMemo, useState } from 'react';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import { calcFlowLoad, type FlowLoad, type MotionLoad } from '../../core/sequence/flowLoad.ts';
import { LineChart, type ChartBand, type ChartLine } from '../shared/LineChart.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { WordSelect } from '../shared/ui/WordSelect.tsx';
import { flowLoad as say } from './words.ts';

const NO_MARKS: readonly number[] = [];

const nameMotion = ({ joint, motion }: Pick<MotionLoad, 'joint' | 'motion'>): string =>
  `${joint} ${motion.replaceAll('-', ' ')}`;
const percent = (share: number): number => Math.round(100 * share);

/** How much of each limiting motion a flow asks, step by step; by default the most loaded one. */
export function FlowLoadView({ plan }: { plan: FlowPlan }) {
  const load = useMemo(() => calcFlowLoad(plan), [plan]);
  const [chosen, setChosen] = useState<string | null>(null);
  const names = [...new Set(load.motions.map(nameMotion))];
  const name = chosen !== null && names.includes(chosen) ? chosen : (names[0] ?? null);
  const own = useMemo(() => load.motions.filter((each) => nameMotion(each) === name), [load, name]);
  const { lines, bands, places } = useMemo(() => toChart(load, own), [load, own]);
  if (name === null) return null;
  return (
    <section data-testid="load">
      <h2>{say.title}</h2>
      <p className="mb-0">
        <WordSelect
          aria-label={say.motion}
          value={name}
          onChange={({ target }) => {
            setChosen(target.value);
          }}
        >
          {names.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
        </WordSelect>{' '}
        <span className="text-faint">{say.legend}</span>
      </p>
      <LineChart
        lines={lines}
        bands={bands}
        marks={NO_MARKS}
        unit=" %"
        places={places}
        label={say.label(name)}
      />
      <details>
        <summary>{say.table}</summary>
        <LoadTable load={load} own={own} />
      </details>
    </section>
  );
}

/** Left and right as lines over the steps; where hips are open or closed as bands. */
function toChart(
  { steps }: FlowLoad,
  own: readonly MotionLoad[],
): {
  readonly lines: readonly ChartLine[];
  readonly bands: readonly ChartBand[];
  readonly places: readonly string[];
} {
  const lines = own.map(({ side, shares }): ChartLine => ({
    name: side ?? say.bothSides,
    isSecond: side === 'right',
    points: shares.flatMap((share, x) => (share === null ? [] : [{ x, y: percent(share) }])),
  }));
  const bands = steps.flatMap(({ family }, i): ChartBand[] => {
    if (family === 'neutral' || steps[i - 1]?.family === family) return [];
    const next = steps.findIndex((each, j) => j > i && each.family !== family);
    const last = next < 0 ? steps.length - 1 : next - 1;
    const edge = (x: number) => ({ x, low: 0, high: 100 });
    const points = [edge(i - 0.4), edge(last + 0.4)];
    return [{ name: family, kind: family === 'open' ? 'trend' : 'noise', points }];
  });
  return { lines, bands, places: steps.map(({ name }) => name) };
}

function LoadTable({ load: { steps }, own }: { load: FlowLoad; own: readonly MotionLoad[] }) {
  return (
    <Table look="list">
      <caption className="sr-only">{say.title}</caption>
      <TableHead
        columns={[
          say.step,
          say.hips,
          say.effort,
          say.breaths,
          ...own.map(({ side }) => side ?? say.bothSides),
        ]}
      />
      <tbody>
        {steps.map(({ index, name, side, family, effort, breaths }, i) => (
          <tr key={index}>
            <th scope="row">{[name, side].filter(Boolean).join(', ')}</th>
            <td>{family === 'neutral' ? '' : family}</td>
            <td>{effort}</td>
            <td>{breaths}</td>
            {own.map(({ side: of, shares }) => (
              <td key={of ?? ''}>{shares[i] == null ? '' : `${String(percent(shares[i]))} %`}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
