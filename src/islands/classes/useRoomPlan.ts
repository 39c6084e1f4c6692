import { useMemo } from 'react';
import {
  findCollisions,
  placeClass,
  type Collision,
  type Room,
  type RoomPlan,
} from '../../core/classes/room/placeClass.ts';
import { listStandings } from '../../core/classes/room/standings.ts';
import { findMat, type MatSize } from '../../core/studio/studio.ts';
import type { ClassPartProps } from './classPart.ts';

const metres = new Intl.NumberFormat(undefined, { maximumFractionDigits: 1 });

/** A length of a room, as it is said. */
export const writeM = (value: number): string => `${metres.format(value)} m`;

/** Everybody’s place in a room, and who meets whom. */
export function useRoomPlan(
  { yogaClass, state, shared }: ClassPartProps,
  room: Room,
): RoomPlan & { readonly mat: MatSize; readonly collisions: readonly Collision[] } {
  const mat = findMat(state.studio.cupboard);
  return useMemo(() => {
    const plan = placeClass(listStandings(shared.sheet, mat), room, yogaClass.places);
    return { ...plan, mat, collisions: findCollisions(plan.placed, room) };
  }, [shared.sheet, mat, room, yogaClass.places]);
}
