import { SIDES, type Side } from '../measures/protocol.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { turnBetween, type FeetPlaces, type FootPlace } from './feetPlaces.ts';

/** How one foot comes from its place to the next one. */
export interface FootMove {
  readonly side: Side;
  readonly from: FootPlace | null;
  readonly to: FootPlace | null;
  /** Toward the mat's front edge, cm. */
  readonly aheadCm: number;
  /** Toward the mat's left edge, cm. */
  readonly leftCm: number;
  /** From its place to the next, cm. */
  readonly cm: number;
  /** The short way round, degrees. */
  readonly turnDeg: number;
  /**
   * `lifted`: it leaves the mat, and comes down elsewhere. `turned`: it turns on its place. `heel`: its
   * heel or knee comes up or down there. `off`: it stays in the air. `down`: it comes back to the mat.
   */
  readonly how: 'lifted' | 'turned' | 'heel' | 'off' | 'down';
  /** It steps in by this before it is lifted, cm; 0 = it does not. */
  readonly stepInCm: number;
}

/** A hand's prop, from the mat's own marks. */
export interface HandPlace {
  readonly x: number;
  readonly y: number;
  readonly heightCm: number;
}

/** A foot that moves by less stays where it is: nobody sets it closer. Our choice, cm and degrees. */
export const SAME_PLACE_CM = 1;
export const SAME_TURN_DEG = 1.5;

function findHow(from: FootPlace | null, to: FootPlace | null, cm: number): FootMove['how'] {
  if (to === null) return 'off';
  if (from === null) return 'down';
  if (cm >= SAME_PLACE_CM && from.part === to.part) return 'lifted';
  if (from.part === to.part) return 'turned';
  return cm >= SAME_PLACE_CM * 3 ? 'lifted' : 'heel';
}

/** How far a foot steps in before it is lifted. */
function calcStepIn({ left, right }: FeetPlaces, to: FootPlace | null, share: number): number {
  return to !== null || left === null || right === null
    ? 0
    : share * Math.hypot(left.x - right.x, left.y - right.y);
}

/**
 * What each foot does between two poses.
 *
 * @param before on the mat
 * @param after on the mat
 * @param stepsIn share of the stance by which a foot that is lifted steps in first
 * @returns none for a foot that stays; none at all where a pose has no feet on the mat
 */
export function findFootMoves(
  before: FeetPlaces,
  after: FeetPlaces,
  stepsIn = 0,
): readonly FootMove[] {
  const hasFeet = (feet: FeetPlaces): boolean => feet.left !== null || feet.right !== null;
  if (!hasFeet(before) || !hasFeet(after)) return [];
  return SIDES.flatMap((side): FootMove[] => {
    const [from, to] = [before[side], after[side]];
    if (from === null && to === null) return [];
    const [aheadCm, leftCm] =
      from === null || to === null ? [0, 0] : [to.x - from.x, to.y - from.y];
    const cm = Math.hypot(aheadCm, leftCm);
    const turnDeg = from === null || to === null ? 0 : turnBetween(from.turnDeg, to.turnDeg);
    const stays = from?.part === to?.part && cm < SAME_PLACE_CM && turnDeg < SAME_TURN_DEG;
    if (stays) return [];
    const stepInCm = calcStepIn(before, to, stepsIn);
    const how = findHow(from, to, cm);
    return [{ side, from, to, aheadCm, leftCm, cm, turnDeg, how, stepInCm }];
  });
}

/**
 * Where the lower hand of a set-up stands on the mat.
 *
 * @param setUp with landmarks, cm, in its own frame
 * @param own its feet in that frame
 * @param feet the same feet on the mat
 * @returns null when no hand stands on a prop or the floor
 */
export function findHandPlace(
  { landmarks, settings, side }: Pick<SetUp, 'landmarks' | 'settings' | 'side'>,
  own: FeetPlaces,
  feet: FeetPlaces,
): HandPlace | null {
  const heightCm = getValue({ settings }, 'hand-height');
  const hands = [landmarks['handLeft'], landmarks['handRight']].filter(
    (each) => each !== undefined,
  );
  const [was, is] = [own[side], feet[side]];
  const low = hands.length === 0 ? null : hands.reduce((a, b) => (b[2] < a[2] ? b : a));
  if (heightCm === null || low === null || was === null || is === null) return null;
  return { x: low[0] + is.x - was.x, y: low[1] + is.y - was.y, heightCm };
}
