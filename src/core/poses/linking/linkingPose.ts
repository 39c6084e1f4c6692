import type { TransitionDefinition } from '../transition.ts';

/** How far from the floor a body is held. */
export type Height = 'standing' | 'hands-and-feet' | 'kneeling' | 'seated' | 'lying';

/** A pose between others. It needs no numbers of a person: nothing of it is solved. */
export interface LinkingPose {
  readonly id: string;
  readonly name: string;
  /** Empty = it has none. */
  readonly sanskrit: string;
  readonly height: Height;
  /** `together`: next to each other under the hips; `none`: no foot has a place on the mat. */
  readonly feet: 'together' | 'none';
  readonly standsOnHands: boolean;
  /** Left out for people whose head has to stay above the heart. */
  readonly headBelowHeart: boolean;
  readonly effort: 'active' | 'passive';
  /** How long it is held when nothing else is said. */
  readonly breaths: number;
  /** How it is said, in one sentence. */
  readonly say: string;
  readonly transitions: readonly TransitionDefinition[];
}
