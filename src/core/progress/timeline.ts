import { findCautionKind } from '../cautions/catalogue.ts';
import { sayFelt } from '../felt/places.ts';
import { isMeasureId, getProtocol } from '../measures/protocols/index.ts';
import { isCounted } from '../measures/reading.ts';
import type { PersonRecord } from '../person/person.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import { hasSides } from '../poses/hasSides.ts';
import { findPoseError } from '../poseErrors/catalogue.ts';
import { readSession, type LoggedHold } from '../sessions/readSession.ts';
import { sayVerdict } from '../sessions/sayVerdict.ts';
import type { Session } from '../sessions/session.ts';
import { findSessionTime } from '../sessions/toHolds.ts';
import type { KeptSetUp } from '../whatIf/keptSetUp.ts';
import { sayCount } from '../units/sayCount.ts';

/** One thing that happened, as a colleague would want to read it. */
export interface Happening {
  readonly at: string;
  readonly kind: 'measured' | 'answered' | 'kept' | 'session' | 'verdict' | 'home';
  readonly words: string;
  readonly details: readonly string[];
  /** It stops something until it is cleared. */
  readonly stops: boolean;
}

const namePose = (id: string): string => (findPose(id) ?? findLyingPose(id))?.name ?? id;

/** `Triangle, left`; a pose whose sides are alike goes without. */
const nameHold = (pose: string, side: string): string =>
  hasSides(pose) ? `${namePose(pose)}, ${side}` : namePose(pose);

/** Readings of one day as one line. */
function listMeasured({ readings }: PersonRecord): Happening[] {
  const days = new Map<string, Set<string>>();
  const times = new Map<string, string>();
  for (const { takenAt, measure } of readings.filter(isCounted)) {
    const day = takenAt.slice(0, 10);
    const name = isMeasureId(measure) ? getProtocol(measure).name.toLowerCase() : measure;
    days.set(day, (days.get(day) ?? new Set()).add(name));
    if (takenAt > (times.get(day) ?? '')) times.set(day, takenAt);
  }
  return [...days].map(([day, names]) => ({
    at: times.get(day)!,
    kind: 'measured',
    words: sayCount(names.size, 'measurement'),
    details: [[...names].join(', ')],
    stops: false,
  }));
}

const listAnswered = ({ person }: PersonRecord): Happening[] =>
  // Private notes are printed nowhere, and an earlier answer of another device was no change here.
  person.history
    .filter(({ field, isEarlier }) => field !== 'notes' && isEarlier !== true)
    .map(({ at, field, from, to }) => ({
      at,
      kind: 'answered',
      words: `${field}: ${to === '' ? 'withdrawn' : to}`,
      details: from === '' ? [] : [`before: ${from}`],
      stops: false,
    }));

const listKept = (setUps: readonly KeptSetUp[]): Happening[] =>
  setUps.map(({ keptAt, pose, side, reason }) => ({
    at: keptAt,
    kind: 'kept',
    words: `Set-up kept: ${nameHold(pose, side)}`,
    details: reason === '' ? [] : [reason],
    stops: false,
  }));

/** What the person reported themselves; noon, so that a day is the same day everywhere. */
const listHome = ({ person: { home = [] } }: PersonRecord): Happening[] =>
  home.map(({ day, poses, words }) => ({
    at: `${day}T12:00:00.000Z`,
    kind: 'home',
    words: `Practised at home, as they reported${poses.length === 0 ? '' : `: ${poses.map(namePose).join(', ')}`}`,
    details: words === '' ? [] : [`“${words}”`],
    stops: false,
  }));

/** What was noted of a hold, in a few words; empty = all was well. */
function sayNotes({ notes, cleared }: LoggedHold): string {
  const parts = [
    notes.outcome === 'done' || notes.outcome === null ? '' : notes.outcome.replace('-', ' '),
    ...notes.errors.map((id) => findPoseError(id)?.words ?? id),
    sayFelt(notes.felt),
    notes.breath === 'held' ? 'breath held' : '',
    notes.pain === null || notes.pain.score === 0
      ? ''
      : ['pain', `${String(notes.pain.score)} of 10`, notes.pain.kind, notes.pain.place]
          .filter((each) => each !== '')
          .join(' '),
    notes.sign === null ? '' : (findCautionKind(notes.sign)?.name ?? notes.sign),
    cleared === null ? '' : `cleared by ${cleared.by}`,
    notes.isHarder ? 'the harder side' : '',
    notes.note,
  ];
  return parts.filter((each) => each !== '').join(', ');
}

function listSession(session: Session): Happening[] {
  const { holds, ended, decisions } = readSession(session);
  const noted = holds.filter(({ at }) => at !== null);
  const told = noted.flatMap((hold) => {
    const words = sayNotes(hold);
    return words === '' ? [] : [`${nameHold(hold.plan.pose, hold.plan.side)}: ${words}`];
  });
  const poses = [...new Set(noted.map(({ plan }) => namePose(plan.pose)))];
  const how =
    ended === null
      ? ', not ended yet'
      : ended.why === 'finished'
        ? ''
        : ended.why === 'emergency'
          ? ', stopped by a sign'
          : ', ended early';
  const own: Happening = {
    at: findSessionTime(session),
    kind: 'session',
    words: `Session${how}: ${poses.join(', ')}`,
    details: [...told, ...(session.today?.news ? [`reported before: ${session.today.news}`] : [])],
    stops: holds.some(({ notes, cleared }) => notes.sign !== null && cleared === null),
  };
  // Both sides of a pose stand on one line when the same was decided for the same reason.
  const judged = new Map<string, Happening>();
  for (const { at, pose, side, kind, choice, verdict, reason } of decisions) {
    const details = [
      `because: ${verdict.facts.join('; ')}`,
      ...(choice === 'overruled' ? [`changed from “${sayVerdict(verdict.kind)}”: ${reason}`] : []),
    ];
    const key = [pose, kind, ...details].join('|');
    const where = judged.has(key) ? 'both sides' : side;
    judged.set(key, {
      at,
      kind: 'verdict',
      words: `${nameHold(pose, where)}: ${sayVerdict(kind)}`,
      details,
      stops: kind === 'pause' || kind === 'pause-and-send-on' || kind === 'end-session',
    });
  }
  return noted.length === 0 && ended === null ? [] : [own, ...judged.values()];
}

/**
 * The whole record of a person, the latest first.
 *
 * @param record the person with all readings
 * @param setUps kept of this person
 * @param sessions of this person, in any order
 * @returns with words and dates
 */
export const listTimeline = (
  record: PersonRecord,
  setUps: readonly KeptSetUp[],
  sessions: readonly Session[],
): readonly Happening[] =>
  [
    ...listMeasured(record),
    ...listAnswered(record),
    ...listKept(setUps),
    ...listHome(record),
    ...sessions.flatMap(listSession),
  ].sort((a, b) => b.at.localeCompare(a.at));
