import type { SolvedPose } from './solved.ts';
import type { Setting } from './setUp.ts';
import { calcFeetSettings, calcMatMarks } from './feetSettings.ts';
import { calcKneeSetting, calcAngleSettings, calcShapeSettings } from './shapeSettings.ts';
import { standsOnBentBackKnee } from '../poses/poseDefinition.ts';
import { calcHandSettings } from './handSettings.ts';
import { calcElbowSetting } from './handSupportSettings.ts';
import { calcSupportSettings } from './supportSettings.ts';

/**
 * Every number to set, each with the sum that a pencil can follow.
 *
 * @param solved the solved posture
 * @returns in the order of the catalogue of settings
 */
export function calcSettings(solved: SolvedPose): Setting[] {
  const { pose } = solved;
  return [
    ...calcFeetSettings(solved),
    calcKneeSetting(solved, 'front'),
    ...(standsOnBentBackKnee(pose) ? [calcKneeSetting(solved, 'back')] : []),
    ...calcAngleSettings(solved),
    ...calcShapeSettings(solved),
    ...calcHandSettings(solved),
    ...calcElbowSetting(solved),
    ...calcSupportSettings(solved),
    ...calcMatMarks(solved),
  ];
}
