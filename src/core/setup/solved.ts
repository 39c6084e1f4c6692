import type { Body } from '../body/body.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { Side } from '../measures/protocol.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { CanonicalBody } from '../skeleton/canonicalBody.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { StancePlan } from '../planning/stance.ts';
import type { HeelLine } from '../planning/heelLine.ts';
import type { MatFit } from './mat.ts';
import type { DepthReport } from './setUp.ts';
import type { WorkingStep } from '../planning/working.ts';

/** Inputs to the settings. */
export interface SolvedPose {
  readonly pose: PoseDefinition;
  readonly rules: HouseRules;
  readonly body: Body;
  readonly frontSide: Side;
  readonly canonicalBody: CanonicalBody;
  readonly skeleton: Skeleton;
  readonly stance: StancePlan;
  readonly heelLine: HeelLine;
  readonly mat: MatFit;
  /** How the depths came about. */
  readonly depths: readonly (DepthReport | null)[];
  /** Joints at their limit, listed beneath the arithmetic of every solved number. */
  readonly limitSteps: readonly WorkingStep[];
}
