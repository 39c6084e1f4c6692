import type { Drawing, Point, Shape } from './shapes.ts';

/** Drawings hold a centimetre of the body in a millimetre of paper. */
const DRAWN_SCALE = 10;

/** How a printed drawing looks: ink on paper, no colour needed to read it. */
const STYLE = [
  'polygon,polyline,circle,path{fill:none;stroke:#1f2d33;stroke-width:.35;stroke-linejoin:round}',
  '.mat{fill:#eef3f2;stroke:#9fb4b6}.base{fill:#d7e6e6;stroke:#8fb0b3;stroke-dasharray:1 1}',
  '.strap{stroke-width:.9;stroke-dasharray:2 .6}',
  '.footprint{fill:#fff;stroke:#1f2d33}.prop{fill:#e7d9c3;stroke:#8a6d45}',
  '.body-outline{stroke:#1f2d33;stroke-width:.9}.body-outline.far{stroke:#7d8c90}',
  '.body-flesh{fill:#f7f4ee;stroke:none}.body-flesh.far{fill:#e9ebe8}',
  '.joint{fill:#1f2d33;stroke:none}.dimension,.extension{stroke:#2e6b74;stroke-width:.25}',
  '.weight-line,.plumb,.square,.heel-line{stroke:#6b7d82;stroke-width:.25;stroke-dasharray:1.5 1}',
  '.pelvis-bar{stroke:#2e6b74;stroke-width:1.6}.pelvis-bar.inner{stroke:#fff;stroke-width:.5}',
  '.pelvis-pointer{stroke:#2e6b74;stroke-width:.6}.pelvis-tip,.heel-mark{fill:#2e6b74;stroke:none}',
  'text{font-family:sans-serif;fill:#1f2d33}.number{font-weight:600}.ruler,.label,.edge{fill:#51646a}',
].join('');

const escapeText = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');

const write = (value: number): string => String(Number(value.toFixed(2)) + 0);
const writePoints = (points: readonly Point[]): string =>
  points.map(([x, y]) => `${write(x)},${write(y)}`).join(' ');

/** The shorter way round from one direction to another, as the data of an SVG path. */
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

function writeShape(shape: Shape): string {
  const name = `class="${escapeText(shape.role)}"`;
  switch (shape.kind) {
    case 'polygon':
      return `<polygon ${name} points="${writePoints(shape.points)}"/>`;
    case 'line':
      return `<polyline ${name} points="${writePoints(shape.points)}"/>`;
    case 'circle': {
      const [x, y] = shape.centre;
      return `<circle ${name} cx="${write(x)}" cy="${write(y)}" r="${write(shape.radius)}"/>`;
    }
    case 'arc':
      return `<path ${name} d="${arcPath(shape)}"/>`;
    case 'text': {
      const [x, y] = shape.at;
      return `<text ${name} x="${write(x)}" y="${write(y)}" font-size="${write(shape.size)}" text-anchor="${shape.anchor}">${escapeText(shape.text)}</text>`;
    }
  }
}

/**
 * A drawing as SVG text that prints at a true scale: 1:10 unless said otherwise, so that
 * a ruler laid on the paper reads the mat.
 *
 * @param scale how many times smaller than life, 10 for 1:10
 */
export function writeSvg({ box, shapes, caption }: Drawing, scale = DRAWN_SCALE): string {
  const [left, top, width, height] = box;
  const paper = (mm: number): string => `${write((mm * DRAWN_SCALE) / scale)}mm`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${paper(width)}" height="${paper(height)}" viewBox="${[left, top, width, height].map(write).join(' ')}" role="img">`,
    `<title>${escapeText(caption)}</title>`,
    `<style>${STYLE}</style>`,
    ...shapes.map(writeShape),
    '</svg>',
    '',
  ].join('\n');
}
