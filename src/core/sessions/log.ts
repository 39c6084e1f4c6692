import type { Side } from '../measures/protocol.ts';

/** Pain while a pose was held; 0 = none. */
export interface LoggedPain {
  /** 0 to 10. */
  readonly score: number;
  readonly place: string;
  readonly kind: string;
  /** It rose while the pose was held. */
  readonly rising: boolean;
  /** It was still there next morning, as was said before the next session. */
  readonly nextMorning: boolean;
}

/** A sign that was seen or reported while a pose was held; its id is one of cautions/catalogue.ts. */
interface LoggedSign {
  readonly id: string;
  /** Who cleared it; null = it still stands. */
  readonly clearedBy: string | null;
}

/** One hold of one side as it was logged. What was not noted is null, or empty. */
export interface Hold {
  readonly id: string;
  readonly sessionId: string;
  readonly at: string;
  readonly pose: string;
  readonly side: Side;
  /** The pose's level or variant that was held; null = the usual one. */
  readonly level: string | null;
  readonly outcome: 'done' | 'skipped' | 'swapped' | 'ended-early';
  /** Ids of poseErrors/catalogue.ts, or kept as they are. */
  readonly errors: readonly string[];
  readonly breath: 'easy' | 'held' | null;
  readonly pain: LoggedPain | null;
  readonly sign: LoggedSign | null;
  /** Least to spare of any joint at the set-up really used, degrees; null = not known. */
  readonly toSpareDeg: number | null;
  /** What was used stays short of the recommended depth, so that a step further is inside all margins. */
  readonly isBelowRecommended?: boolean;
  /** What was used was already the deepest safe set-up. */
  readonly isAtBound: boolean;
  /** An injury was reported since the last session. */
  readonly hasInjuryNote: boolean;
}
