import { FIST_WIDTH_CM, FOOT } from '../body/proportions.ts';
import type { Body } from '../body/body.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { cmFromMetres, degreesFromRadians, metresFromCm } from '../units/brands.ts';
import { term, type WorkingStep } from './working.ts';

/** Heel centre to arch, as a share of foot length. Our choice: the arch lies at half the foot. */
const HEEL_TO_ARCH_SHARE = 0.4;

export interface HeelLine {
  readonly rule: NonNullable<HouseRules['heelLine']>;
  /** Stance width, metres, + on the back leg's own side. */
  readonly width: (backFootYawRad: number) => number;
  readonly working: (backFootYawRad: number) => WorkingStep[];
}

/**
 * The front foot at one long edge of the mat, the back toes at the other: the back foot turns out, so
 * its heel stands farther in the more it is turned.
 */
function acrossTheMat(matWidthCm: number, body: Body): HeelLine {
  const halfFootCm = cmFromMetres(body.footWidth) / 2;
  const toTipCm = (FOOT.toe - FOOT.heelCentre) * cmFromMetres(body.footLength);
  const widthOf = (yaw: number): number =>
    matWidthCm - halfFootCm - Math.abs(toTipCm * Math.sin(yaw));
  return {
    rule: 'diagonal',
    width: (yaw) => metresFromCm(widthOf(yaw)),
    working: (yaw) => [
      term('the mat’s width', matWidthCm.toFixed(2), matWidthCm, 'cm'),
      term('less half the front foot', `-${halfFootCm.toFixed(2)}`, -halfFootCm, 'cm'),
      term(
        'less the back foot from heel to toes, by how far it turns out',
        `-${toTipCm.toFixed(2)} × sin(${degreesFromRadians(yaw).toFixed(2)}°)`,
        -toTipCm * Math.sin(yaw),
        'cm',
      ),
    ],
  };
}

const getRule = (pose: PoseDefinition, rules: HouseRules): HeelLine['rule'] =>
  rules.heelLine ?? (leavesHeelLineOpen(pose) ? rules.openHeelLine : pose.heelLine);

/**
 * Whether the heel line of a pose is the teacher's to choose.
 *
 * @param pose the pose's data
 * @returns true for the poses with open hips on two feet
 */
export const leavesHeelLineOpen = ({ heelLine }: PoseDefinition): boolean =>
  heelLine === 'heel-to-arch';

/**
 * How far apart the heels stand across the mat: a rule, never solved for.
 *
 * @param pose the pose's data
 * @param body lengths of the body, metres
 * @param rules house rules, all filled in
 * @returns the distance for any turn of the back foot, metres, with its sum
 */
export function findHeelLine(pose: PoseDefinition, body: Body, rules: HouseRules): HeelLine {
  const rule = getRule(pose, rules);
  const fixed = (metres: number, text: string, expression: string): HeelLine => ({
    rule,
    width: () => metres,
    working: () => [term(text, expression, cmFromMetres(metres), 'cm')],
  });
  const footCm = cmFromMetres(body.footLength);
  if (pose.matWidthCm !== undefined) return acrossTheMat(pose.matWidthCm, body);
  switch (rule) {
    case 'heel-to-heel':
      return fixed(0, 'heel to heel: both heels on one line', '0');
    case 'heel-to-arch':
      return {
        rule,
        width: (yaw) => -HEEL_TO_ARCH_SHARE * body.footLength * Math.sin(yaw),
        working: (yaw) => [
          term(
            'heel to arch: 0.40 of the foot, by how far the back foot turns out',
            `-0.40 × ${footCm.toFixed(2)} × sin(${degreesFromRadians(yaw).toFixed(2)}°)`,
            -HEEL_TO_ARCH_SHARE * footCm * Math.sin(yaw),
            'cm',
          ),
        ],
      };
    case 'hip-width': {
      const cm = cmFromMetres(body.hipCentreDistance);
      return fixed(body.hipCentreDistance, 'heels as far apart as the hip centres', cm.toFixed(2));
    }
    case 'two-fists': {
      const fist = cmFromMetres(body.fistWidth);
      return fixed(2 * body.fistWidth, 'heels two fists apart', `2 × ${fist.toFixed(2)}`);
    }
    case 'diagonal': {
      const cm = rules.heelLineCm ?? 2 * FIST_WIDTH_CM;
      return fixed(metresFromCm(cm), 'diagonal, as set by the teacher', cm.toFixed(2));
    }
  }
}
