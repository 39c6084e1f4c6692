import { findPose } from '../poses/catalogue/index.ts';

/**
 * The poses that follow each other on unmoved feet around one of them: one number serves them all.
 *
 * @param poses of the class, in order
 * @param pose one of them
 * @returns in order; the pose alone where nothing next to it shares its feet
 */
export function listSameFeet(poses: readonly string[], pose: string): readonly string[] {
  const blueprintOf = (id: string | undefined): string | null =>
    (id === undefined ? null : findPose(id)?.blueprint) ?? null;
  const blueprint = blueprintOf(pose);
  const at = poses.indexOf(pose);
  if (blueprint === null || at < 0) return [pose];
  let [from, to] = [at, at];
  while (blueprintOf(poses[from - 1]) === blueprint) from -= 1;
  while (blueprintOf(poses[to + 1]) === blueprint) to += 1;
  return poses.slice(from, to + 1);
}
