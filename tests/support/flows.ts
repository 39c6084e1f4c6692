import type { PlanningContext } from '../../src/core/planning/planningContext.ts';
import { FlowPlanner } from '../../src/core/sequence/flowPlanner.ts';
import { readNoted } from '../../src/core/sessions/noted.ts';
import type { Session } from '../../src/core/sessions/session.ts';
import type { Side } from '../../src/core/measures/protocol.ts';
import { findAnyPose } from '../../src/core/poses/anyPose.ts';
import { estimateFeetPlaces, USUAL_BUILD } from '../../src/core/sequence/feetPlaces.ts';
import type { Flow, FlowStep } from '../../src/core/sequence/flow.ts';
import type { Place, Terrain } from '../../src/core/sequence/ways.ts';

/** A step, said shortly: `side-angle right`, `downward-dog`, `~ round-and-hollow`. */
export function stepOf(words: string, i: number, manner?: FlowStep['manner']): FlowStep {
  const [first = '', second] = words.split(' ');
  const common = { id: String(i + 1), manner: manner ?? { kind: 'held', breaths: 5 } } as const;
  if (first === '~') {
    const repeated = { kind: 'rhythm', times: 6 } as const;
    return { ...common, kind: 'warm-up', movement: second!, side: null, manner: repeated };
  }
  if (findAnyPose(first)?.kind === 'linking') return { ...common, kind: 'link', pose: first };
  return { ...common, kind: 'pose', pose: first, level: 'auto', side: (second ?? 'right') as Side };
}

export const flowOf = (...steps: readonly string[]): Flow => ({
  id: 'flow',
  name: 'Test flow',
  peak: null,
  minutes: null,
  steps: steps.map((each, i) => stepOf(each, i)),
});

export const placeOf = (pose: string, side: Side = 'right'): Place => ({
  pose,
  side: findAnyPose(pose)!.hasSides ? side : null,
});

/** Feet of a usual body, and nothing that is left out. */
export const OPEN_TERRAIN: Terrain = {
  feetOf: ({ pose, side }) => estimateFeetPlaces(findAnyPose(pose)!, side ?? 'right', USUAL_BUILD),
  isExcluded: () => false,
};

/** A planner for a person, with what their sessions say. */
export const plannerOf = (
  context: PlanningContext,
  sessions: readonly Session[] = [],
): FlowPlanner => new FlowPlanner(context, {}, readNoted(sessions));
