import type { Drawing, Shape } from './shapes.ts';

/** What a colour stands for; a {@link Medium} says what it is. */
type ColourName =
  | 'ink'
  | 'faint'
  | 'water'
  | 'shallow'
  | 'mist'
  | 'sand'
  | 'sheet'
  | 'paper'
  | 'near-flesh'
  | 'far-flesh';

/** What colours and bold words are where a drawing is looked at. */
export interface Medium {
  /** As `#rrggbb`. */
  readonly colours: Readonly<Record<ColourName, string>>;
  readonly bold: Readonly<Record<string, string | number>>;
}

/** The screen: the colours and fonts of the theme in styles/global.css. */
export const SCREEN: Medium = {
  colours: {
    ink: '#1d2b36',
    faint: '#5a6670',
    water: '#4f8794',
    shallow: '#a9cad0',
    mist: '#dbe7e6',
    sand: '#e9e0c9',
    sheet: '#fdfbf4',
    paper: '#f5f1e6',
    'near-flesh': '#8fb6bd',
    'far-flesh': '#c4dadb',
  },
  bold: { fontFamily: 'var(--font-serif)', fontWeight: 500 },
};

/** A printed page or a file: on white, and sparing of ink. */
export const PAPER: Medium = {
  colours: {
    ink: '#1f2d33',
    faint: '#51646a',
    water: '#2e6b74',
    shallow: '#ffffff',
    mist: '#e3eceb',
    sand: '#e7d9c3',
    sheet: '#eef3f2',
    paper: '#ffffff',
    'near-flesh': '#f7f4ee',
    'far-flesh': '#e9ebe8',
  },
  bold: { fontWeight: 600 },
};

/** How a shape is drawn, on the screen, in an SVG file and in a PDF alike. Readable without colour. */
export interface ShapeStyle {
  /** null = none. */
  readonly fill: ColourName | null;
  readonly stroke: ColourName | null;
  /** Of the line: millimetres of the drawing, or pixels of the screen for a demonstration. */
  readonly width: number;
  /** Lengths of dashes and gaps in turn, as wide as `width` is measured; empty = a whole line. */
  readonly dash: readonly number[];
  readonly isBold: boolean;
  /** Whether the ends of the line are round. */
  readonly hasRoundEnds: boolean;
  /** Width of the paper-coloured edge that keeps words off the lines behind them. */
  readonly halo: number;
}

const PLAIN: ShapeStyle = {
  fill: null,
  stroke: 'ink',
  width: 0.35,
  dash: [],
  isBold: false,
  hasRoundEnds: false,
  halo: 0,
};
const PLAIN_TEXT: ShapeStyle = { ...PLAIN, fill: 'ink', stroke: null, halo: 0.9 };

/** By role; `a.b` holds for a shape that has both. Later ones win. */
const BY_ROLE: Readonly<Record<string, Partial<ShapeStyle>>> = {
  mat: { fill: 'sheet', width: 0.4 },
  base: { fill: 'mist', stroke: 'water', dash: [1.6, 1.2] },
  footprint: { fill: 'shallow', width: 0.45 },
  ghost: { stroke: 'faint', width: 0.5, dash: [1.2, 1.2] },
  prop: { fill: 'sand', width: 0.45 },
  strap: { width: 1.1, dash: [2.4, 0.7] },
  'body-outline': { fill: 'ink', width: 0.9 },
  'body-flesh': { stroke: null },
  'body-flesh.near': { fill: 'near-flesh' },
  'body-flesh.far': { fill: 'far-flesh' },
  joint: { fill: 'sheet' },
  floor: { width: 0.7 },
  plumb: { stroke: 'faint', dash: [4, 1.2, 0.6, 1.2] },
  'heel-line': { stroke: 'faint', dash: [4, 1.2, 0.6, 1.2] },
  extension: { stroke: 'faint', dash: [0.6, 1.4] },
  'weight-line': { stroke: 'faint', dash: [0.6, 1.4] },
  square: { stroke: 'faint', dash: [1.6, 1.2] },
  weight: { width: 0.5 },
  'pelvis-bar': { width: 4, hasRoundEnds: true },
  'pelvis-bar.inner': { stroke: 'sheet', width: 3 },
  'pelvis-pointer': { width: 0.6 },
  'pelvis-tip': { fill: 'ink', stroke: null },
  'heel-mark': { fill: 'ink', stroke: null },
  'give-or-take': { fill: 'shallow', stroke: 'water', width: 0.3 },
  cut: { stroke: 'faint', width: 0.2, dash: [2, 1.5] },
  bar: { width: 0.5 },
  // A line style for each school on one mat, by more than colour.
  'school-a': { width: 0.9 },
  'school-b': { stroke: 'water', width: 0.9, dash: [3, 1.4] },
  'school-c': { width: 0.9, dash: [0.7, 1.1] },
  'school-d': { stroke: 'water', width: 0.9, dash: [4, 1, 0.7, 1] },
  'foot-goes': { stroke: 'water', width: 1, hasRoundEnds: true },
  gravity: { width: 0.8, dash: [5, 1.4, 0.8, 1.4] },
  'gravity.other': { stroke: 'water', width: 0.7, dash: [2, 1.6] },
  'moment-arm': { width: 1.5 },
  'moment-arm.other': { stroke: 'water', width: 1.1, dash: [2, 1.6] },
  'other-body': { stroke: 'water', width: 1.3, dash: [3, 2], hasRoundEnds: true },
  pointer: { stroke: 'water', width: 1.5 },
  'pointer.thigh': { stroke: 'ink', width: 1 },
  'pointer.pelvis': { stroke: 'ink', width: 2 },
  'leg-line': { stroke: 'faint', width: 1.1, dash: [2, 1.6] },
  'ground-reaction': { stroke: 'water', width: 1.3 },
  enlarged: { fill: 'sheet', stroke: 'faint', width: 0.5 },
  'sign-body': { width: 2.2, hasRoundEnds: true },
  'sign-guide': { stroke: 'faint', width: 1.1, dash: [2, 2] },
  'sign-goes': { stroke: 'water', width: 2, hasRoundEnds: true },
};

