import { findPose } from '../poses/catalogue/index.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import type { Flow } from '../sequence/flow.ts';

/**
 * The poses that a flow holds, each once: what a class takes of it.
 *
 * @param flow of a person, or a template
 * @returns ids in the order in which they first come; links and warm-ups are led by voice
 */
export const listHeldPoses = ({ steps }: Flow): readonly string[] => [
  ...new Set(
    steps.flatMap((step) => {
      if (step.kind !== 'pose' || step.manner.kind === 'passed') return [];
      return findPose(step.pose) === null && findLyingPose(step.pose) === null ? [] : [step.pose];
    }),
  ),
];
