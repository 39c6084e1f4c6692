import { findStyle, PAPER, toSvgAttributes, type Medium } from './styles.ts';
import type { Drawing, Point, Shape } from './shapes.ts';

/** Drawings hold a centimetre of the body in a millimetre of paper. */
const DRAWN_SCALE = 10;

/**
 * Text as it stands in SVG or HTML.
 *
 * @param text any text
 * @returns text without signs that mean something there
 * @example
 * escapeText('5 < 6 & 7') // → "5 &lt; 6 &amp; 7"
 */
export const escapeText = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');

const write = (value: number): string => String(Number(value.toFixed(2)) + 0);
const writePoints = (points: readonly Point[]): string =>
  points.map(([x, y]) => `${write(x)},${write(y)}`).join(' ');

/**
 * The shorter way round from one direction to another, as the data of an SVG path.
 *
 * @returns the attribute `d`
 */
export function arcPath({
  centre,
  radius,
  fromDeg,
  toDeg,
}: Extract<Shape, { kind: 'arc' }>): string {
  const turn = ((((toDeg - fromDeg) % 360) + 540) % 360) - 180;
  const at = (deg: number): string => {
    const angle = (deg * Math.PI) / 180;
    return `${write(centre[0] + radius * Math.cos(angle))} ${write(centre[1] + radius * Math.sin(angle))}`;
  };
  const size = write(radius);
  return `M ${at(fromDeg)} A ${size} ${size} 0 0 ${turn > 0 ? '1' : '0'} ${at(fromDeg + turn)}`;
}

const toKebab = (name: string): string =>
  name.replace(/[A-Z]/g, (each) => `-${each.toLowerCase()}`);

function writeShape(shape: Shape, medium: Medium): string {
  const name = `class="${escapeText(shape.role)}"`;
  const look = Object.entries(toSvgAttributes(findStyle(shape), medium))
    .map(([attribute, value]) => ` ${toKebab(attribute)}="${String(value)}"`)
    .join('');
  switch (shape.kind) {
    case 'polygon':
      return `<polygon ${name} points="${writePoints(shape.points)}"${look}/>`;
    case 'line':
      return `<polyline ${name} points="${writePoints(shape.points)}"${look}/>`;
    case 'circle': {
      const [x, y] = shape.centre;
      return `<circle ${name} cx="${write(x)}" cy="${write(y)}" r="${write(shape.radius)}"${look}/>`;
    }
    case 'arc':
      return `<path ${name} d="${arcPath(shape)}"${look}/>`;
    case 'text': {
      const [x, y] = shape.at;
      const told = shape.setting === undefined ? '' : ` data-setting="${shape.setting}"`;
      return `<text ${name}${told} x="${write(x)}" y="${write(y)}" font-size="${write(shape.size)}" text-anchor="${shape.anchor}"${look}>${escapeText(shape.text)}</text>`;
    }
  }
}

/**
 * A drawing as SVG text that prints at a true scale: 1:10 unless said otherwise, so that
 * a ruler laid on the paper reads the mat.
 *
 * @param scale how many times smaller than life, 10 for 1:10
 * @param medium the colours of what it is looked at on
 * @returns a whole file
 */
export function writeSvg(
  { box, shapes, caption }: Drawing,
  scale = DRAWN_SCALE,
  medium: Medium = PAPER,
): string {
  const [left, top, width, height] = box;
  const paper = (mm: number): string => `${write((mm * DRAWN_SCALE) / scale)}mm`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${paper(width)}" height="${paper(height)}" viewBox="${[left, top, width, height].map(write).join(' ')}" role="img" font-family="sans-serif">`,
    `<title>${escapeText(caption)}</title>`,
    ...shapes.map((shape) => writeShape(shape, medium)),
    '</svg>',
    '',
  ].join('\n');
}
