/** Kinds of props; what stacks on what depends on the kind alone. */
type PropKind = 'block' | 'book' | 'chair' | 'blanket' | 'bolster' | 'pad' | 'wedge' | 'strap';

/** One kind of thing in a studio's cupboard. */
export interface PropItem {
  readonly id: string;
  readonly kind: PropKind;
  readonly name: string;
  /** Heights it can stand at, cm, lowest first: three faces of a block, one of anything else. */
  readonly heightsCm: readonly number[];
  /** A strap's length, cm; null for everything else. */
  readonly lengthCm: number | null;
  readonly count: number;
}

/** What a studio usually has. General knowledge, no source; a studio enters its own sizes once. */
export const USUAL_PROPS: readonly PropItem[] = [
  { id: 'block', kind: 'block', name: 'Block', heightsCm: [7.5, 15, 23], lengthCm: null, count: 4 },
  { id: 'chair', kind: 'chair', name: 'Chair', heightsCm: [45], lengthCm: null, count: 1 },
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
