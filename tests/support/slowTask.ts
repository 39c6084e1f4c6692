import { calcBody } from '../../src/core/body/body.ts';
import { calcMeasureSet } from '../../src/core/measures/measureSet.ts';
import { findPose } from '../../src/core/poses/catalogue/index.ts';
import { recordOf, type Measures } from './people.ts';
import { planPlain, settingOf } from './plan.ts';
import type { SlowTask } from './slowSearch.ts';

/** Poses that the slow search knows how to stand in. */
export const SEARCHED_POSES = [
  'warrior-two',
  'warrior-one',
  'high-lunge',
  'triangle',
  'pyramid',
  'wide-fold',
] as const;

/** What the slow search is told of a body and a pose; where both legs are straight, also the stance. */
export function makeSlowTask(
  measures: Measures,
  id: (typeof SEARCHED_POSES)[number],
  setUp = planPlain(measures, id),
): SlowTask {
  const pose = findPose(id)!;
  const body = calcBody(calcMeasureSet(recordOf(measures).readings));
  if (!body.ok) throw new Error(body.problems[0]?.message);
  const { footLength, hipCentreDistance, fistWidth } = body.value;
  const isFree = !pose.straightLegs.includes('front') || setUp.status === 'failed';
  return {
    pose,
    body: body.value,
    ranges: measures,
    stance: isFree ? null : settingOf(setUp, 'stance-length') / 100,
    width: (yaw) =>
      ({
        'heel-to-arch': -0.4 * footLength * Math.sin((yaw * Math.PI) / 180),
        'heel-to-heel': 0,
        'hip-width': hipCentreDistance,
        'two-fists': 2 * fistWidth,
      })[pose.heelLine],
  };
}
