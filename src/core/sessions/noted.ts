import type { Noted } from '../sequence/flowPlanner.ts';
import { findPause } from './pause.ts';
import type { Session } from './session.ts';
import { findHarderSide } from './sides.ts';

/**
 * What a person’s sessions say to whoever plans a flow: the harder sides, and what is paused.
 *
 * @param sessions of this person, in any order
 * @returns answers that are worked out when they are asked for
 */
export const readNoted = (sessions: readonly Session[]): Noted => ({
  findHarderSide: (setUps, set) => findHarderSide(setUps, set, sessions)?.side ?? null,
  isPaused: (pose) => findPause(sessions, pose).length > 0,
});
