import type { Judgement, OfferedStep } from './judgeSession.ts';
import type { VerdictKind } from './ladder.ts';
import type { Decision } from './session.ts';

/**
 * What a verdict changes; nothing where it keeps or stops.
 *
 * @param judgement what comes of a pose and side
 * @param kind that is decided on
 * @returns null when nothing changes
 */
export function findOffer(judgement: Judgement, kind: VerdictKind): OfferedStep | null {
  if (kind === 'go-on') return judgement.further;
  if (kind === 'ease' || kind === 'stop-today') return judgement.easier;
  return null;
}

/**
 * A verdict as it was accepted or overruled.
 *
 * @param judgement what comes of a pose and side
 * @param kind what is decided; another one than the verdict's overrules it
 * @param reason the teacher's own; empty = none was given
 * @returns what is stored
 */
export function decide(judgement: Judgement, kind: VerdictKind, reason: string): Decision {
  const { pose, side, verdict, used } = judgement;
  const offer = findOffer(judgement, kind);
  return {
    pose,
    side,
    verdict,
    changes: offer?.changes ?? [],
    choice: kind === verdict.kind ? 'accepted' : 'overruled',
    kind,
    held: offer?.held ?? used,
    ...(offer?.level === undefined ? {} : { level: offer.level }),
    reason,
  };
}
