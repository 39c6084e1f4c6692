/**
 * A sum of squares near one state: residuals that are straight in what is read off the
 * state, and readings that are taken as straight in its unknowns.
 */
import { addOuter, addRow, isStill } from './rows.ts';

export interface Residuals {
  /** Each costs its square. */
  readonly twoSided: Float64Array;
  /** Each costs its square while positive, and nothing below. */
  readonly oneSided: Float64Array;
}

/** What a task's residuals are told from, the same whatever the state. */
export interface ResidualShape {
  readonly unknowns: number;
  readonly readings: number;
  /** The reading of each two-sided residual. */
  readonly twoSided: Int32Array;
  /** That of each one-sided residual, and another one that it may run along. */
  readonly oneSided: Int32Array;
  readonly oneSidedAlong: Int32Array;
}

export interface Slopes {
  /** How each reading changes with each unknown: rows of as many as there are unknowns, one a reading. */
  readonly changes: Float64Array;
  /** How each residual changes with its reading, and with the one it runs along. */
  readonly twoSided: Float64Array;
  readonly oneSided: Float64Array;
  readonly oneSidedAlong: Float64Array;
}

/** Some one-sided residuals, one after the other: an inner model asks for nothing else of them. */
interface Moving {
  count: number;
  /** Their index among all. */
  readonly index: Int32Array;
  /** At the state. */
  readonly value: Float64Array;
  /** Their readings, and how they change with them. */
  readonly own: Int32Array;
  readonly along: Int32Array;
  readonly byOwn: Float64Array;
  readonly byAlong: Float64Array;
}

/** Residuals and their slopes at one state. */
export class LinearModel {
  readonly slopes: Slopes;
  /** The one-sided residuals that a step can change at all. */
  readonly moving: Moving;
  /** Readings that those are told from. */
  readonly needed: Int32Array;
  neededCount = 0;
  /** Normal matrix (lower half) and gradient of the two-sided part. */
  readonly normal: Float64Array;
  readonly gradient: Float64Array;
  private readonly isStill: Uint8Array;
  private readonly isNeeded: Uint8Array;

  /** @param shape of the residuals it takes; another one of the same size may follow */
  constructor(public shape: ResidualShape) {
    const { unknowns, readings, twoSided, oneSided } = shape;
    this.slopes = {
      changes: new Float64Array(readings * unknowns),
      twoSided: new Float64Array(twoSided.length),
      oneSided: new Float64Array(oneSided.length),
      oneSidedAlong: new Float64Array(oneSided.length),
    };
    this.moving = {
      count: 0,
      index: new Int32Array(oneSided.length),
      value: new Float64Array(oneSided.length),
      own: new Int32Array(oneSided.length),
      along: new Int32Array(oneSided.length),
      byOwn: new Float64Array(oneSided.length),
      byAlong: new Float64Array(oneSided.length),
    };
    this.needed = new Int32Array(readings);
    this.normal = new Float64Array(unknowns * unknowns);
    this.gradient = new Float64Array(unknowns);
    this.isStill = new Uint8Array(readings);
    this.isNeeded = new Uint8Array(readings);
  }

  /** Takes residuals and the slopes that were written. */
  take(at: Residuals): void {
    const { shape, normal, gradient, isStill: still, isNeeded } = this;
    const { changes, twoSided } = this.slopes;
    const n = shape.unknowns;
    for (let r = 0; r < shape.readings; r += 1) still[r] = isStill(changes, r * n, n) ? 1 : 0;
    normal.fill(0);
    gradient.fill(0);
    for (let i = 0; i < twoSided.length; i += 1) {
      const reading = shape.twoSided[i]!;
      if (still[reading] === 1) continue;
      const by = twoSided[i]!;
      addOuter(normal, changes, reading * n, n, by * by);
      addRow(gradient, changes, reading * n, by * at.twoSided[i]!);
    }
    isNeeded.fill(0);
    this.moving.count = 0;
    this.neededCount = 0;
    for (let i = 0; i < shape.oneSided.length; i += 1) this.addMoving(i, at.oneSided[i]!);
    for (let r = 0; r < shape.readings; r += 1) {
      if (isNeeded[r] === 0) continue;
      this.needed[this.neededCount] = r;
      this.neededCount += 1;
    }
  }

  private addMoving(i: number, value: number): void {
    const { shape, slopes, moving, isStill: still, isNeeded } = this;
    const [own, along] = [shape.oneSided[i]!, shape.oneSidedAlong[i]!];
    const [byOwn, byAlong] = [slopes.oneSided[i]!, slopes.oneSidedAlong[i]!];
    const isByOwn = byOwn !== 0 && still[own] === 0;
    const isByAlong = byAlong !== 0 && still[along] === 0;
    if (!isByOwn && !isByAlong) return;
    if (isByOwn) isNeeded[own] = 1;
    if (isByAlong) isNeeded[along] = 1;
    const m = moving.count;
    moving.index[m] = i;
    moving.value[m] = value;
    moving.own[m] = own;
    moving.along[m] = along;
    moving.byOwn[m] = byOwn;
    moving.byAlong[m] = byAlong;
    moving.count += 1;
  }

  /** Slopes of the halved cost: every residual's slope times the residual, one-sided ones while on. */
  calcSlopesTimes(residuals: Residuals, byReading: Float64Array, sum: Float64Array): void {
    const { shape, slopes } = this;
    byReading.fill(0);
    for (let i = 0; i < shape.twoSided.length; i += 1) {
      byReading[shape.twoSided[i]!]! += slopes.twoSided[i]! * residuals.twoSided[i]!;
    }
    for (let i = 0; i < shape.oneSided.length; i += 1) {
      const value = residuals.oneSided[i]!;
      if (value <= 0) continue;
      byReading[shape.oneSided[i]!]! += slopes.oneSided[i]! * value;
      byReading[shape.oneSidedAlong[i]!]! += slopes.oneSidedAlong[i]! * value;
    }
    sum.fill(0);
    for (let r = 0; r < shape.readings; r += 1) {
      if (byReading[r] !== 0) addRow(sum, slopes.changes, r * shape.unknowns, byReading[r]!);
    }
  }
}
