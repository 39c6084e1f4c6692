/** A point of the demonstrated body; without `other`, on the side that is measured. */
export type BodyPoint =
  | 'crown'
  | 'neck'
  | 'acromion'
  | 'other acromion'
  | 'elbow'
  | 'wrist'
  | 'other wrist'
  | 'palm'
  | 'fingertip'
  | 'knuckles inner'
  | 'knuckles outer'
  | 'asis'
  | 'other asis'
  | 'sacrum'
  | 'pelvis'
  | 'chest'
  | 'sit bone'
  | 'trochanter'
  | 'hip'
  | 'upper thigh'
  | 'knee'
  | 'ankle'
  | 'ankle start'
  | 'heel'
  | 'arch'
  | 'ball inner'
  | 'ball outer'
  | 'toe';

/** A leg by its joint angles, degrees; what is left out is 0. */
interface LegByAngles {
  readonly flexion?: number;
  readonly abduction?: number;
  /** + outward. */
  readonly rotation?: number;
  readonly knee?: number;
  readonly toeOut?: number;
}

/** A leg by where its foot is, from straight below or beyond the hip, cm; the knee follows. */
interface LegToFoot {
  readonly foot: { readonly ahead?: number; readonly outward?: number };
}

export type LegDemonstration = LegByAngles | LegToFoot;

/** What is read off the posed body. */
type ReadingMark =
  | {
      readonly kind: 'tape';
      readonly from: BodyPoint;
      readonly to: BodyPoint | 'floor';
    }
  | { readonly kind: 'girth'; readonly at: BodyPoint }
  | {
      readonly kind: 'angle';
      readonly at: BodyPoint;
      readonly to: BodyPoint;
      /** Where the angle is counted from. */
      readonly from: 'straight up' | 'leg line' | 'thigh line' | 'across the pelvis';
    };

/**
 * How a measure looks while it is taken, as data: the model poses a body by it and the
 * drawing marks its landmarks and the instrument. Angles in degrees, lengths in cm.
 */
export interface Demonstration {
  readonly base: 'standing' | 'on the back' | 'face down' | 'soles together' | 'sitting';
  readonly seenFrom: 'the side' | 'the front' | 'the feet' | 'above';
  readonly measured?: LegDemonstration;
  readonly other?: LegDemonstration;
  /** Pelvis lowered and moved ahead of the feet, cm, and tilted forward, degrees. */
  readonly pelvis?: { readonly down?: number; readonly ahead?: number; readonly tilt?: number };
  /** Chest against pelvis, degrees: + forward, + to the left, + to the left. */
  readonly spine?: {
    readonly flexion?: number;
    readonly sideBend?: number;
    readonly turn?: number;
  };
  readonly arms?: 'beside' | 'out' | 'forward' | 'down';
  readonly reads: ReadingMark | null;
  /** What stands about. */
  readonly thing?: 'wall' | 'seat' | 'stick';
  /** Only this part is drawn, when what is read is small. */
  readonly near?: BodyPoint;
}
