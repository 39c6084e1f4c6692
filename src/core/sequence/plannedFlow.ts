import type { Problem } from '../problems/problem.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { Asked } from './asked.ts';
import type { Flow, FlowStep } from './flow.ts';
import type { FeetPlaces } from './feetPlaces.ts';
import type { Mark } from './marks.ts';
import type { FootMove, HandPlace } from './moves.ts';
import type { PoseOnStance } from './sharedStance.ts';
import type { FlowSeconds } from './timing.ts';
import type { Passage, Place, Way } from './ways.ts';

/** One pose of a flow on the mat: a step of it, or a pose that is passed through on the way to one. */
export interface PlannedStep {
  /** Of the flow; a pose between has the index of the step that it leads to. */
  readonly index: number;
  /** null = a pose between, passed through for one breath. */
  readonly step: FlowStep | null;
  readonly place: Place;
  readonly name: string;
  /** How it is come into; null = the first one, or no way is known. */
  readonly passage: Passage | null;
  /** null = nothing of it is solved. */
  readonly setUp: SetUp | null;
  /** Why it has no set-up though it should; empty = it has one, or needs none. */
  readonly gap: readonly Problem[];
  /** Of each joint; nothing of a pose that is not solved, unless it is a warm-up. */
  readonly asked: readonly Asked[];
  /** On the mat: x = 0 at the front marks. */
  readonly feet: FeetPlaces;
  readonly hand: HandPlace | null;
  readonly moves: readonly FootMove[];
  /** Which run of poses on one stance it belongs to; null = it has feet of its own. */
  readonly run: number | null;
}

/** A step that is left out, and why. */
export interface LeftOut {
  readonly index: number;
  readonly step: FlowStep;
  readonly problems: readonly Problem[];
}

/** How a flow lies on the mat. */
export interface FlowOnMat {
  readonly lengthCm: number;
  readonly widthCm: number;
  /** From the mat's front edge back to the front marks, cm. */
  readonly frontMarksCm: number;
  /** By how much the flow is longer than the mat, cm; 0 = it fits. */
  readonly overCm: number;
}

/** Poses in a row on one stance. */
export interface FlowRun {
  /** Indexes into the planned steps, the first and the last of them with all between. */
  readonly from: number;
  readonly to: number;
  readonly stanceCm: number;
  readonly backFootDeg: number;
  /** The pose that loses most, and so sets the stance; null = none loses anything. */
  readonly setBy: string | null;
  readonly poses: readonly (Omit<PoseOnStance, 'setUp'> & {
    readonly pose: string;
    readonly level: string | null;
  })[];
}

/** How a step is come to. */
export interface StepWay {
  /** Of the step in the flow. */
  readonly index: number;
  readonly way: Way;
}

/** How long a step takes, with the way into it. */
export interface StepTime {
  /** Of the step in the flow. */
  readonly index: number;
  readonly seconds: number;
}

/** A flow as it is laid out for one person. */
export interface FlowLayout {
  readonly flow: Flow;
  readonly steps: readonly PlannedStep[];
  readonly leftOut: readonly LeftOut[];
  readonly runs: readonly FlowRun[];
  readonly marks: readonly Mark[];
  readonly mat: FlowOnMat;
  /** The way into each step that has one. */
  readonly ways: readonly StepWay[];
  readonly cost: number;
  /** Of each step that is done, with the way into it. */
  readonly times: readonly StepTime[];
  readonly seconds: FlowSeconds;
  readonly problems: readonly Problem[];
}
