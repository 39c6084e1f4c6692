import { listMeasuresOf } from '../conditions/motionMeasures.ts';
import { findStretches } from '../felt/stretches.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import type { PersonRecord } from '../person/person.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { findLyingPose, LYING_POSES } from '../poses/lying/index.ts';
import type { LyingPose } from '../poses/lying/lyingPose.ts';
import { findLyingForms } from '../poses/swaps.ts';
import type { Result } from '../problems/problem.ts';
import { planSession, type SessionAsked, type SessionPlan } from './planSession.ts';
import type { Session } from './session.ts';
import type { Today } from './today.ts';

/** A lying or seated form in place of a pose of the usual plan. */
export interface GentlerSwap {
  readonly from: string;
  readonly to: string;
  /** The ranges that the pose trains, and the form still goes to. */
  readonly keeps: readonly MeasureId[];
}

/** A session of lying and seated forms in place of the usual one. */
export interface GentlerDay {
  readonly plan: SessionPlan;
  readonly swaps: readonly GentlerSwap[];
  /** Poses without an equivalent, and why. */
  readonly leftOut: readonly { readonly pose: string; readonly why: string }[];
}

/**
 * Whether less is asked for, by what was answered. Nothing is assumed of who was not asked.
 *
 * @param today the answers
 * @returns true for little rest, low energy, or the wish itself
 */
export const isAskedForLess = ({ rested, energy, wish }: Omit<Today, 'askedAt'>): boolean =>
  wish === 'gentle' || rested === 'poorly' || energy === 'low';

/**
 * Whether the session is lying and seated: less is asked for, and nobody wishes for the usual plan.
 *
 * @param today the answers
 * @returns false for the usual plan
 */
export const isGentlerDay = (today: Omit<Today, 'askedAt'>): boolean =>
  isAskedForLess(today) && today.wish !== 'as-usual';

/** Already lying, seated or resting: it stays in the session. */
const isGentle = (pose: string): boolean =>
  findLyingPose(pose) !== null || findPose(pose)?.guidance.effort === 'passive';

/** A pose trains what it brings to this share of its range. Our choice. */
const TRAINED_FROM = 0.7;

/** The measured ranges that a pose brings near their end for this person, on either side: what they train in it. */
function findTrained({ holds }: SessionPlan, pose: string): readonly MeasureId[] {
  const measures = holds
    .filter(({ plan }) => plan.pose === pose)
    .flatMap(({ setUp }) => findStretches(setUp))
    .filter(({ share, rule }) => share >= TRAINED_FROM && !rule.isRarelyFelt)
    .flatMap(({ report }) => listMeasuresOf(report));
  return [...new Set(measures)];
}

const listKept = ({ asks }: LyingPose, trained: readonly MeasureId[]): readonly MeasureId[] =>
  trained.filter((each) => asks.some(({ measure }) => measure === each));

/** Forms that may take a pose’s place: those that keep most of what it trains, then those that ask less effort. */
function listForms(pose: string, trained: readonly MeasureId[]): readonly LyingPose[] {
  const standing = findPose(pose);
  const own = standing === null ? [] : findLyingForms(standing);
  const others = LYING_POSES.filter(
    (each) => !own.includes(each) && listKept(each, trained).length > 0,
  );
  const isActive = ({ guidance }: LyingPose): number => Number(guidance.effort === 'active');
  return [own, others].flatMap((forms) =>
    forms.toSorted(
      (a, b) =>
        listKept(b, trained).length - listKept(a, trained).length || isActive(a) - isActive(b),
    ),
  );
}

const NO_FORM = 'No lying or seated form does its work. It waits for another day.';

/**
 * Today’s session as lying and seated forms: each pose by the form that keeps what this person trains
 * in it with the least effort, planned with the same ranges, marks and props.
 *
 * @param record the person with all readings
 * @param sessions all of this person
 * @param today what was said of today
 * @param asked the usual session
 * @param now ISO date; the core has no clock
 * @returns the gentler session, what took which place, and what was left out
 */
export function planGentlerDay(
  record: PersonRecord,
  sessions: readonly Session[],
  today: Today | null,
  asked: SessionAsked,
  now: string,
): Result<GentlerDay> {
  const usual = planSession(record, sessions, today, asked, now);
  if (!usual.ok) return usual;
  /** Why a form cannot be held; empty = it can. */
  const refuse = (form: string): readonly string[] => {
    const poses = [{ pose: form, level: FITTING_LEVEL }];
    const planned = planSession(record, sessions, today, { ...asked, poses }, now);
    if (!planned.ok) return planned.problems.map(({ message }) => message);
    return planned.value.leftOut.flatMap(({ why }) => why);
  };
  const poses: SessionAsked['poses'][number][] = [];
  const swaps: GentlerSwap[] = [];
  const leftOut: GentlerDay['leftOut'][number][] = [];
  for (const each of asked.poses) {
    const { pose } = each;
    if (isGentle(pose)) {
      poses.push(each);
      continue;
    }
    const trained = findTrained(usual.value, pose);
    const forms = listForms(pose, trained);
    const refusals = forms.map(({ id }) => refuse(id));
    const form = forms.find((_, i) => refusals[i]!.length === 0);
    if (form === undefined) {
      const [why] = refusals;
      leftOut.push({ pose, why: why === undefined ? NO_FORM : why.join(' ') });
      continue;
    }
    swaps.push({ from: pose, to: form.id, keeps: listKept(form, trained) });
    if (!poses.some((other) => other.pose === form.id)) {
      poses.push({ pose: form.id, level: FITTING_LEVEL });
    }
  }
  const plan = planSession(record, sessions, today, { ...asked, poses }, now);
  return plan.ok ? { ok: true, value: { plan: plan.value, swaps, leftOut } } : plan;
}

const list = new Intl.ListFormat('en', { type: 'conjunction' });
const namePose = (id: string): string => findAnyPose(id)?.name ?? id;

/**
 * What took the place of a pose, and what it keeps.
 *
 * @param swap one of a gentler day
 * @returns "Lying triangle in place of Triangle: it keeps straight-leg raise."
 */
export function sayGentlerSwap({ from, to, keeps }: GentlerSwap): string {
  const names = keeps.map((each) => getProtocol(each).name.toLowerCase());
  const kept = names.length === 0 ? 'it keeps the shape' : `it keeps ${list.format(names)}`;
  return `${namePose(to)} in place of ${namePose(from)}: ${kept}.`;
}

/**
 * Why a pose has no place in a gentler day.
 *
 * @param left the pose, and why
 * @returns a sentence
 */
export const sayGentlerLeftOut = ({ pose, why }: GentlerDay['leftOut'][number]): string =>
  `${namePose(pose)} is left out. ${why}`;
