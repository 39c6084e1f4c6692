/** What a pose's conditions may speak about; solver/quantities.ts says how each is calculated. */
export type QuantityId =
  | 'stance'
  | 'back-foot-angle'
  | 'front-knee-bend'
  | 'front-knee-ahead-of-ankle'
  | 'front-knee-beside-ankle'
  | 'pelvis-turn'
  | 'pelvis-tilt'
  | 'pelvis-level'
  | 'trunk-lean'
  | 'trunk-lean-across'
  | 'chest-turn'
  | 'chest-forward-along'
  | 'chest-forward-up'
  | 'spine-flexion'
  | 'spine-side-bend'
  | 'spine-rotation'
  | 'weight-inside-base';
