import type { RoomPlace } from '../yogaClass.ts';
import type { SlotReach } from './reach.ts';

/** A room as it is measured, metres: the teacher stands at the middle of one of its widths. */
export interface Room {
  readonly lengthM: number;
  readonly widthM: number;
}

/** Somebody who needs a place. */
export interface Standing {
  readonly member: string;
  /** Of every pose and side. */
  readonly reaches: readonly SlotReach[];
  /** Goes to the wall in some pose: the back wall. */
  readonly isAtWall: boolean;
}

/** Somebody at their place. */
export interface Placed extends Standing {
  readonly place: RoomPlace;
}

/** Two people, or one and a wall, who meet in one pose. */
export interface Collision {
  readonly pose: string;
  readonly member: string;
  /** null = a wall of the room. */
  readonly other: string | null;
}

/** What is said when a room does not hold a class. */
export interface TooSmall {
  /** How much longer it would have to be, metres. */
  readonly missingM: number;
  /** Without this pose it would be long enough, or nearest to it. */
  readonly pose: string;
}

export interface RoomPlan {
  readonly placed: readonly Placed[];
  /** null = everybody has room. */
  readonly tooSmall: TooSmall | null;
}

/** Before the first row the teacher walks, metres. Our choice. */
export const TEACHER_M = 1.5;
/** Spaces that overlap by less do not meet, metres. */
const TOUCHING_M = 0.005;

/** The mat itself, which is there whatever is held on it. */
export const MAT_ALONE = '';

const isSameSlot = (a: SlotReach, b: SlotReach): boolean => a.pose === b.pose && a.side === b.side;

/** Somebody’s clear space in a pose; who does not hold it lies or sits on their mat. */
const findAt = ({ reaches }: Standing, slot: SlotReach): SlotReach | undefined =>
  reaches.find((each) => isSameSlot(each, slot)) ?? reaches.find(({ pose }) => pose === MAT_ALONE);

/** Clear spaces of two people in the same pose and side: both are there at the same time. */
function pairSlots(a: Standing, b: Standing): readonly (readonly [SlotReach, SlotReach])[] {
  const slots = [
    ...a.reaches,
    ...b.reaches.filter((each) => !a.reaches.some((own) => isSameSlot(own, each))),
  ];
  return slots.flatMap((slot) => {
    const [one, other] = [findAt(a, slot), findAt(b, slot)];
    return one === undefined || other === undefined ? [] : [[one, other] as const];
  });
}

/** The least distance from the middle of one mat to that of the next to its right, metres. */
const findGapAcross = (left: Standing, right: Standing): number =>
  Math.max(0, ...pairSlots(left, right).map(([a, b]) => a.right + b.left));

/** The least distance from the middle of one mat to that of one behind it, metres. */
const findGapBehind = (front: Standing, back: Standing): number =>
  Math.max(0, ...pairSlots(front, back).map(([a, b]) => a.behind + b.ahead));

const most = (who: Standing, way: 'ahead' | 'behind' | 'left' | 'right'): number =>
  Math.max(0, ...who.reaches.map((each) => each[way]));

interface Row {
  readonly members: readonly Standing[];
  /** Of the middles of the mats from the left wall, metres. */
  readonly xs: readonly number[];
}

/** Every other row stands aside by this share of the gaps, so that the teacher sees past the one before. */
const STAGGER = 0.6;

/** As many as fit beside each other, left wall to right wall. */
function fillRow(
  waiting: readonly Standing[],
  widthM: number,
  atMost: number,
  isAside: boolean,
): Row {
  const members: Standing[] = [];
  const xs: number[] = [];
  for (const next of waiting.slice(0, atMost)) {
    const before = members.at(-1);
    const x = before === undefined ? most(next, 'left') : xs.at(-1)! + findGapAcross(before, next);
    if (before !== undefined && x + most(next, 'right') > widthM + TOUCHING_M) break;
    members.push(next);
    xs.push(x);
  }
  const free = Math.max(0, widthM - (xs.at(-1) ?? 0) - most(members.at(-1)!, 'right'));
  // What is left over is shared between them and the walls.
  const share = free / (members.length + 1);
  return { members, xs: xs.map((x, i) => x + (i + 1 + (isAside ? STAGGER : 0)) * share) };
}

function fillRows(standing: readonly Standing[], widthM: number, atMost: number): readonly Row[] {
  const rows: Row[] = [];
  let waiting = standing;
  while (waiting.length > 0) {
    const row = fillRow(waiting, widthM, atMost, rows.length % 2 === 1);
    rows.push(row);
    waiting = waiting.slice(row.members.length);
  }
  return rows;
}

/** Where the middles of the rows lie from the teacher’s wall, and how long a room they need, metres. */
function stackRows(rows: readonly Row[]): {
  readonly ys: readonly number[];
  readonly length: number;
} {
  const ys: number[] = [];
  let length = TEACHER_M;
  for (const [i, row] of rows.entries()) {
    const own = TEACHER_M + Math.max(0, ...row.members.map((each) => most(each, 'ahead')));
    const behind = rows
      .slice(0, i)
      .flatMap((front, j) =>
        front.members.flatMap((a) => row.members.map((b) => ys[j]! + findGapBehind(a, b))),
      );
    const y = Math.max(own, ...behind);
    ys.push(y);
    length = Math.max(length, y + Math.max(...row.members.map((each) => most(each, 'behind'))));
  }
  return { ys, length };
}

