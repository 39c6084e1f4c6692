import { findCautionKind } from '../cautions/catalogue.ts';
import type { Side } from '../measures/protocol.ts';
import { findPoseError } from '../poseErrors/catalogue.ts';
import type { Hold } from './log.ts';
import { sayCount } from '../units/sayCount.ts';

/** What to do with a pose and side, from the freest to the strictest. */
export const VERDICTS = [
  'go-on',
  'keep',
  'ease',
  'stop-today',
  'pause',
  'pause-and-send-on',
  'end-session',
] as const;
export type VerdictKind = (typeof VERDICTS)[number];

export interface Verdict {
  readonly kind: VerdictKind;
  /** What decided, in words. */
  readonly facts: readonly string[];
  /** Why the measures behind it should be taken again; empty = no need. */
  readonly remeasure: readonly string[];
}

/** What the ladder has to know beside the log. */
export interface LadderContext {
  readonly pose: string;
  readonly side: Side;
  /** Measures that the pose rests on are older than they should be. */
  readonly isStale: boolean;
  /** The next harder level fits this person, so that the end of this one is not the end. */
  readonly hasNextLevel?: boolean;
}

/** Pain from here on stops the pose. Common practice, no source. */
const STOP_PAIN = 4;
/** So many errors that point to range ease the pose. */
const RANGE_ERRORS = 2;
/** A joint has to have this much to spare before a pose goes on, degrees. */
export const ENOUGH_TO_SPARE = 5;
/** Clean sessions in a row before a pose goes on. */
const CLEAN_SESSIONS = 2;

const painOf = (hold: Hold): number => hold.pain?.score ?? 0;

const isStopPain = (hold: Hold): boolean =>
  painOf(hold) >= STOP_PAIN ||
  (painOf(hold) > 0 && (hold.pain?.rising === true || hold.pain?.nextMorning === true));

const rangeErrors = (hold: Hold): readonly string[] =>
  hold.errors.filter((id) => findPoseError(id)?.pointsToRange === true);

const sayErrors = (ids: readonly string[]): string =>
  [...new Set(ids)].map((id) => findPoseError(id)?.words ?? id).join(', ');

const isCleanHold = (hold: Hold): boolean =>
  hold.outcome === 'done' &&
  hold.errors.length === 0 &&
  painOf(hold) === 0 &&
  hold.sign === null &&
  hold.breath === 'easy';

/** Holds by session, the latest session first; the order in which they came does not matter. */
function bySession(holds: readonly Hold[]): readonly (readonly Hold[])[] {
  const sorted = [...holds].sort((a, b) => b.at.localeCompare(a.at) || b.id.localeCompare(a.id));
  const sessions = new Map<string, Hold[]>();
  for (const hold of sorted) {
    const known = sessions.get(hold.sessionId);
    if (known === undefined) sessions.set(hold.sessionId, [hold]);
    else known.push(hold);
  }
  return [...sessions.values()];
}

/** A sign that we do not know stops the pose, to be on the safe side. */
const tierOf = (id: string): string => {
  const tier = findCautionKind(id)?.tier;
  return tier === undefined || tier === 'adapt' ? 'send-on' : tier;
};

const saySign = (id: string): string => findCautionKind(id)?.name ?? id;

/**
 * A sign of whatever date that nobody has cleared; the gravest first. One that needs help
 * today stops everything, any other stops the pose it was seen in.
 */
function judgeSigns(holds: readonly Hold[], pose: string): Verdict | null {
  const standing = holds.flatMap((hold) =>
    hold.sign === null ||
    hold.sign.clearedBy !== null ||
    (hold.pose !== pose && tierOf(hold.sign.id) === 'send-on')
      ? []
      : [hold.sign.id],
  );
  const of = (tier: string): string[] => [...new Set(standing.filter((id) => tierOf(id) === tier))];
  const tell = (kind: VerdictKind, ids: readonly string[], why: string): Verdict | null =>
    ids.length === 0
      ? null
      : { kind, facts: ids.toSorted().map((id) => `${saySign(id)}: ${why}`), remeasure: [] };
  return (
    tell('end-session', of('emergency'), 'the session ends, call the local emergency number') ??
    tell('pause-and-send-on', of('same-day'), 'medical advice the same day') ??
    tell('pause', of('send-on'), 'paused until it is cleared')
  );
}

/** Pain that stops the pose: the first time for today, the second time for good. */
function judgePain(sessions: readonly (readonly Hold[])[]): Verdict | null {
  const [latest = []] = sessions;
  if (!latest.some(isStopPain)) return null;
  const times = sessions.filter((session) => session.some(isStopPain)).length;
  const worst = Math.max(...latest.map(painOf));
  const facts = [`pain ${String(worst)} of 10`];
  if (latest.some(({ pain }) => pain?.rising === true)) facts.push('it rose while it was held');
  if (latest.some(({ pain }) => pain?.nextMorning === true)) {
    facts.push('it was still there next morning');
  }
  return times >= 2
    ? {
        kind: 'pause-and-send-on',
        facts: [...facts, `the same pain in ${sayCount(times, 'session')}`],
        remeasure: [],
      }
    : { kind: 'stop-today', facts, remeasure: [] };
}

