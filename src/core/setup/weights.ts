import type { Point2 } from '../geometry/polygon.ts';
import { subtract, type Vec3 } from '../geometry/vector.ts';
import type { Side } from '../measures/protocol.ts';
import { PLACES, restsOnProp, type Place, type PoseDefinition } from '../poses/poseDefinition.ts';
import { sideOfPlace } from '../skeleton/canonicalBody.ts';
import type { FootPose } from '../skeleton/foot.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { toThousandths } from '../units/rounding.ts';
import { toRealCm } from './landmarks.ts';
import type { WeightOn } from './setUp.ts';

/** Feet nearer than this along the mat stand side by side: they have no lever there, metres. */
export const SIDE_BY_SIDE = 0.1;

/** What of a leg rests on the mat, metres; `from` and `to` are its ends along the mat. */
interface Contact {
  readonly on: 'foot' | 'knee';
  readonly place: Place;
  readonly x: number;
  readonly y: number;
  readonly from: number;
  readonly to: number;
}

/** A sole bears between heel and toes, or between ball and toes. */
function contactOfFoot(place: Place, { bearsFrom, heel, ball, toe }: FootPose): Contact {
  const rear = bearsFrom === 0 ? heel : ball;
  return {
    on: 'foot',
    place,
    x: (rear[0] + toe[0]) / 2,
    y: (rear[1] + toe[1]) / 2,
    from: Math.min(rear[0], toe[0]),
    to: Math.max(rear[0], toe[0]),
  };
}

function contactOfBack({ feet: { back }, legs }: Skeleton): Contact | null {
  switch (back.kind) {
    case 'foot':
      return contactOfFoot('back', back.foot);
    case 'knee': {
      const [x, y] = legs.back.knee;
      return { on: 'knee', place: 'back', x, y, from: x, to: x };
    }
    case 'lifted':
    case 'on-front-leg':
      return null;
  }
}

const within = (share: number): number => Math.max(0, Math.min(1, share));

/** Share of `near`, where a weight at `at` rests on two points: the lever rule. */
const leverShare = (at: number, near: number, far: number): number =>
  within((at - far) / (near - far));

/** From and to, as shares of the body’s weight. */
type Range = readonly [number, number];

/** What a hand may take of a weight, so that the feet can carry the rest between `from` and `to`. */
function rangeOfHand(weight: number, hand: number, [from, to]: Range): Range {
  if (hand < weight) return rangeOfHand(-weight, -hand, [-to, -from]);
  const least = weight > to ? leverShare(weight, hand, to) : 0;
  return [least, hand > from ? leverShare(weight, hand, from) : 1];
}

/** A range along the mat, narrowed by that across it. */
const narrow = ([from, to]: Range, [least, most]: Range): Range => [
  Math.max(from, Math.min(to, least)),
  Math.max(from, Math.min(to, most)),
];

/** What a contact carries, and where it presses, metres. */
interface Carried {
  readonly on: WeightOn['on'];
  readonly place: Place;
  readonly share: number;
  readonly least: number;
  readonly most: number;
  readonly pressure: Point2;
}

/** What the posture alone determines. */
const carries = ({ on, place }: Contact, share: number, pressure: Point2): Carried => ({
  on,
  place,
  share,
  least: share,
  most: share,
  pressure,
});

const pointOf = ({ x, y }: Contact): Point2 => [x, y];

/** Feet alone: one presses beneath the weight; two share by the lever rule. */
function shareLegs(
  [x, y]: Skeleton['centreOfMass'],
  front: Contact,
  back: Contact | null,
): readonly Carried[] {
  if (back === null) return [carries(front, 1, [x, y])];
  const isSideBySide = Math.abs(front.x - back.x) < SIDE_BY_SIDE;
  const share = isSideBySide ? leverShare(y, front.y, back.y) : leverShare(x, front.x, back.x);
  // Side by side each presses as far ahead as the weight is.
  const pressureOf = (contact: Contact): Point2 => [isSideBySide ? x : contact.x, contact.y];
  return [carries(front, share, pressureOf(front)), carries(back, 1 - share, pressureOf(back))];
}

/** The hands that rest on something; each takes as much as the other. */
interface Hands {
  readonly each: readonly { readonly place: Place; readonly pressure: Point2 }[];
  /** Between them, along the mat. */
  readonly x: number;
  /** What they may take together so that balance is kept across the mat. */
  readonly across: Range;
}

