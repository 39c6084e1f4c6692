import { toTenths } from '../../core/units/rounding.ts';
import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartDataset,
  type Plugin,
} from 'chart.js';
import { useEffect, useRef } from 'react';

Chart.register(Filler, LinearScale, LineController, LineElement, PointElement, Tooltip);

/** One point of a line; `error` is half of its bar. */
interface ChartPoint {
  readonly x: number;
  readonly y: number;
  readonly error?: number;
}

export interface ChartLine {
  readonly name: string;
  readonly points: readonly ChartPoint[];
  /** A second side differs by its dashes and its squares, not by colour alone. */
  readonly isSecond?: boolean;
}

/** A strip between two edges. */
export interface ChartBand {
  readonly name: string;
  readonly kind: 'noise' | 'trend';
  readonly points: readonly { readonly x: number; readonly low: number; readonly high: number }[];
}

interface LineChartProps {
  lines: readonly ChartLine[];
  bands: readonly ChartBand[];
  /** When sessions were held. */
  marks: readonly number[];
  unit: string;
  /** Names of steps from the lowest, where the line goes up and down these instead of through values. */
  steps?: readonly string[];
  /** Names of the places 0, 1, 2 … along the line, where it does not go through dates. */
  places?: readonly string[];
  /** The same in words, for those who do not see it. */
  label: string;
}

const INK = '#1d2b36';
const WATER = '#4f8794';
const FILLS = { noise: 'rgba(233, 224, 201, 0.85)', trend: 'rgba(169, 202, 208, 0.45)' } as const;

const dateFormat = new Intl.DateTimeFormat(undefined, { month: 'short', year: '2-digit' });
const dayFormat = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' });

/** Bars of one standard error on every point that has one. */
const errorBars: Plugin<'line'> = {
  id: 'errorBars',
  afterDatasetsDraw(chart) {
    const { ctx } = chart;
    const scale = chart.scales.y;
    if (scale === undefined) return;
    ctx.save();
    ctx.strokeStyle = INK;
    ctx.lineWidth = 1.4;
    chart.data.datasets.forEach((dataset, i) => {
      const meta = chart.getDatasetMeta(i);
      (dataset.data as unknown as ChartPoint[]).forEach((point, j) => {
        if (point.error === undefined) return;
        const x = meta.data[j]?.x ?? 0;
        const [top, bottom] = [
          scale.getPixelForValue(point.y + point.error),
          scale.getPixelForValue(point.y - point.error),
        ];
        ctx.beginPath();
        ctx.moveTo(x, top);
        ctx.lineTo(x, bottom);
        for (const y of [top, bottom]) {
          ctx.moveTo(x - 4, y);
          ctx.lineTo(x + 4, y);
        }
        ctx.stroke();
      });
    });
    ctx.restore();
  },
};

/** Sessions as short strokes on the axis. */
const sessionMarks = (marks: readonly number[]): Plugin<'line'> => ({
  id: 'sessionMarks',
  afterDatasetsDraw({ ctx, chartArea: { bottom, left, right }, scales: { x: scale } }) {
    if (scale === undefined) return;
    ctx.save();
    ctx.strokeStyle = WATER;
    ctx.lineWidth = 3;
    for (const mark of marks) {
      const x = scale.getPixelForValue(mark);
      if (x < left || x > right) continue;
      ctx.beginPath();
      ctx.moveTo(x, bottom);
      ctx.lineTo(x, bottom - 12);
      ctx.stroke();
    }
    ctx.restore();
  },
});

type Dataset = ChartDataset<'line', ChartPoint[]>;

function bandDatasets({ name, kind, points }: ChartBand): Dataset[] {
  // A higher order lies farther back.
  const order = kind === 'noise' ? 3 : 2;
  const plain = { pointRadius: 0, borderWidth: 0, label: name, order };
  return [
    { ...plain, data: points.map(({ x, high }) => ({ x, y: high })), fill: false },
    {
      ...plain,
      data: points.map(({ x, low }) => ({ x, y: low })),
      fill: '-1',
      backgroundColor: FILLS[kind],
    },
  ];
}

const lineDataset = ({ name, points, isSecond = false }: ChartLine): Dataset => ({
  label: name,
  order: 1,
  data: [...points],
  borderColor: isSecond ? INK : WATER,
  borderWidth: 2,
  ...(isSecond ? { borderDash: [6, 4] } : {}),
  backgroundColor: isSecond ? '#fdfbf4' : WATER,
  pointStyle: isSecond ? 'rect' : 'circle',
  pointBorderColor: INK,
  pointRadius: 5,
  fill: false,
});

/** From the first to the last point, with a little room. */
function findSpan(lines: readonly ChartLine[]): { min?: number; max?: number } {
  const xs = lines.flatMap(({ points }) => points.map(({ x }) => x));
  if (xs.length === 0) return {};
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  const room = Math.max((to - from) * 0.03, 86_400_000);
  return { min: from - room, max: to + room };
}

/** Values over time with their errors; the same stands in a table beside it. */
export function LineChart({ lines, bands, marks, unit, steps, places, label }: LineChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current === null) return;
    const font = { family: getComputedStyle(document.body).fontFamily, size: 14 };
    const writePlace = (x: number, format: Intl.DateTimeFormat): string =>
      places === undefined ? format.format(new Date(x)) : (places[x] ?? '');
    const writeTick = (value: number): string => steps?.[value] ?? `${String(value)}${unit}`;
    const chart = new Chart(canvas.current, {
      type: 'line',
      data: {
        datasets: [
          ...bands.flatMap(bandDatasets),
          ...lines.map((line) => ({ ...lineDataset(line), stepped: steps !== undefined })),
        ],
      },
      options: {
        animation: false,
        maintainAspectRatio: false,
        parsing: false,
        scales: {
          x: {
            type: 'linear',
            ...(places === undefined ? findSpan(lines) : { min: -0.2, max: places.length - 0.8 }),
            grid: { display: false },
            ticks: {
              font,
              color: INK,
              maxTicksLimit: 7,
              ...(places === undefined ? {} : { stepSize: 1 }),
              callback: (value) => writePlace(Number(value), dateFormat),
            },
          },
          y: {
            ...(steps === undefined ? { grace: '12%' } : { min: -0.3, max: steps.length - 0.7 }),
            grid: { color: '#b9b9ac55' },
            ticks: {
              font,
              color: INK,
              ...(steps === undefined ? {} : { stepSize: 1, autoSkip: false }),
              callback: (value) => writeTick(Number(value)),
            },
            ...(steps === undefined
              ? {}
              : {
                  afterBuildTicks: (axis) => {
                    axis.ticks = steps.map((_, value) => ({ value }));
                  },
                }),
          },
        },
        plugins: {
          tooltip: {
            filter: (item) =>
              (item.dataset.label ?? '') !== '' && item.datasetIndex >= bands.length * 2,
            callbacks: {
              title: (items) => writePlace(items[0]?.parsed.x ?? 0, dayFormat),
              label: ({ parsed, dataset }) =>
                `${dataset.label ?? ''}: ${writeTick(toTenths(parsed.y ?? 0))}`,
            },
          },
        },
      },
      plugins: [errorBars, sessionMarks(marks)],
    });
    return () => {
      chart.destroy();
    };
  }, [lines, bands, marks, unit, steps, places]);
  return (
    <div className="relative h-75">
      <canvas ref={canvas} role="img" aria-label={label} />
    </div>
  );
}
