import type { MeasureId } from '../measures/protocols/index.ts';

/** Lying and seated forms: computed in the plane of the floor, without the solver. */
export type LyingFormId =
  | 'lying-warrior-two'
  | 'lying-side-angle'
  | 'lying-triangle'
  | 'lying-warrior-one'
  | 'lying-revolved-side-angle'
  | 'lying-hand-to-foot'
  | 'lying-pyramid'
  | 'lying-crossed-twist'
  | 'staff'
  | 'bound-angle'
  | 'seated-straddle';

export interface LyingPose {
  readonly id: LyingFormId;
  readonly name: string;
  readonly sanskrit: string;
  /** The standing pose it stands in for, when it does. */
  readonly swapFor: readonly string[];
  readonly needs: readonly MeasureId[];
}

const OPEN: readonly MeasureId[] = ['hip-opening'];

export const LYING_POSES: readonly LyingPose[] = [
  {
    id: 'lying-warrior-two',
    name: 'Lying warrior II',
    sanskrit: 'Supta Virabhadrasana II',
    swapFor: ['warrior-two', 'reverse-warrior'],
    needs: OPEN,
  },
  {
    id: 'lying-side-angle',
    name: 'Lying side angle',
    sanskrit: 'Supta Parshvakonasana',
    swapFor: ['side-angle'],
    needs: OPEN,
  },
  {
    id: 'lying-triangle',
    name: 'Lying triangle',
    sanskrit: 'Supta Trikonasana',
    swapFor: ['triangle', 'reverse-triangle'],
    needs: [],
  },
  {
    id: 'lying-warrior-one',
    name: 'Lying warrior I',
    sanskrit: 'Supta Virabhadrasana I',
    swapFor: ['warrior-one', 'high-lunge'],
    needs: ['hip-opening', 'hip-extension'],
  },
  {
    id: 'lying-revolved-side-angle',
    name: 'Lying revolved side angle',
    sanskrit: 'Supta Parivritta Parshvakonasana',
    swapFor: ['revolved-side-angle'],
    needs: ['hip-opening', 'trunk-rotation'],
  },
  {
    id: 'lying-hand-to-foot',
    name: 'Lying hand to foot',
    sanskrit: 'Supta Padangushthasana',
    swapFor: ['triangle', 'pyramid'],
    needs: ['straight-leg-raise'],
  },
  {
    id: 'lying-pyramid',
    name: 'Lying pyramid',
    sanskrit: 'Supta Parshvottanasana',
    swapFor: ['pyramid'],
    needs: ['straight-leg-raise'],
  },
  {
    id: 'lying-crossed-twist',
    name: 'Lying crossed twist',
    sanskrit: 'Supta Parivritta Padangushthasana',
    swapFor: ['revolved-half-moon', 'revolved-triangle'],
    needs: ['hip-adduction', 'trunk-rotation'],
  },
  {
    id: 'staff',
    name: 'Staff',
    sanskrit: 'Dandasana',
    swapFor: [],
    needs: ['straight-leg-raise'],
  },
  {
    id: 'bound-angle',
    name: 'Bound angle',
    sanskrit: 'Baddha Konasana',
    swapFor: ['tree'],
    needs: OPEN,
  },
  {
    id: 'seated-straddle',
    name: 'Seated straddle',
    sanskrit: 'Upavishtha Konasana',
    swapFor: ['wide-fold'],
    needs: ['straight-leg-raise', 'hip-abduction'],
  },
];

export const findLyingPose = (id: string): LyingPose | null =>
  LYING_POSES.find((pose) => pose.id === id) ?? null;
