import { escapeText } from '../drawing/svg.ts';
import type { Series } from '../progress/series.ts';
import { nameSeries } from '../progress/change.ts';

const WIDTH = 480;
const HEIGHT = 120;
const MARGIN = 34;

/**
 * A measure over time as a small SVG: its dates along, its values up, each with its standard
 * error of measurement as a bar. Drawn from two dates on.
 *
 * @param series a measure over time
 * @param writeDate a date as it is written for its reader
 * @returns empty when there is nothing to join
 */
export function drawSeries(series: Series, writeDate: (iso: string) => string): string {
  const { values } = series;
  if (values.length < 2) return '';
  const times = values.map(({ takenAt }) => Date.parse(takenAt));
  const lows = values.map(({ value, error }) => value - error);
  const highs = values.map(({ value, error }) => value + error);
  const [from, to] = [Math.min(...times), Math.max(...times)];
  const [low, high] = [Math.min(...lows), Math.max(...highs)];
  const toX = (time: number): number =>
    MARGIN + ((time - from) / Math.max(to - from, 1)) * (WIDTH - 2 * MARGIN);
  const toY = (value: number): number =>
    HEIGHT - MARGIN - ((value - low) / Math.max(high - low, 1e-9)) * (HEIGHT - 2 * MARGIN);
  const at = (x: number, y: number): string => `${x.toFixed(1)},${y.toFixed(1)}`;
  const points = values.map(({ value }, i) => at(toX(times[i]!), toY(value)));
  const bars = values.map(({ value, error }, i) => {
    const x = toX(times[i]!).toFixed(1);
    return `<line x1="${x}" x2="${x}" y1="${toY(value - error).toFixed(1)}" y2="${toY(value + error).toFixed(1)}" />`;
  });
  const dots = values.map(({ value }, i) => {
    const [x, y] = [toX(times[i]!), toY(value)];
    return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="3" /><text x="${x.toFixed(1)}" y="${(y - 8).toFixed(1)}">${value.toFixed(0)}</text>`;
  });
  const name = `${nameSeries(series)}: ${values.map(({ value, takenAt }) => `${value.toFixed(0)} on ${writeDate(takenAt)}`).join(', ')}`;
  return [
    `<svg viewBox="0 0 ${String(WIDTH)} ${String(HEIGHT)}" role="img" aria-label="${escapeText(name)}">`,
    `<polyline points="${points.join(' ')}" />`,
    ...bars,
    ...dots,
    `<text x="${String(MARGIN)}" y="${String(HEIGHT - 8)}">${escapeText(writeDate(values[0]!.takenAt))}</text>`,
    `<text x="${String(WIDTH - MARGIN)}" y="${String(HEIGHT - 8)}">${escapeText(writeDate(values.at(-1)!.takenAt))}</text>`,
    '</svg>',
  ].join('');
}
