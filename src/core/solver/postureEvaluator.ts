import type { PoseTask } from '../conditions/poseTask.ts';
import { countUnknowns, stepPosture, type Posture } from '../skeleton/posture.ts';
import type { Observables } from '../conditions/observables.ts';
import { buildSkeleton, type Skeleton } from '../skeleton/skeleton.ts';

/** Of forward differences, metres or radians. */
const DIFFERENCE_STEP = 1e-7;
const PER_STEP = 1 / DIFFERENCE_STEP;

/** Evaluates the observables of one task's postures, and their Jacobian by forward differences. */
export class PostureEvaluator {
  private readonly unknowns: number;
  private readonly values: Float64Array;
  private readonly probed: Float64Array;
  private readonly probe: Float64Array;
  private readonly defined: Int32Array;

  /** @param last a skeleton of the task, to begin with */
  constructor(
    private readonly task: PoseTask,
    private readonly observables: Observables,
    private last: Skeleton,
  ) {
    this.unknowns = countUnknowns(task.free);
    this.values = new Float64Array(observables.length);
    this.probed = new Float64Array(observables.length);
    this.probe = new Float64Array(this.unknowns);
    this.defined = new Int32Array(observables.length);
    observables.read(last, this.values);
  }

  build(posture: Posture): Skeleton {
    const { body, contacts } = this.task;
    return buildSkeleton(body, contacts, posture);
  }

  /** @returns every observable; overwritten by the next call */
  evaluate(posture: Posture): Float64Array {
    if (this.last.posture === posture) return this.values;
    this.last = this.build(posture);
    this.observables.read(this.last, this.values);
    return this.values;
  }

  /**
   * Writes the derivatives of every observable with respect to every unknown. One that jumps, or
   * is not defined nearby, counts as constant.
   *
   * @param jacobian row-major: one row an observable, one column an unknown
   */
  writeJacobian(posture: Posture, jacobian: Float64Array): void {
    const { unknowns, probe, probed, defined, observables } = this;
    const { body, contacts, free } = this.task;
    const values = this.evaluate(posture);
    const { corners } = this.last;
    const count = this.findDefined(jacobian);
    for (let j = 0; j < unknowns; j += 1) {
      probe[j] = DIFFERENCE_STEP;
      const nearby = stepPosture(posture, probe, free);
      probe[j] = 0;
      observables.read(buildSkeleton(body, contacts, nearby, corners), probed);
      for (let k = 0; k < count; k += 1) {
        const i = defined[k]!;
        const change = (probed[i]! - values[i]!) * PER_STEP;
        jacobian[i * unknowns + j] = Number.isFinite(change) ? change : 0;
      }
    }
  }

  /** Lists the observables that are defined, and counts them; the rows of the others are cleared. */
  private findDefined(jacobian: Float64Array): number {
    const { unknowns, values, defined } = this;
    let count = 0;
    for (let i = 0; i < values.length; i += 1) {
      if (Number.isFinite(values[i])) {
        defined[count] = i;
        count += 1;
      } else jacobian.fill(0, i * unknowns, (i + 1) * unknowns);
    }
    return count;
  }
}
