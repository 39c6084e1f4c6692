import { type MeasureId, getProtocol } from '../measures/protocols/index.ts';
import { type MeasureSet, findValue } from '../measures/measureSet.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { type Problem, problem } from '../problems/problem.ts';
import { SIDES } from '../measures/protocol.ts';

/** Even a provisional set-up rests on these. */
const PROVISIONAL_NEEDS: readonly MeasureId[] = [
  'stature',
  'trochanter-height',
  'hip-opening',
  'straight-leg-raise',
];

/**
 * Measures that are needed and were never taken, one problem a measure and side.
 *
 * @param set values of one person
 * @param needs the measures
 * @param namePoses the names of the poses that a measure holds up
 * @returns none when all were taken
 */
export const findMissing = (
  set: MeasureSet,
  needs: readonly MeasureId[],
  namePoses: (measure: MeasureId) => readonly string[],
): Problem[] =>
  needs.flatMap((measure) => {
    const protocol = getProtocol(measure);
    return (protocol.sided ? SIDES : [null])
      .filter((side) => findValue(set, measure, side) === null)
      .map((side) =>
        problem('missing-measure', side === null ? measure : `${measure} ${side}`, {
          measure: protocol.name,
          side: side === null ? '' : `, ${side},`,
          poses: namePoses(measure),
        }),
      );
  });

/**
 * Measures a pose needs and this person lacks, each as a problem that names the poses it holds up.
 *
 * @param set values of one person
 * @param rules house rules, all filled in
 * @param pose the pose's data
 * @param allPoses the catalogue
 * @returns none when all were taken
 */
export const findMissingMeasures = (
  set: MeasureSet,
  rules: HouseRules,
  pose: PoseDefinition,
  allPoses: readonly PoseDefinition[],
): Problem[] =>
  findMissing(set, rules.provisional ? PROVISIONAL_NEEDS : pose.needs, (measure) =>
    allPoses
      .filter((each) => each === pose || each.needs.includes(measure))
      .map((each) => each.name),
  );
