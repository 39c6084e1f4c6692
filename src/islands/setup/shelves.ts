import { POSES } from '../../core/poses/catalogue/index.ts';
import { LYING_POSES } from '../../core/poses/lying/index.ts';

/** A pose as it stands on the shelf. */
export interface ShelfEntry {
  readonly id: string;
  readonly name: string;
  readonly sanskrit: string;
}

/** Every pose by family. */
export const SHELVES: readonly { readonly words: string; readonly poses: readonly ShelfEntry[] }[] =
  [
    { words: 'hips open', poses: POSES.filter((pose) => pose.family === 'open') },
    { words: 'hips closed', poses: POSES.filter((pose) => pose.family === 'closed') },
    { words: 'both feet alike', poses: POSES.filter((pose) => pose.family === 'neutral') },
    { words: 'lying and seated', poses: LYING_POSES },
  ];

/** The ids of all poses in the order in which keys lead through them. */
export const SHELF_ORDER: readonly string[] = SHELVES.flatMap(({ poses }) =>
  poses.map((pose) => pose.id),
);
