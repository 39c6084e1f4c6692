import type { KeptShares } from '../core/classes/cupboard/keepShares.ts';
import type { Needy } from '../core/classes/cupboard/needs.ts';
import type { SharedCupboard } from '../core/classes/cupboard/shareCupboard.ts';
import type { ShoppingList } from '../core/classes/cupboard/shopping.ts';
import type { Grid } from '../core/classes/lossOnGrid.ts';
import type { InstructionAsked, OwnPlace } from '../core/classes/ownPlaces.ts';
import type { GroupValues, MemberPose } from '../core/classes/planMember.ts';
import type { ClassGroups } from '../core/classes/planSettings.ts';
import type { RevisedRecord } from '../core/person/person.ts';
import type { Result } from '../core/problems/problem.ts';
import type { PropItem } from '../core/props/propList.ts';
import type { Judgement } from '../core/sessions/judgeSession.ts';
import type { Session } from '../core/sessions/session.ts';
import { Lane } from './lane.ts';

/** More workers than this help no class: they wait for memory. Our choice. */
const MOST_LANES = 4;
const PATIENCE_SECONDS = 30;

/** A worker for each core but one, which the page keeps: a set-up of a class waits for no other. */
const lanes = Array.from(
  { length: Math.max(1, Math.min(MOST_LANES, globalThis.navigator.hardwareConcurrency - 1)) },
  () => new Lane(PATIENCE_SECONDS),
);
/** Sharing and grouping take the answers of all: a worker of their own. */
const sharing = new Lane(PATIENCE_SECONDS);

/**
 * Works off a list on every lane, in its order, one question a lane at a time.
 *
 * @param ask asks one question, and does something with its answer
 * @param signal stops before the next question
 */
export async function workOff<Job>(
  jobs: readonly Job[],
  ask: (lane: Lane, job: Job) => Promise<void>,
  signal: AbortSignal,
): Promise<void> {
  const waiting = [...jobs];
  await Promise.all(
    lanes.map(async (lane) => {
      for (let job = waiting.shift(); job !== undefined; job = waiting.shift()) {
        if (signal.aborted) return;
        await ask(lane, job);
      }
    }),
  );
}

/** One pose for one member of a class; a worker that died is asked once more. */
export async function planMemberOn(
  lane: Lane,
  record: RevisedRecord,
  sessions: readonly Session[],
  pose: string,
  group: GroupValues | null,
): Promise<Result<MemberPose>> {
  const ask = (): Promise<Result<MemberPose>> =>
    lane.ask((remote) =>
      remote.planClassMember(record, sessions, pose, group, new Date().toISOString()),
    );
  const first = await ask();
  return first.ok ? first : ask();
}

/** What one member sets by themselves. */
export const findOwnNumbersOn = (
  lane: Lane,
  record: RevisedRecord,
  asked: InstructionAsked,
): Promise<Result<readonly number[]>> => lane.ask((remote) => remote.findOwnNumbers(record, asked));

/** What each value of a grid costs one member; takes a second or so. */
export const findOwnPlacesOn = (
  lane: Lane,
  record: RevisedRecord,
  asked: InstructionAsked,
  grid: Grid,
): Promise<Result<readonly OwnPlace[]>> =>
  lane.ask((remote) => remote.findOwnPlaces(record, asked, grid));

export const groupClassInWorker = (
  own: readonly OwnPlace[],
): Promise<Result<readonly ClassGroups[]>> => sharing.ask((remote) => remote.groupClass(own));

/** One cupboard for the whole class; at most 2 s. */
export const shareCupboardInWorker = (
  planned: readonly Needy[],
  poses: readonly string[],
  props: readonly PropItem[],
  kept: KeptShares,
): Promise<Result<SharedCupboard>> =>
  sharing.ask((remote) => remote.shareClassCupboard(planned, poses, props, kept));

/** What would serve everyone. */
export const listShoppingInWorker = (
  planned: readonly Needy[],
  poses: readonly string[],
  props: readonly PropItem[],
): Promise<Result<ShoppingList>> =>
  sharing.ask((remote) => remote.listShopping(planned, poses, props));

/** What the ladder says of one member's session. */
export const judgeMemberOn = (
  lane: Lane,
  record: RevisedRecord,
  sessions: readonly Session[],
  session: Session,
): Promise<Result<readonly Judgement[]>> =>
  lane.ask((remote) => remote.judgeSession(record, sessions, session, new Date().toISOString()));