const without = (standing: readonly Standing[], pose: string): readonly Standing[] =>
  standing.map((each) => ({
    ...each,
    reaches: each.reaches.filter((reach) => reach.pose !== pose),
  }));

const layOut = (standing: readonly Standing[], widthM: number) => {
  const ordered = [
    ...standing.filter(({ isAtWall }) => !isAtWall),
    ...standing.filter(({ isAtWall }) => isAtWall),
  ];
  const full = fillRows(ordered, widthM, ordered.length);
  // As few rows as there must be, and about as many people in each.
  const even = fillRows(ordered, widthM, Math.ceil(ordered.length / Math.max(1, full.length)));
  const rows = even.length > full.length ? full : even;
  return { rows, ...stackRows(rows) };
};

/** The pose without which the room would need least length. */
function findReason(standing: readonly Standing[], widthM: number): string {
  const poses = [...new Set(standing.flatMap(({ reaches }) => reaches.map(({ pose }) => pose)))];
  const lengths = poses.map((pose) => layOut(without(standing, pose), widthM).length);
  return poses[lengths.indexOf(Math.min(...lengths))] ?? '';
}

/**
 * A place for everyone: mats in rows with their short edge toward the teacher, those who go to the
 * wall in the last row, so that nobody’s arms or lifted legs meet anybody else’s in any pose. Whoever
 * was placed by hand stays there.
 *
 * @param standing in the order in which they are placed
 * @param room metres
 * @param byHand places that were chosen
 * @returns in the same order; where the room is too small, how it is and which pose is the reason
 */
export function placeClass(
  standing: readonly Standing[],
  room: Room,
  byHand: Readonly<Record<string, RoomPlace>>,
): RoomPlan {
  const { rows, ys, length } = layOut(standing, room.widthM);
  const missing = length - room.lengthM;
  const places = new Map<string, RoomPlace>();
  // Room that is left over lies between the rows: the last one stands at the back wall.
  const rest = Math.max(0, -missing);
  const findAside = (i: number): number =>
    rows.length > 1 ? (i * rest) / (rows.length - 1) : rest;
  for (const [i, { members, xs }] of rows.entries()) {
    for (const [j, { member }] of members.entries()) {
      places.set(member, { x: xs[j]!, y: ys[i]! + findAside(i) });
    }
  }
  const placed = standing.map((each): Placed => ({
    ...each,
    place: byHand[each.member] ?? places.get(each.member)!,
  }));
  const isTooSmall = missing > TOUCHING_M;
  return {
    placed,
    tooSmall: isTooSmall ? { missingM: missing, pose: findReason(standing, room.widthM) } : null,
  };
}

/** The sides of somebody’s clear space in the room, metres from its corner at the teacher’s left. */
function toBox({ x, y }: RoomPlace, { ahead, behind, left, right }: SlotReach) {
  return { left: x - left, right: x + right, front: y - ahead, back: y + behind };
}

/**
 * Who meets whom, and who meets a wall, in which pose. Whoever goes to the wall may reach it.
 *
 * @param placed everyone
 * @param room metres
 * @returns each pair once, with the first pose in which they meet
 */
export function findCollisions(placed: readonly Placed[], room: Room): readonly Collision[] {
  const collisions: Collision[] = [];
  for (const [i, a] of placed.entries()) {
    const beyond = a.reaches.find((reach) => {
      const { left, right, front, back } = toBox(a.place, reach);
      const outside = Math.max(
        -left,
        right - room.widthM,
        -front,
        a.isAtWall ? 0 : back - room.lengthM,
      );
      return outside > TOUCHING_M;
    });
    if (beyond !== undefined) collisions.push({ pose: beyond.pose, member: a.member, other: null });
    for (const b of placed.slice(i + 1)) {
      const met = pairSlots(a, b).find(([mine, theirs]) => {
        const [p, q] = [toBox(a.place, mine), toBox(b.place, theirs)];
        const across = Math.min(p.right, q.right) - Math.max(p.left, q.left);
        const along = Math.min(p.back, q.back) - Math.max(p.front, q.front);
        return across > TOUCHING_M && along > TOUCHING_M;
      });
      if (met !== undefined) {
        collisions.push({ pose: met[0].pose, member: a.member, other: b.member });
      }
    }
  }
  return collisions;
}

/** A body hides what lies within this of the line past it, metres. Our choice. */
const HALF_BODY_M = 0.25;

/**
 * Whom somebody else hides from the teacher, who stands at the middle of the front wall.
 *
 * @param placed everyone
 * @param room metres
 * @returns each with who stands before them
 */
export function findHidden(
  placed: readonly Placed[],
  room: Room,
): readonly { readonly member: string; readonly by: string }[] {
  const teacher = { x: room.widthM / 2, y: TEACHER_M / 2 };
  return placed.flatMap(({ member, place }) => {
    const [dx, dy] = [place.x - teacher.x, place.y - teacher.y];
    const far = Math.hypot(dx, dy);
    const by = placed.find((other) => {
      if (other.member === member || far === 0) return false;
      const [ox, oy] = [other.place.x - teacher.x, other.place.y - teacher.y];
      const along = (ox * dx + oy * dy) / far;
      const aside = Math.abs(ox * dy - oy * dx) / far;
      return along > 0 && along < far && aside < HALF_BODY_M;
    });
    return by === undefined ? [] : [{ member, by: by.member }];
  });
}
