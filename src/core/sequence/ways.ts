import { DirectedGraph } from 'graphology';
import type { AbstractGraph } from 'graphology-types';
import { dijkstra } from 'graphology-shortest-path';
import { SIDES, type Side } from '../measures/protocol.ts';
import { findAnyPose, type AnyPose } from '../poses/anyPose.ts';
import type { TransitionDefinition } from '../poses/transition.ts';
import type { FeetPlaces } from './feetPlaces.ts';
import { enterPose, mayEnter, type Hips } from './hips.ts';
import { calcParts, sumCosts, type CostPart } from './wayCosts.ts';

/** A pose and its front leg; a pose without sides has none. */
export interface Place {
  readonly pose: string;
  readonly side: Side | null;
}

/** One transition of a way, into a pose. */
export interface Passage {
  readonly from: Place;
  readonly to: Place;
  readonly transition: TransitionDefinition;
  readonly parts: readonly CostPart[];
}

/** A way from one pose to another. */
export interface Way {
  /** Empty = it stays. */
  readonly passages: readonly Passage[];
  readonly cost: number;
  /** The hips at its end. */
  readonly hips: Hips;
}

/** What a way depends on beside the poses' data. */
export interface Terrain {
  /** In a frame of its own. */
  readonly feetOf: (place: Place) => FeetPlaces;
  /** It is not passed through: a caution leaves it out. */
  readonly isExcluded: (pose: string) => boolean;
}

/** A state of the search: a pose with its hips, and the pose whose feet it stands on. */
interface Node extends Place {
  readonly hips: Hips;
  readonly feet: Place;
}

const placeKey = ({ pose, side }: Place): string => `${pose} ${side ?? '-'}`;
const nodeKey = (node: Node): string =>
  `${placeKey(node)} ${node.hips.family} ${String(node.hips.needsLunge)} ${placeKey(node.feet)}`;

/** The sides on which a pose may be entered from another one. */
function listSides(from: Place, to: AnyPose): readonly (Side | null)[] {
  if (!to.hasSides) return [null];
  return from.side === null ? SIDES : [from.side];
}

type Edge = Pick<Passage, 'transition' | 'parts'> & { readonly weight: number };
type WayGraph = AbstractGraph<Node, Edge>;

/** The feet that a pose is done on: those it finds, where no foot has to move. */
const feetOn = (node: Node, to: Place, { foot }: TransitionDefinition): Place =>
  foot === 'none' ? node.feet : to;

/** One transition: the state after it, and what it costs. */
function take(
  node: Node,
  to: Place,
  transition: TransitionDefinition,
  isGoal: boolean,
  { feetOf }: Terrain,
): { readonly next: Node; readonly parts: readonly CostPart[] } {
  const [from, into] = [findAnyPose(node.pose)!, findAnyPose(to.pose)!];
  const hips = enterPose(node.hips, into, !isGoal);
  const feet = feetOn(node, to, transition);
  const changes = [node.hips, hips].every(({ family }) => family !== 'neutral');
  const isFlip =
    changes && hips.family !== node.hips.family && transition.isDeliberateFlip !== true;
  const parts = calcParts(from, into, isFlip, feetOf(node.feet), feetOf(feet));
  return { next: { ...to, hips, feet }, parts };
}

/** Every state that can be reached from one, without passing beyond the goal. */
function buildGraph(start: Node, goal: Place, terrain: Terrain): WayGraph {
  const graph: WayGraph = new DirectedGraph<Node, Edge>();
  const open: Node[] = [start];
  graph.addNode(nodeKey(start), start);
  for (const node of open) {
    const from = findAnyPose(node.pose)!;
    for (const transition of from.transitions) {
      const to = findAnyPose(transition.to)!;
      if (!mayEnter(node.hips, to)) continue;
      for (const side of listSides(node, to)) {
        const place: Place = { pose: to.id, side };
        const isGoal = placeKey(place) === placeKey(goal);
        if (!isGoal && terrain.isExcluded(to.id)) continue;
        const { next, parts } = take(node, place, transition, isGoal, terrain);
        const key = nodeKey(next);
        if (!graph.hasNode(key)) {
          graph.addNode(key, next);
          if (!isGoal) open.push(next);
        }
        if (!graph.hasEdge(nodeKey(node), key)) {
          graph.addEdge(nodeKey(node), key, { transition, parts, weight: sumCosts(parts) });
        }
      }
    }
  }
  return graph;
}

function toWay(graph: WayGraph, keys: readonly string[]): Way {
  const passages = keys.slice(1).map((key, i): Passage => {
    const before = keys[i]!;
    const { transition, parts } = graph.getEdgeAttributes(before, key);
    const [from, to] = [before, key].map((each): Place => {
      const { pose, side } = graph.getNodeAttributes(each);
      return { pose, side };
    });
    return { from: from!, to: to!, transition, parts };
  });
  const { hips } = graph.getNodeAttributes(keys.at(-1)!);
  return { passages, cost: passages.reduce((sum, { parts }) => sum + sumCosts(parts), 0), hips };
}