const listHands = ({ each }: Hands, share: number, [least, most]: Range): Carried[] =>
  each.map((hand) => ({
    on: 'hand',
    ...hand,
    share: share / each.length,
    least: least / each.length,
    most: most / each.length,
  }));

/** Beside one foot the hands take what the foot leaves, which depends on where the foot presses. */
function shareWithFoot(x: number, foot: Contact, hands: Hands): readonly Carried[] {
  const [least, most] = narrow(rangeOfHand(x, hands.x, [foot.from, foot.to]), hands.across);
  // The foot presses at its middle, or as near to it as balance across the mat lets it.
  const share = Math.max(least, Math.min(most, leverShare(x, hands.x, foot.x)));
  const pressure: Point2 = [share === 1 ? foot.x : (x - share * hands.x) / (1 - share), foot.y];
  const ofFoot = { share: 1 - share, least: 1 - most, most: 1 - least, pressure };
  return [{ on: foot.on, place: foot.place, ...ofFoot }, ...listHands(hands, share, [least, most])];
}

/** On two feet the hands rest as lightly as they can, and take over as much as balance allows. */
function shareWithFeet(x: number, front: Contact, back: Contact, hands: Hands): readonly Carried[] {
  const [least, most] = narrow(rangeOfHand(x, hands.x, [back.x, front.x]), hands.across);
  const ofFront = (share: number): number =>
    within((x - back.x - share * (hands.x - back.x)) / (front.x - back.x));
  const ofBack = (share: number): number => 1 - share - ofFront(share);
  const describe = (contact: Contact, of: (share: number) => number): Carried => ({
    on: contact.on,
    place: contact.place,
    share: of(least),
    least: Math.min(of(least), of(most)),
    most: Math.max(of(least), of(most)),
    pressure: pointOf(contact),
  });
  return [
    describe(front, ofFront),
    describe(back, ofBack),
    ...listHands(hands, least, [least, most]),
  ];
}

function findHands({ arms, feet, centreOfMass }: Skeleton, places: readonly Place[]): Hands {
  const each = places.map((place) => {
    const [x, y] = arms[place].palm;
    return { place, pressure: [x, y] as const };
  });
  const meanOf = (axis: 0 | 1): number =>
    each.reduce((sum, { pressure }) => sum + pressure[axis], 0) / each.length;
  const ys = feet.outline.map(([, y]) => y);
  const across = rangeOfHand(centreOfMass[1], meanOf(1), [Math.min(...ys), Math.max(...ys)]);
  return { each, x: meanOf(0), across };
}

function shareWeight(skeleton: Skeleton, pose: Pick<PoseDefinition, 'arms'>): readonly Carried[] {
  const { centreOfMass } = skeleton;
  const front = contactOfFoot('front', skeleton.feet.front);
  const back = contactOfBack(skeleton);
  const places = PLACES.filter((place) => restsOnProp(pose.arms[place]));
  if (places.length === 0) return shareLegs(centreOfMass, front, back);
  const hands = findHands(skeleton, places);
  return back === null
    ? shareWithFoot(centreOfMass[0], front, hands)
    : shareWithFeet(centreOfMass[0], front, back, hands);
}

/**
 * Share of the body’s weight on every foot, knee and hand that rests on something, by the
 * equilibrium of moments along the mat; across it where two feet stand side by side. Walls and
 * straps are taken to carry nothing.
 *
 * @param skeleton the posed body, metres, solver frame
 * @param pose the pose’s data: what the hands rest on
 * @param frontSide the side of the front leg
 * @param origin of the world, in the solver’s frame, metres
 * @returns front before back, legs before hands; empty where a seat carries an unknown part
 */
export function calcWeights(
  skeleton: Skeleton,
  pose: Pick<PoseDefinition, 'arms' | 'supports'>,
  frontSide: Side,
  origin: Vec3,
): readonly WeightOn[] {
  if (pose.supports?.includes('under-front-thigh') === true) return [];
  return shareWeight(skeleton, pose).map(({ on, place, share, least, most, pressure: [x, y] }) => {
    const [xCm, yCm] = toRealCm(subtract([x, y, 0], origin), frontSide);
    return {
      on,
      side: sideOfPlace(place, frontSide),
      share: toThousandths(share),
      least: toThousandths(least),
      most: toThousandths(most),
      centreOfPressureCm: [xCm, yCm],
    };
  });
}
