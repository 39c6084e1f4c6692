/**
 * A sum of squares linearised at one state. Residuals are linear, or bend once, in the observables of
 * a state; the observables are taken as linear in its unknowns.
 */
import { addOuter, addRow, isZeroRow } from './rows.ts';

export interface Residuals {
  /** Each costs its square. */
  readonly twoSided: Float64Array;
  /** Each costs its square while positive, and nothing below. */
  readonly oneSided: Float64Array;
}

/** Which observables a task's residuals depend on, the same whatever the state. */
export interface ResidualShape {
  readonly unknowns: number;
  readonly observables: number;
  /** The observable of each two-sided residual. */
  readonly twoSided: Int32Array;
  /** The observable of each one-sided residual, and a second one that its limit may depend on. */
  readonly oneSided: Int32Array;
  readonly oneSidedAlong: Int32Array;
}

export interface Derivatives {
  /** Of the observables with respect to the unknowns: one row an observable, one column an unknown. */
  readonly jacobian: Float64Array;
  /** Of each residual with respect to its observable, and to the second one. */
  readonly twoSided: Float64Array;
  readonly oneSided: Float64Array;
  readonly oneSidedAlong: Float64Array;
}

/** Those one-sided residuals that a step can change, packed together for the inner solver. */
interface Varying {
  count: number;
  /** Their index among all. */
  readonly index: Int32Array;
  /** At the state. */
  readonly value: Float64Array;
  /** Their two observables, and their derivatives with respect to them. */
  readonly own: Int32Array;
  readonly along: Int32Array;
  readonly byOwn: Float64Array;
  readonly byAlong: Float64Array;
}

/** Residuals and their derivatives at one state. */
export class LinearModel {
  readonly derivatives: Derivatives;
  readonly varying: Varying;
  /** The observables that those depend on. */
  readonly needed: Int32Array;
  neededCount = 0;
  /** Normal matrix (lower half) and gradient of the two-sided part. */
  readonly normal: Float64Array;
  readonly gradient: Float64Array;
  private readonly isConstant: Uint8Array;
  private readonly isNeeded: Uint8Array;

  /** @param shape of the residuals it takes; another one of the same size may follow */
  constructor(public shape: ResidualShape) {
    const { unknowns, observables, twoSided, oneSided } = shape;
    this.derivatives = {
      jacobian: new Float64Array(observables * unknowns),
      twoSided: new Float64Array(twoSided.length),
      oneSided: new Float64Array(oneSided.length),
      oneSidedAlong: new Float64Array(oneSided.length),
    };
    this.varying = {
      count: 0,
      index: new Int32Array(oneSided.length),
      value: new Float64Array(oneSided.length),
      own: new Int32Array(oneSided.length),
      along: new Int32Array(oneSided.length),
      byOwn: new Float64Array(oneSided.length),
      byAlong: new Float64Array(oneSided.length),
    };
    this.needed = new Int32Array(observables);
    this.normal = new Float64Array(unknowns * unknowns);
    this.gradient = new Float64Array(unknowns);
    this.isConstant = new Uint8Array(observables);
    this.isNeeded = new Uint8Array(observables);
  }

  /** Builds the model from residuals and from the derivatives that were written into it. */
  take(at: Residuals): void {
    const { shape, normal, gradient, isConstant, isNeeded } = this;
    const { jacobian, twoSided } = this.derivatives;
    const n = shape.unknowns;
    for (let r = 0; r < shape.observables; r += 1)
      isConstant[r] = isZeroRow(jacobian, r * n, n) ? 1 : 0;
    normal.fill(0);
    gradient.fill(0);
    for (let i = 0; i < twoSided.length; i += 1) {
      const observable = shape.twoSided[i]!;
      if (isConstant[observable] === 1) continue;
      const by = twoSided[i]!;
      addOuter(normal, jacobian, observable * n, n, by * by);
      addRow(gradient, jacobian, observable * n, by * at.twoSided[i]!);
    }
    isNeeded.fill(0);
    this.varying.count = 0;
    this.neededCount = 0;
    for (let i = 0; i < shape.oneSided.length; i += 1) this.addVarying(i, at.oneSided[i]!);
    for (let r = 0; r < shape.observables; r += 1) {
      if (isNeeded[r] === 0) continue;
      this.needed[this.neededCount] = r;
      this.neededCount += 1;
    }
  }

  private addVarying(i: number, value: number): void {
    const { shape, derivatives, varying, isConstant, isNeeded } = this;
    const [own, along] = [shape.oneSided[i]!, shape.oneSidedAlong[i]!];
    const [byOwn, byAlong] = [derivatives.oneSided[i]!, derivatives.oneSidedAlong[i]!];
    const isByOwn = byOwn !== 0 && isConstant[own] === 0;
    const isByAlong = byAlong !== 0 && isConstant[along] === 0;
    if (!isByOwn && !isByAlong) return;
    if (isByOwn) isNeeded[own] = 1;
    if (isByAlong) isNeeded[along] = 1;
    const m = varying.count;
    varying.index[m] = i;
    varying.value[m] = value;
    varying.own[m] = own;
    varying.along[m] = along;
    varying.byOwn[m] = byOwn;
    varying.byAlong[m] = byAlong;
    varying.count += 1;
  }

  /** Writes the gradient of half the cost; a one-sided residual counts while it is positive. */
  calcGradient(residuals: Residuals, byObservable: Float64Array, sum: Float64Array): void {
    const { shape, derivatives } = this;
    byObservable.fill(0);
    for (let i = 0; i < shape.twoSided.length; i += 1) {
      byObservable[shape.twoSided[i]!]! += derivatives.twoSided[i]! * residuals.twoSided[i]!;
    }
    for (let i = 0; i < shape.oneSided.length; i += 1) {
      const value = residuals.oneSided[i]!;
      if (value <= 0) continue;
      byObservable[shape.oneSided[i]!]! += derivatives.oneSided[i]! * value;
      byObservable[shape.oneSidedAlong[i]!]! += derivatives.oneSidedAlong[i]! * value;
    }
    sum.fill(0);
    for (let r = 0; r < shape.observables; r += 1) {
      if (byObservable[r] !== 0)
        addRow(sum, derivatives.jacobian, r * shape.unknowns, byObservable[r]!);
    }
  }
}
