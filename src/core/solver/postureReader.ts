import type { PoseTask } from '../conditions/poseTask.ts';
import { countUnknowns, findMoved, stepPosture, type Posture } from '../skeleton/posture.ts';
import type { Readings } from '../conditions/readings.ts';
import { buildSkeleton, type Skeleton } from '../skeleton/skeleton.ts';

/** Of forward differences, metres or radians. */
const DIFFERENCE_STEP = 1e-7;
const PER_STEP = 1 / DIFFERENCE_STEP;

/** Reads one task's postures, and how what is read changes beside them. */
export class PostureReader {
  private readonly unknowns: number;
  private readonly values: Float64Array;
  private readonly probed: Float64Array;
  private readonly probe: Float64Array;
  private readonly defined: Int32Array;

  /** @param last a skeleton of the task, to begin with */
  constructor(
    private readonly task: PoseTask,
    private readonly readings: Readings,
    private last: Skeleton,
  ) {
    this.unknowns = countUnknowns(task.free);
    this.values = new Float64Array(readings.length);
    this.probed = new Float64Array(readings.length);
    this.probe = new Float64Array(this.unknowns);
    this.defined = new Int32Array(readings.length);
    readings.read(last, this.values);
  }

  build(posture: Posture): Skeleton {
    const { figure, contacts } = this.task;
    return buildSkeleton(figure, contacts, posture);
  }

  /** @returns every reading; written over by the next call */
  read(posture: Posture): Float64Array {
    if (this.last.posture === posture) return this.values;
    this.last = this.build(posture);
    this.readings.read(this.last, this.values);
    return this.values;
  }

  /**
   * Writes how every reading changes with every unknown at a posture, by forward
   * differences. A reading that leaps or is not defined beside it counts as unchanged.
   *
   * @param changes rows of as many numbers as there are unknowns, one row a reading
   */
  readChanges(posture: Posture, changes: Float64Array): void {
    const { unknowns, probe, probed, defined, readings } = this;
    const { figure, contacts, free } = this.task;
    const values = this.read(posture);
    const here = this.last;
    const count = this.findDefined(changes);
    for (let j = 0; j < unknowns; j += 1) {
      probe[j] = DIFFERENCE_STEP;
      const beside = stepPosture(posture, probe, free);
      probe[j] = 0;
      const moved = findMoved(j);
      readings.read(buildSkeleton(figure, contacts, beside, { skeleton: here, moved }), probed);
      for (let k = 0; k < count; k += 1) {
        const i = defined[k]!;
        const change = (probed[i]! - values[i]!) * PER_STEP;
        changes[i * unknowns + j] = Number.isFinite(change) ? change : 0;
      }
    }
  }

  /** Lists the readings that are defined, and counts them; the rows of the others are cleared. */
  private findDefined(changes: Float64Array): number {
    const { unknowns, values, defined } = this;
    let count = 0;
    for (let i = 0; i < values.length; i += 1) {
      if (Number.isFinite(values[i])) {
        defined[count] = i;
        count += 1;
      } else changes.fill(0, i * unknowns, (i + 1) * unknowns);
    }
    return count;
  }
}
