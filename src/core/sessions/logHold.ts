import type { Felt } from '../felt/places.ts';
import type { AsFound } from '../rules/houseRules.ts';
import { NOT_MOVED } from '../whatIf/planMoved.ts';
import { PAIN_KINDS } from './respond.ts';
import type { HoldNotes, NewEntry, Pain, PlannedHold } from './session.ts';

/** What one press on the log changes in a hold's notes. */
type NotesChange = Partial<HoldNotes>;

const NO_PAIN: Pain = { score: 0, place: '', kind: '', rising: false };

/**
 * A change of notes as it is stored.
 *
 * @param hold its id
 * @param change what is noted
 * @returns one entry
 */
export const noteChange = (hold: string, change: NotesChange): NewEntry => ({
  kind: 'note',
  hold,
  change,
});

/**
 * An error sign seen, or taken back when it was noted already. It is an entry of its own, so
 * that two hands that note two errors lose neither.
 *
 * @param hold its id
 * @param error id of poseErrors/catalogue.ts
 * @returns one entry
 */
export const toggleError = (hold: string, { errors }: HoldNotes, error: string): NewEntry => ({
  kind: 'error',
  hold,
  error,
  isSeen: !errors.includes(error),
});

/**
 * Where something was felt, and how; the same again, and it was not felt there after all.
 *
 * @param hold its id
 * @param place one of FELT_PLACES, or NOWHERE
 * @param how stretch or work
 * @returns one entry
 */
export function toggleFelt(
  hold: string,
  { felt }: HoldNotes,
  place: string,
  how: Felt['how'],
): NewEntry {
  const isAgain = felt.some((each) => each.place === place && each.how === how);
  return { kind: 'felt', hold, place, how: isAgain ? null : how };
}

/**
 * How the breath was; pressed again, nothing is said of it.
 *
 * @param pressed the answer
 * @returns what is noted
 */
export const toggleBreath = (
  { breath }: HoldNotes,
  pressed: NonNullable<HoldNotes['breath']>,
): NotesChange => ({ breath: breath === pressed ? null : pressed });

/**
 * What became of the hold; pressed again, nothing is said of it.
 *
 * @param pressed the answer
 * @returns what is noted
 */
export const toggleOutcome = (
  { outcome }: HoldNotes,
  pressed: 'ended-early' | 'skipped',
): NotesChange => ({ outcome: outcome === pressed ? null : pressed });

/**
 * Pain from 0 to 10; the same score pressed again takes the pain back.
 *
 * @param score that was pressed
 * @returns what is noted; place, kind and whether it rose stay
 */
export const toggleScore = ({ pain }: HoldNotes, score: number): NotesChange => ({
  pain: pain?.score === score ? null : { ...(pain ?? NO_PAIN), score },
});

/**
 * The kind of a pain; one that is a stop sign is noted as one as well. Pressed again, the kind
 * is taken back and the sign stays: only the sign's own button takes it back.
 *
 * @param kind id of PAIN_KINDS
 * @returns what is noted
 */
export function togglePainKind({ pain }: HoldNotes, kind: string): NotesChange {
  const known = pain ?? NO_PAIN;
  if (known.kind === kind) return { pain: { ...known, kind: '' } };
  const sign = PAIN_KINDS.find(({ id }) => id === kind)?.sign ?? null;
  return { pain: { ...known, kind }, ...(sign === null ? {} : { sign }) };
}

/**
 * Where it hurts; pressed again, nothing is said of it.
 *
 * @param place one of BODY_PLACES
 * @returns what is noted
 */
export const togglePainPlace = ({ pain }: HoldNotes, place: string): NotesChange => ({
  pain: { ...(pain ?? NO_PAIN), place: pain?.place === place ? '' : place },
});

/**
 * Whether a pain rose while the pose was held.
 *
 * @returns what is noted
 */
export const toggleRising = ({ pain }: HoldNotes): NotesChange => ({
  pain: { ...(pain ?? NO_PAIN), rising: pain?.rising !== true },
});

/**
 * A stop sign; pressed again, it is taken back.
 *
 * @param notes of the hold
 * @param sign id of cautions/catalogue.ts
 * @returns what is noted
 */
export const toggleSign = (notes: HoldNotes, sign: string): NotesChange => ({
  sign: notes.sign === sign ? null : sign,
});

/**
 * What is held by hand at a hold: as it was really used, else as it was planned.
 *
 * @param plan the hold as planned
 * @param notes what was noted of it
 * @returns every field null = as recommended
 */
export const findUsed = ({ moved }: PlannedHold, { used }: HoldNotes): AsFound =>
  used ?? moved ?? NOT_MOVED;

/**
 * Notes what was really used. The margin of the plan no longer tells of it.
 *
 * @param plan the hold as planned
 * @param notes what was noted of it
 * @param change cm and degrees
 * @returns what is noted
 */
export const changeUsed = (
  plan: PlannedHold,
  notes: HoldNotes,
  change: Partial<AsFound>,
): NotesChange => ({
  used: { ...findUsed(plan, notes), ...change },
  toSpareDeg: null,
  isAtBound: false,
});

/**
 * Breaths or rounds that were really held.
 *
 * @param count which of them
 * @param value as it is pressed; below 0 counts as 0
 * @returns what is noted
 */
export const changeCount = (count: 'breaths' | 'rounds', value: number): NotesChange =>
  count === 'breaths' ? { breaths: Math.max(0, value) } : { rounds: Math.max(0, value) };

/**
 * The pose that took this one's place.
 *
 * @param pose its id; null = none did
 * @returns what is noted
 */
export const swapFor = (pose: string | null): NotesChange => ({
  swappedFor: pose,
  outcome: pose === null ? null : 'swapped',
});
