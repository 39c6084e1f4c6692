import { SHORT_ROUND } from '../measures/rounds.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import { POSES } from '../poses/catalogue/index.ts';

/**
 * What has to be measured before these poses can be set up: the lengths of the body, and
 * the ranges that their musts need.
 *
 * @param poseIds the poses that count; those that are not known are passed over
 */
export function findShortRound(poseIds: readonly string[]): readonly MeasureId[] {
  const needed = new Set(
    POSES.filter((each) => poseIds.includes(each.id)).flatMap((each) => each.needs),
  );
  return SHORT_ROUND.filter((id) => getProtocol(id).unit === 'cm' || needed.has(id));
}