const TEXT_BY_ROLE: Readonly<Record<string, Partial<ShapeStyle>>> = {
  label: { fill: 'faint' },
  ruler: { fill: 'faint' },
  edge: { fill: 'faint' },
  title: { isBold: true },
  number: { isBold: true },
  'number.stance': { halo: 3 },
};

/** Some demonstrations show a whole body and some a foot: their lines are as thick on the screen. */
const DEMONSTRATION: Readonly<Record<string, Partial<ShapeStyle>>> = {
  'body-outline': { width: 3 },
  plumb: { dash: [7, 5] },
  tape: { width: 3.5 },
  bone: { width: 2 },
  angle: { width: 3 },
  landmark: { fill: 'ink', stroke: 'sheet', width: 2 },
  instrument: { fill: 'sheet', width: 2 },
  wall: { width: 2.5 },
  floor: { width: 2.5 },
  stick: { width: 6 },
};
const DEMONSTRATION_WIDTH = 1.5;

function findIn(
  styles: Readonly<Record<string, Partial<ShapeStyle>>>,
  role: string,
): readonly Partial<ShapeStyle>[] {
  const words = role.split(' ');
  return Object.entries(styles)
    .filter(([selector]) => selector.split('.').every((word) => words.includes(word)))
    .map(([, style]) => style);
}

/**
 * The style of a shape by its kind and role.
 *
 * @param look of the drawing that it is part of
 * @returns all filled in
 */
export function findStyle({ kind, role }: Shape, look: Drawing['look'] = 'sheet'): ShapeStyle {
  if (kind === 'text')
    return Object.assign({}, PLAIN_TEXT, ...findIn(TEXT_BY_ROLE, role)) as ShapeStyle;
  const sheet = findIn(BY_ROLE, role);
  const own =
    look === 'sheet' ? [] : [{ width: DEMONSTRATION_WIDTH }, ...findIn(DEMONSTRATION, role)];
  return Object.assign({}, PLAIN, ...sheet, ...own) as ShapeStyle;
}

/**
 * A style as attributes of an SVG element, named as React names them.
 *
 * @param look of the drawing that it is part of
 * @returns attributes that React takes
 */
export function toSvgAttributes(
  { fill, stroke, width, dash, isBold, hasRoundEnds, halo }: ShapeStyle,
  { colours, bold }: Medium,
  look: Drawing['look'] = 'sheet',
): Readonly<Record<string, string | number>> {
  const edge = halo === 0 ? stroke : 'paper';
  return {
    fill: fill === null ? 'none' : colours[fill],
    ...(edge === null
      ? {}
      : {
          stroke: colours[edge],
          strokeWidth: halo === 0 ? width : halo,
          strokeLinejoin: 'round',
        }),
    ...(halo === 0 ? {} : { paintOrder: 'stroke' }),
    ...(hasRoundEnds ? { strokeLinecap: 'round' } : {}),
    ...(dash.length === 0 ? {} : { strokeDasharray: dash.join(' ') }),
    ...(isBold ? bold : {}),
    ...(look === 'demonstration' ? { vectorEffect: 'non-scaling-stroke' } : {}),
  };
}
