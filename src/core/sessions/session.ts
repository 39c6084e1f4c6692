import type { Felt } from '../felt/places.ts';
import type { Side } from '../measures/protocol.ts';
import type { AsFound, HouseRules } from '../rules/houseRules.ts';
import type { KeptSetUp } from '../whatIf/keptSetUp.ts';
import type { Verdict, VerdictKind } from './ladder.ts';
import type { LedFlow, LedStep } from './ledFlow.ts';
import type { StepChange } from './step.ts';
import type { Today } from './today.ts';

/** One hold of one side as it was planned; its set-up is frozen with the date it was made. */
export interface PlannedHold {
  /** Within its session. */
  readonly id: string;
  readonly pose: string;
  readonly level: string | null;
  readonly side: Side;
  readonly breaths: number;
  /** How often it is held before the next hold. */
  readonly rounds: number;
  readonly madeAt: string;
  readonly rules: Partial<HouseRules>;
  /** Of the rules that its numbers were made by. */
  readonly rulesVersion: number;
  /** What was held by hand when it was made; null = as recommended. */
  readonly moved: AsFound | null;
  readonly settings: KeptSetUp['settings'];
  /** What is held; null = the pose has no degrees of depth. */
  readonly depth: number | null;
  /** Least to spare of any joint against its measured value less the error, degrees. */
  readonly toSpareDeg: number | null;
  readonly isAtBound: boolean;
  /** Why it is this set-up, when that is not only the measures. */
  readonly why: readonly string[];
}

export interface Pain {
  /** 0 to 10. */
  readonly score: number;
  readonly place: string;
  readonly kind: string;
  /** It rose while the pose was held. */
  readonly rising: boolean;
}

type HoldOutcome = 'done' | 'skipped' | 'swapped' | 'ended-early';

/** What was noted of one hold. What was not noted is null, or empty. */
export interface HoldNotes {
  readonly outcome: HoldOutcome | null;
  /** A pose's id when it was swapped. */
  readonly swappedFor: string | null;
  readonly level: string | null;
  /** What was really used where it differs from the plan; null = as planned. */
  readonly used: AsFound | null;
  /** Least to spare at what was used, degrees; null = as planned, or not known. */
  readonly toSpareDeg: number | null;
  readonly isAtBound: boolean | null;
  readonly breaths: number | null;
  readonly rounds: number | null;
  /** Ids of poseErrors/catalogue.ts, or kept as they are. */
  readonly errors: readonly string[];
  /** Where it was felt, and how. */
  readonly felt: readonly Felt[];
  readonly breath: 'easy' | 'held' | null;
  readonly pain: Pain | null;
  /** A stop sign; its id is one of cautions/catalogue.ts. */
  readonly sign: string | null;
  /** This side was the harder one. */
  readonly isHarder: boolean;
  readonly note: string;
}

export const EMPTY_NOTES: HoldNotes = {
  outcome: null,
  swappedFor: null,
  level: null,
  used: null,
  toSpareDeg: null,
  isAtBound: null,
  breaths: null,
  rounds: null,
  errors: [],
  felt: [],
  breath: null,
  pain: null,
  sign: null,
  isHarder: false,
  note: '',
};

/** A verdict as it was offered, and what the teacher made of it. Both are kept. */
export interface Decision {
  readonly pose: string;
  readonly side: Side;
  readonly verdict: Verdict;
  /** What the step would change, before and after. */
  readonly changes: readonly StepChange[];
  readonly choice: 'accepted' | 'overruled';
  /** What holds from now on. */
  readonly kind: VerdictKind;
  /** What the next set-up holds by hand; null = as recommended. */
  readonly held: AsFound | null;
  /** The level of the pose from now on, null = the usual one; left out = the one that was held. */
  readonly level?: string | null;
  readonly reason: string;
}

export type EndReason = 'finished' | 'ended-early' | 'emergency';

type EntryBody =
  | { readonly kind: 'begin' }
  | { readonly kind: 'note'; readonly hold: string; readonly change: Partial<HoldNotes> }
  /** One error more, or one less. Two hands that note two errors lose neither. */
  | {
      readonly kind: 'error';
      readonly hold: string;
      readonly error: string;
      readonly isSeen: boolean;
    }
  /** One place more where it was felt; how null = it was not felt there after all. */
  | {
      readonly kind: 'felt';
      readonly hold: string;
      readonly place: string;
      readonly how: Felt['how'] | null;
    }
  | { readonly kind: 'undo'; readonly entry: string }
  /** Someone who may has cleared the sign of a hold. */
  | { readonly kind: 'clear'; readonly hold: string; readonly by: string; readonly note: string }
  | { readonly kind: 'decide'; readonly decision: Decision }
  /** A flow that has to end in so many minutes: what was left out, and all steps as they are now. */
  | {
      readonly kind: 'shorten';
      readonly minutes: number;
      readonly dropped: readonly string[];
      readonly steps: readonly LedStep[];
    }
  | { readonly kind: 'end'; readonly why: EndReason; readonly note: string };

/** One thing that was noted, in the order of its time. Entries are added, never changed. */
export type SessionEntry = EntryBody & { readonly id: string; readonly at: string };

type WithoutStamp<Entry> = Entry extends unknown ? Omit<Entry, 'id' | 'at'> : never;
/** What is noted; its id and time are given when it is stored. */
export type NewEntry = WithoutStamp<SessionEntry>;

/** Where a running session stands. */
export interface Position {
  /** The hold; in a flow the step, whether it is logged or not. */
  readonly hold: string;
  readonly stage: 'set' | 'breathe' | 'log';
  readonly breath: number;
}

/** A class that a session was part of, and which of its meetings. */
export interface SessionClass {
  readonly id: string;
  readonly name: string;
  readonly meeting: string;
}

/** A session of one person: what was planned, where it stands, and everything noted. */
export interface Session {
  readonly id: string;
  readonly plannedAt: string;
  /** IANA name, so that its dates are written as they were lived. */
  readonly timeZone: string;
  readonly today: Today | null;
  readonly holds: readonly PlannedHold[];
  /** What leads through the holds; left out = one hold follows the other. */
  readonly flow?: LedFlow;
  /** The class that it was part of; left out = a session of one person. */
  readonly class?: SessionClass;
  readonly entries: readonly SessionEntry[];
  readonly position: Position | null;
  /** When it was held, for a session that is written down afterwards; null = as it runs. */
  readonly heldAt: string | null;
}