const cheapest = (ways: readonly Way[]): Way | null =>
  ways.reduce<Way | null>(
    (best, way) => (best === null || way.cost < best.cost ? way : best),
    null,
  );

/** The cheapest way to any state of the goal; null = there is none. */
function findCheapest(graph: WayGraph, start: string, goals: readonly string[]): Way | null {
  const paths = dijkstra.singleSource(graph, start, 'weight');
  const ways = goals.flatMap((goal) => {
    const keys = paths[goal];
    return keys === undefined ? [] : [toWay(graph, keys)];
  });
  return cheapest(ways);
}

/**
 * The poses that a way passes through, without its ends.
 *
 * @returns ids in order
 */
export const listPassed = ({ passages }: Pick<Way, 'passages'>): readonly string[] =>
  passages.slice(0, -1).map(({ to }) => to.pose);

const wayKey = (way: Way): string => listPassed(way).join(' ');

/**
 * The cheapest ways from one pose to another: the first is the cheapest of all, each other one the
 * cheapest that leaves out one transition of a way before it.
 *
 * @param from where it begins
 * @param to where it ends; not passed through on the way
 * @param hips what the poses before have left
 * @param terrain feet, and poses that are left out
 * @param most how many ways are looked for
 * @returns none where there is no way; a way without passages where nothing changes
 */
export function findWays(
  from: Place,
  to: Place,
  hips: Hips,
  terrain: Terrain,
  most = 1,
): readonly Way[] {
  if (placeKey(from) === placeKey(to)) return [{ passages: [], cost: 0, hips }];
  const start: Node = { ...from, hips, feet: from };
  const graph = buildGraph(start, to, terrain);
  const isGoal = (_: string, { pose, side }: Node): boolean =>
    placeKey({ pose, side }) === placeKey(to);
  const goals = graph.filterNodes(isGoal);
  const startKey = nodeKey(start);
  const found: Way[] = [];
  const candidates: Way[] = [];
  const offer = (way: Way | null): void => {
    if (way === null) return;
    const isKnown = [...found, ...candidates].some((each) => wayKey(each) === wayKey(way));
    if (!isKnown) candidates.push(way);
  };
  offer(findCheapest(graph, startKey, goals));
  while (candidates.length > 0 && found.length < most) {
    candidates.sort((a, b) => a.cost - b.cost);
    const best = candidates.shift()!;
    found.push(best);
    if (found.length === most) break;
    for (const passage of best.passages) offer(findWithout(graph, startKey, goals, passage));
  }
  return found;
}

/** The cheapest way that does without one transition, on either side. */
function findWithout(
  graph: WayGraph,
  start: string,
  goals: readonly string[],
  { from, to }: Passage,
): Way | null {
  const rest = graph.copy();
  const isSame = (node: Node, place: Place): boolean => node.pose === place.pose;
  for (const edge of rest.filterEdges((_, __, a, b) => {
    return isSame(rest.getNodeAttributes(a), from) && isSame(rest.getNodeAttributes(b), to);
  })) {
    rest.dropEdge(edge);
  }
  return findCheapest(rest, start, goals);
}

/**
 * The way through poses that a teacher chose.
 *
 * @param from where it begins
 * @param to where it ends
 * @param hips what the poses before have left
 * @param terrain feet, and poses that are left out
 * @param by the poses between, in order
 * @returns null where one of them does not lead to the next
 */
export function followWay(
  from: Place,
  to: Place,
  hips: Hips,
  terrain: Terrain,
  by: readonly string[],
): Way | null {
  let open: readonly Followed[] = [{ node: { ...from, hips, feet: from }, passages: [] }];
  const ids = [...by, to.pose];
  for (const [i, id] of ids.entries()) {
    const isGoal = i === ids.length - 1;
    if (!isGoal && terrain.isExcluded(id)) return null;
    open = open.flatMap((each) => follow(each, id, isGoal, terrain));
  }
  const isThere = ({ node }: Followed): boolean => placeKey(node) === placeKey(to);
  const ways = open.filter(isThere).map(({ node, passages }): Way => {
    const cost = passages.reduce((sum, { parts }) => sum + sumCosts(parts), 0);
    return { passages, cost, hips: node.hips };
  });
  return cheapest(ways);
}

/** A chosen way, as far as it was followed. */
interface Followed {
  readonly node: Node;
  readonly passages: readonly Passage[];
}

/** One pose further, on each side that it may be entered on. */
function follow(
  { node, passages }: Followed,
  id: string,
  isGoal: boolean,
  terrain: Terrain,
): readonly Followed[] {
  const next = findAnyPose(id);
  const transition = findAnyPose(node.pose)?.transitions.find((each) => each.to === id);
  if (next === null || transition === undefined || !mayEnter(node.hips, next)) return [];
  const from: Place = { pose: node.pose, side: node.side };
  return listSides(node, next).map((side): Followed => {
    const place: Place = { pose: id, side };
    const taken = take(node, place, transition, isGoal, terrain);
    const passage: Passage = { from, to: place, transition, parts: taken.parts };
    return { node: taken.next, passages: [...passages, passage] };
  });
}
