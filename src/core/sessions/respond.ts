import { findCautionKind } from '../cautions/catalogue.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { saySwap } from '../poses/swaps.ts';
import type { Hold } from './log.ts';
import { judge, type VerdictKind } from './ladder.ts';
import type { LoggedHold } from './readSession.ts';
import type { NewEntry } from './session.ts';

/** Kinds of pain as they are described, and the stop sign that some of them are. */
export const PAIN_KINDS: readonly { readonly id: string; readonly sign: string | null }[] = [
  { id: 'stretch', sign: null },
  { id: 'ache', sign: null },
  { id: 'pressure', sign: null },
  { id: 'burning', sign: null },
  { id: 'sharp', sign: 'sharp-joint-pain' },
  { id: 'catching', sign: 'sharp-joint-pain' },
  { id: 'tingling', sign: 'tingling' },
];

/** What to do at once with what was just noted. */
export interface Response {
  readonly kind: Exclude<VerdictKind, 'keep' | 'go-on'>;
  /** What to do now. */
  readonly words: string;
  readonly facts: readonly string[];
  /** What may be done in its place, in words; empty = nothing today. */
  readonly instead: string;
}

const WORDS: Readonly<Record<Response['kind'], string>> = {
  ease: 'One step easier, now and next time.',
  'stop-today': 'Stop this pose for today.',
  pause: 'Stop this pose. It is paused until it is cleared.',
  'pause-and-send-on': 'Stop this pose and advise a visit to a doctor or physiotherapist.',
  'end-session': 'The session ends here.',
};

/**
 * What a sign or pain asks for while a session runs, by the ladder.
 *
 * @param log every hold of one person, this one among them
 * @param hold that it was seen in
 * @returns null when nothing has to be done
 */
export function respond(log: readonly Hold[], hold: Pick<Hold, 'pose' | 'side'>): Response | null {
  const { kind, facts } = judge(log, { ...hold, isStale: false });
  if (kind === 'keep' || kind === 'go-on') return null;
  const urgent = log.find(({ sign }) => {
    if (sign === null || sign.clearedBy !== null) return false;
    const tier = findCautionKind(sign.id)?.tier;
    return tier === 'emergency' || tier === 'same-day';
  });
  const advice = findCautionKind(urgent?.sign?.id ?? '')?.advice;
  const pose = findPose(hold.pose);
  const instead = advice !== undefined || pose === null || kind === 'ease' ? '' : saySwap(pose);
  return { kind, words: advice ?? WORDS[kind], facts, instead };
}

/**
 * What is noted when a pose is stopped for today: this hold ended early, and the holds of
 * the same pose that were still to come are passed over with the reason.
 *
 * @param hold that is stopped
 * @param holds of the session
 * @returns entries to be added
 */
export const stopPose = (
  hold: LoggedHold,
  holds: readonly LoggedHold[],
  { facts }: Response,
): readonly NewEntry[] => [
  { kind: 'note', hold: hold.plan.id, change: { outcome: 'ended-early' } },
  ...holds
    .filter(
      ({ plan, at }) => plan.pose === hold.plan.pose && at === null && plan.id !== hold.plan.id,
    )
    .map(({ plan }): NewEntry => {
      const note = facts.join('; ');
      return { kind: 'note', hold: plan.id, change: { outcome: 'skipped', note } };
    }),
];
