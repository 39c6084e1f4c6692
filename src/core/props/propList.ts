/** Kinds of props; what stacks on what depends on the kind alone. `own` = a stool, a box, a sill. */
export const PROP_KINDS = [
  'block',
  'chair',
  'blanket',
  'bolster',
  'pad',
  'wedge',
  'strap',
  'mat',
  'book',
  'own',
] as const;
export type PropKind = (typeof PROP_KINDS)[number];

/** One kind of thing in a studio's cupboard. */
export interface PropItem {
  readonly id: string;
  readonly kind: PropKind;
  readonly name: string;
  /** Heights it can stand at, cm, lowest first: three faces of a block, one of anything else. */
  readonly heightsCm: readonly number[];
  /** Length of a strap or a mat, cm; null for everything else. */
  readonly lengthCm: number | null;
  readonly count: number;
  /** Whether it stands firm under a hand that bears weight; left out = as its kind usually does. */
  readonly isFirm?: boolean;
  /** A mat's width, cm. */
  readonly widthCm?: number;
  /** A chair's rail above the floor, and its seat from front to back, cm. */
  readonly railCm?: number;
  readonly depthCm?: number;
}

/** What may be marked as firm under a hand at all. */
const MAY_BEAR_HAND: readonly PropKind[] = ['block', 'chair', 'blanket', 'bolster', 'book', 'own'];
/** What is firm unless it is marked otherwise. Common practice, no source: books slide. */
const USUALLY_FIRM: readonly PropKind[] = ['block', 'chair', 'blanket', 'bolster'];

/**
 * Whether a thing of this kind may be marked as firm under a hand.
 *
 * @param kind of the thing
 * @returns false for what is soft, thin or slides
 */
export const mayBearHand = (kind: PropKind): boolean => MAY_BEAR_HAND.includes(kind);

/**
 * Whether a thing stands firm under a hand that bears weight.
 *
 * @param item of the cupboard
 * @returns as it is marked; without a mark, as its kind usually does
 */
export const isFirmUnderHand = ({ kind, isFirm }: PropItem): boolean =>
  mayBearHand(kind) && (isFirm ?? USUALLY_FIRM.includes(kind));

/** What a studio usually has. General knowledge, no source; a studio enters its own sizes once. */
export const USUAL_PROPS: readonly PropItem[] = [
  { id: 'block', kind: 'block', name: 'Block', heightsCm: [7.5, 15, 23], lengthCm: null, count: 4 },
  {
    id: 'chair',
    kind: 'chair',
    name: 'Chair',
    heightsCm: [45],
    lengthCm: null,
    count: 1,
    railCm: 82,
    depthCm: 40,
  },
  {
    id: 'blanket',
    kind: 'blanket',
    name: 'Folded blanket',
    heightsCm: [4],
    lengthCm: null,
    count: 2,
  },
  { id: 'bolster', kind: 'bolster', name: 'Bolster', heightsCm: [17], lengthCm: null, count: 1 },
  { id: 'pad', kind: 'pad', name: 'Knee pad', heightsCm: [2.5], lengthCm: null, count: 2 },
  { id: 'wedge', kind: 'wedge', name: 'Heel wedge', heightsCm: [4], lengthCm: null, count: 2 },
  { id: 'strap', kind: 'strap', name: 'Strap', heightsCm: [0.3], lengthCm: 240, count: 2 },
];
