import type { MeasureId } from '../../measures/protocols/index.ts';

/** A movement that warms up: repeated with the breath, never held at its end. */
export interface WarmUp {
  readonly id: string;
  readonly name: string;
  /** The linking pose that it is done in. */
  readonly at: string;
  /** Done once on each side; otherwise both sides share it. */
  readonly hasSides: boolean;
  /** How often, when nothing else is said; each takes one breath. */
  readonly times: number;
  /** The ranges that it goes into, and how far, as a share of each. Our choice. */
  readonly asks: readonly { readonly measure: MeasureId; readonly share: number }[];
  /** How it is said, in one sentence. */
  readonly say: string;
}

const movement = (
  id: string,
  name: string,
  at: string,
  times: number,
  asks: WarmUp['asks'],
  say: string,
  hasSides = false,
): WarmUp => ({
  id,
  name,
  at,
  times,
  asks,
  say,
  hasSides,
});

/** Movements that warm up, from the floor up. Common practice, no source. */
export const WARM_UPS: readonly WarmUp[] = [
  movement(
    'pelvis-rocks',
    'Pelvis rocks, lying',
    'rest',
    8,
    [{ measure: 'trunk-extension', share: 0.3 }],
    'Knees bent, feet down: breathe in and let the low back lift, breathe out and let it sink.',
  ),
  movement(
    'knee-to-chest',
    'Knee to chest, lying',
    'rest',
    6,
    [{ measure: 'hip-flexion', share: 0.55 }],
    'Breathe out and draw one knee in, breathe in and let it float away.',
    true,
  ),
  movement(
    'lying-leg-lifts',
    'Leg lifts, lying',
    'rest',
    6,
    [{ measure: 'straight-leg-raise', share: 0.5 }],
    'Other knee bent: breathe in and lift the straight leg, breathe out and lower it.',
    true,
  ),
  movement(
    'lying-knee-drops',
    'Knees from side to side, lying',
    'rest',
    8,
    [
      { measure: 'trunk-rotation', share: 0.4 },
      { measure: 'hip-adduction', share: 0.3 },
    ],
    'Knees bent and together: let them sink to one side and then the other.',
  ),
  movement(
    'seated-knee-drops',
    'Knee drops, seated',
    'cross-legged',
    8,
    [
      { measure: 'hip-external-rotation', share: 0.5 },
      { measure: 'hip-internal-rotation', share: 0.5 },
    ],
    'Feet wide, hands behind: let both knees sink to one side and then the other.',
  ),
  movement(
    'seated-turns',
    'Turns, seated',
    'cross-legged',
    6,
    [{ measure: 'trunk-rotation', share: 0.5 }],
    'Sit tall: breathe in and grow, breathe out and turn to one side, then to the other.',
  ),
  movement(
    'seated-side-bends',
    'Side bends, seated',
    'cross-legged',
    6,
    [{ measure: 'trunk-side-bend', share: 0.5 }],
    'One hand down beside the hip: breathe in and reach the other arm over, breathe out and come back.',
  ),
  movement(
    'knee-openers',
    'Knees in and out, soles together',
    'cross-legged',
    8,
    [{ measure: 'hip-opening', share: 0.5 }],
    'Soles together: breathe in and lift the knees, breathe out and let them sink.',
  ),
  movement(
    'round-and-hollow',
    'Round and hollow, on hands and knees',
    'tabletop',
    8,
    [{ measure: 'trunk-extension', share: 0.5 }],
    'Hands and knees down: breathe in and lengthen the front, breathe out and round the back.',
  ),
  movement(
    'rocks-back',
    'Rocks back, one leg out to the side',
    'tabletop',
    6,
    [{ measure: 'hip-abduction', share: 0.6 }],
    'On hands and knees, one leg straight out to the side: breathe out and rock the hips back.',
    true,
  ),
  movement(
    'lunge-rocks',
    'Lunge rocks, back knee down',
    'kneeling',
    6,
    [
      { measure: 'hip-extension-bent-knee', share: 0.6 },
      { measure: 'ankle-dorsiflexion-bent', share: 0.6 },
    ],
    'Back knee on its pad: breathe in and come ahead over the front foot, breathe out and draw back.',
    true,
  ),
  movement(
    'heel-rocks',
    'Heel rocks, standing',
    'front-of-mat',
    8,
    [
      { measure: 'ankle-dorsiflexion-bent', share: 0.5 },
      { measure: 'ankle-dorsiflexion-straight', share: 0.5 },
    ],
    'One hand at a wall: breathe in and rise onto the balls of the feet, breathe out and sink into soft knees.',
  ),
  movement(
    'leg-swings',
    'Leg swings, standing',
    'front-of-mat',
    8,
    [
      { measure: 'straight-leg-raise', share: 0.5 },
      { measure: 'hip-extension', share: 0.5 },
    ],
    'One hand at a wall: let one leg swing ahead and behind, no higher than it goes by itself.',
    true,
  ),
];

/**
 * A movement that warms up.
 *
 * @param id its name in files and links
 * @returns null when there is none
 * @example
 * findWarmUp('leg-swings').times // → 8
 */
export const findWarmUp = (id: string): WarmUp | null =>
  WARM_UPS.find((each) => each.id === id) ?? null;
