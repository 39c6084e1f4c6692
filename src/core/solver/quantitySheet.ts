import type { QuantityId } from '../poses/quantityId.ts';
import { getQuantity } from './quantities.ts';
import type { Skeleton } from './skeleton.ts';

/** A condition on one of the quantities that are read off every skeleton: degrees, centimetres or tolerances. */
export interface Reading {
  /** Its quantity's place among those that are read. */
  readonly at: number;
  readonly goal: number;
  readonly perUnit: number;
}

/** The quantities that a task's conditions speak about, each calculated once a skeleton. */
export class QuantitySheet {
  private readonly ids: QuantityId[] = [];
  private readonly calcs: ((skeleton: Skeleton) => number)[] = [];
  private readonly values: number[] = [];

  /** Makes a condition ready to be read. */
  prepare(quantity: QuantityId, goal: number, perUnit: number): Reading {
    const found = this.ids.indexOf(quantity);
    if (found >= 0) return { at: found, goal, perUnit };
    this.ids.push(quantity);
    this.calcs.push(getQuantity(quantity).calc);
    this.values.push(0);
    return { at: this.ids.length - 1, goal, perUnit };
  }

  fill(skeleton: Skeleton): void {
    const { calcs, values } = this;
    for (let i = 0; i < calcs.length; i += 1) values[i] = calcs[i]!(skeleton);
  }

  read({ at, goal, perUnit }: Reading): number {
    return (this.values[at]! - goal) * perUnit;
  }
}
