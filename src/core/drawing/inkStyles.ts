/** How a role is drawn in ink: what the style of an SVG file and of a PDF are both made from. */
export interface InkStyle {
  /** Colour as `#rrggbb`; null = none. */
  readonly fill?: string | null;
  readonly stroke?: string | null;
  /** Width of the line, mm of paper. */
  readonly width?: number;
  readonly dash?: readonly number[];
  readonly bold?: boolean;
}

const INK = '#1f2d33';
const DIM = '#2e6b74';
const FAINT = '#6b7d82';
const WORDS = '#51646a';

/** What holds where no role says otherwise. */
const PLAIN_INK: Required<InkStyle> = {
  fill: null,
  stroke: INK,
  width: 0.35,
  dash: [],
  bold: false,
};

/** By role; `a.b` holds for a shape that has both. Readable without colour. */
const INK_STYLES: Readonly<Record<string, InkStyle>> = {
  mat: { fill: '#eef3f2', stroke: '#9fb4b6' },
  base: { fill: '#d7e6e6', stroke: '#8fb0b3', dash: [1, 1] },
  strap: { width: 0.9, dash: [2, 0.6] },
  footprint: { fill: '#ffffff' },
  ghost: { width: 0.45, dash: [1.4, 1] },
  prop: { fill: '#e7d9c3', stroke: '#8a6d45' },
  'body-outline': { width: 0.9 },
  'body-outline.far': { stroke: '#7d8c90' },
  'body-flesh': { fill: '#f7f4ee', stroke: null },
  'body-flesh.far': { fill: '#e9ebe8' },
  joint: { fill: INK, stroke: null },
  dimension: { stroke: DIM, width: 0.25 },
  extension: { stroke: DIM, width: 0.25 },
  'weight-line': { stroke: FAINT, width: 0.25, dash: [1.5, 1] },
  plumb: { stroke: FAINT, width: 0.25, dash: [1.5, 1] },
  square: { stroke: FAINT, width: 0.25, dash: [1.5, 1] },
  'heel-line': { stroke: FAINT, width: 0.25, dash: [1.5, 1] },
  'pelvis-bar': { stroke: DIM, width: 1.6 },
  'pelvis-bar.inner': { stroke: '#ffffff', width: 0.5 },
  'pelvis-pointer': { stroke: DIM, width: 0.6 },
  'pelvis-tip': { fill: DIM, stroke: null },
  'heel-mark': { fill: DIM, stroke: null },
  number: { bold: true },
  title: { bold: true },
  ruler: { fill: WORDS },
  label: { fill: WORDS },
  edge: { fill: WORDS },
  cut: { width: 0.2, dash: [2, 1.5], stroke: FAINT },
  bar: { width: 0.5 },
};

/** The style of a shape by its role, which may be several words. */
export function findInk(role: string): Required<InkStyle> {
  const words = role.split(' ');
  const found = Object.entries(INK_STYLES).filter(([selector]) =>
    selector.split('.').every((word) => words.includes(word)),
  );
  return Object.assign({}, PLAIN_INK, ...found.map(([, style]) => style)) as Required<InkStyle>;
}

const css = ({ fill, stroke, width, dash, bold }: InkStyle): string =>
  [
    fill === undefined ? '' : `fill:${fill ?? 'none'}`,
    stroke === undefined ? '' : `stroke:${stroke ?? 'none'}`,
    width === undefined ? '' : `stroke-width:${String(width)}`,
    dash === undefined || dash.length === 0 ? '' : `stroke-dasharray:${dash.join(' ')}`,
    bold === true ? 'font-weight:600' : '',
  ]
    .filter((each) => each !== '')
    .join(';');

/** The same styles as the style sheet of an SVG file. */
export const INK_CSS = [
  `polygon,polyline,circle,path{${css(PLAIN_INK)};stroke-linejoin:round}`,
  `text{font-family:sans-serif;fill:${INK};stroke:none}`,
  ...Object.entries(INK_STYLES).map(([selector, style]) => `.${selector}{${css(style)}}`),
].join('');