function judgeEasing(latest: readonly Hold[]): Verdict | null {
  const facts: string[] = [];
  const worst = Math.max(0, ...latest.map(painOf));
  if (worst > 0) facts.push(`pain ${String(worst)} of 10`);
  if (latest.some(({ breath }) => breath === 'held')) facts.push('breath held');
  const errors = latest.flatMap(rangeErrors);
  if (new Set(errors).size >= RANGE_ERRORS) {
    facts.push(`errors that suggest too little range: ${sayErrors(errors)}`);
  }
  return facts.length === 0 ? null : { kind: 'ease', facts, remeasure: [] };
}

function judgeGoingOn(
  sessions: readonly (readonly Hold[])[],
  { hasNextLevel = false }: LadderContext,
): Verdict {
  const recent = sessions.slice(0, CLEAN_SESSIONS);
  const [latest = []] = sessions;
  const level = latest[0]?.level ?? null;
  // Each level is judged by itself: what was held at another one does not count.
  const isClean = (session: readonly Hold[]): boolean =>
    session.every((hold) => isCleanHold(hold) && hold.level === level);
  const clean = recent.filter(isClean).length;
  const keep = (fact: string): Verdict => ({ kind: 'keep', facts: [fact], remeasure: [] });
  if (clean < CLEAN_SESSIONS) {
    return keep(
      `${String(clean)} of ${String(CLEAN_SESSIONS)} sessions in a row without errors and with easy breath`,
    );
  }
  const spares = latest.map(({ toSpareDeg }) => toSpareDeg);
  if (spares.includes(null)) return keep('the joint margins are not known');
  const least = Math.min(...spares.map((each) => each ?? 0));
  if (latest.some(({ isAtBound }) => isAtBound) && !(hasNextLevel && least >= ENOUGH_TO_SPARE)) {
    return keep('this is the deepest safe set-up: it changes only with a new measure');
  }
  if (latest.every(({ isBelowRecommended }) => isBelowRecommended === true)) {
    return {
      kind: 'go-on',
      facts: [
        `${String(CLEAN_SESSIONS)} sessions in a row without errors and with easy breath`,
        'it is shallower than recommended',
      ],
      remeasure: [],
    };
  }
  if (least < ENOUGH_TO_SPARE) {
    return keep(`${least.toFixed(0)}° margin; going deeper needs ${String(ENOUGH_TO_SPARE)}°`);
  }
  return {
    kind: 'go-on',
    facts: [
      `${String(CLEAN_SESSIONS)} sessions in a row without errors and with easy breath`,
      `at least ${String(ENOUGH_TO_SPARE)}° margin at every joint`,
    ],
    remeasure: [],
  };
}

/** Why the measures behind a pose should be taken again. */
function findRemeasure(
  own: readonly (readonly Hold[])[],
  context: LadderContext,
): readonly string[] {
  const reasons: string[] = [];
  if (context.isStale) reasons.push('its measures are due again');
  if (own[0]?.some(({ hasInjuryNote }) => hasInjuryNote) === true) {
    reasons.push('an injury was reported');
  }
  const contradicted = own.filter((session) =>
    session.some((hold) => rangeErrors(hold).length > 0 && (hold.toSpareDeg ?? -1) >= 0),
  );
  if (contradicted.length >= 2) {
    reasons.push('planned within range, but errors that suggest too little range were seen twice');
  }
  return reasons;
}

/**
 * What to do with one pose and side next time, one step at a time, by everything that was
 * logged of it. Same facts, same verdict; the order of the log does not matter. Signs and
 * pain of either side stop the pose on both; a sign that needs help today stops every pose.
 *
 * @param log every hold of one person
 * @param context pose, side and what is due
 * @returns the verdict with the facts it rests on
 */
export function judge(log: readonly Hold[], context: LadderContext): Verdict {
  const ofPose = bySession(log.filter((each) => each.pose === context.pose));
  const own = bySession(
    log.filter(
      (each) =>
        each.pose === context.pose && each.side === context.side && each.outcome !== 'skipped',
    ),
  );
  const [latest] = own;
  const remeasure = findRemeasure(own, context);
  const found =
    judgeSigns(log, context.pose) ??
    judgePain(ofPose) ??
    (latest === undefined
      ? ({ kind: 'keep', facts: ['it has not been held yet'], remeasure: [] } as const)
      : (judgeEasing(latest) ?? judgeGoingOn(own, context)));
  return { ...found, remeasure };
}
