import type { HomeDay } from './homeDay.ts';
import type { Side } from '../measures/protocol.ts';
import type { Reading } from '../measures/reading.ts';
import type { StudioForSetUps } from '../studio/studio.ts';

export type Experience = 'new' | 'steady' | 'seasoned';

/** One line of a person's cautions; its id is one of cautions/catalogue.ts, or kept as it is. */
export interface CautionEntry {
  /** Of this entry alone: one kind may be noted more than once, on two devices. */
  readonly uid: string;
  readonly id: string;
  readonly side: 'left' | 'right' | 'both' | null;
  readonly since: string | null;
  readonly severity: 'mild' | 'marked' | 'stop';
  readonly clearedBy: string | null;
  readonly clearedAt: string | null;
  readonly note: string;
}

/** What is asked at the first meeting. Every answer may be left out. */
export interface Intake {
  /** When the person agreed that what is measured is kept; null = not asked, or declined. */
  readonly consentToData: string | null;
  readonly consentToPictures: string | null;
  /** Which wording was agreed to, see consent.ts; null = said in other words. */
  readonly consentWording: string | null;
  /** Who is present for someone under 18; empty = nobody named. */
  readonly guardian: string;
  readonly hurts: string;
  readonly operations: string;
  readonly wishes: string;
}

export const EMPTY_INTAKE: Intake = {
  consentToData: null,
  consentToPictures: null,
  consentWording: null,
  guardian: '',
  hurts: '',
  operations: '',
  wishes: '',
};

/** One answer that has changed, so that a colleague can see what was known when. */
export interface AnswerChange {
  readonly at: string;
  /** The field's name, or `caution` and its id: `caution knee-pain`. */
  readonly field: string;
  readonly from: string;
  readonly to: string;
  /** Set on another device, and later than it something else was. */
  readonly isEarlier?: true;
}

export type NotDoneReason = 'declined' | 'not-allowed' | 'pain' | 'nerve-sign' | 'other';

/** A test that was not taken, and why. A later reading answers it. */
export interface NotDone {
  readonly measure: string;
  readonly side: Side | null;
  readonly reason: NotDoneReason;
  readonly at: string;
  readonly note: string;
}

/** A school chosen for one pose, or for every pose (`*`), with the reason. Ids are those of rules/schools.ts, or kept as they are. */
export interface ChosenSchool {
  readonly pose: string;
  readonly rule: string;
  readonly option: string;
  readonly reason: string;
  readonly at: string;
}

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly birthYear: number | null;
  /** Only chooses which published reference band is shown. */
  readonly sexForReference: 'female' | 'male' | null;
  readonly bodyMassKg: number | null;
  readonly experience: Experience;
  readonly cautions: readonly CautionEntry[];
  /** Private: never printed on what a student takes home. */
  readonly notes: string;
  readonly intake: Intake;
  /** Oldest first. */
  readonly history: readonly AnswerChange[];
  readonly notDone: readonly NotDone[];
  /** At most one a pose and rule. */
  readonly schools: readonly ChosenSchool[];
  /** What they reported of practising at home; left out = nothing. */
  readonly home?: readonly HomeDay[];
  /** When the stop signs were last asked; null = not yet. */
  readonly cautionsAskedAt: string | null;
  /** Nobody: a person of the demo, whose simulated readings count. */
  readonly isMadeUp?: true;
}

const ADULT_AGE = 18;

/**
 * Age in years by the year of birth alone; null = not said.
 *
 * @param now ISO date; the core has no clock
 * @returns null when no year of birth is known
 */
export const findAge = ({ birthYear }: Person, now: string): number | null =>
  birthYear === null ? null : Number(now.slice(0, 4)) - birthYear;

/**
 * Whether someone is under 18 as far as the year of birth shows.
 *
 * @param person with answers and cautions
 * @param now ISO date; the core has no clock
 * @returns false when no year of birth is known
 */
export const isMinor = (person: Person, now: string): boolean =>
  (findAge(person, now) ?? ADULT_AGE) < ADULT_AGE;

const PERSON_DEFAULTS = {
  birthYear: null,
  sexForReference: null,
  bodyMassKg: null,
  cautions: [],
  notes: '',
  history: [],
  notDone: [],
  schools: [],
  cautionsAskedAt: null,
};
const CAUTION_DEFAULTS = { side: null, since: null, clearedBy: null, clearedAt: null, note: '' };
const NOT_DONE_DEFAULTS = { side: null, note: '' };

/**
 * A person as a file may leave them, with what was left out filled in.
 *
 * @param given as read
 * @returns with every field
 */
export function completePerson(given: PersonGiven): Person {
  const counts = new Map<string, number>();
  // The first entry of a kind is known by its kind, so that two copies of a file agree.
  const nameEntry = (id: string): string => {
    const count = (counts.get(id) ?? 0) + 1;
    counts.set(id, count);
    return count === 1 ? id : `${id} ${String(count)}`;
  };
  const person = { ...PERSON_DEFAULTS, ...given };
  return {
    ...person,
    intake: { ...EMPTY_INTAKE, ...given.intake },
    cautions: person.cautions.map((each) => ({
      uid: nameEntry(each.id),
      ...CAUTION_DEFAULTS,
      ...each,
    })),
    notDone: person.notDone.map((each) => ({ ...NOT_DONE_DEFAULTS, ...each })),
  };
}

/** What a person file must hold of a person; the rest may be left out. */
export type PersonGiven = Pick<Person, 'id' | 'name' | 'experience'> &
  Partial<Omit<Person, 'intake' | 'cautions'>> & {
    readonly intake?: Partial<Intake>;
    readonly cautions?: readonly CautionGiven[];
  };

type CautionGiven = Pick<CautionEntry, 'id' | 'severity'> & Partial<CautionEntry>;

/** A pose that was held in a logged session, and the level that the record leads to. */
export interface HeldPose {
  readonly pose: string;
  /** Left out = of both. */
  readonly side?: Side;
  /** As it was last held, or as it was decided since; null = its usual one. */
  readonly level: string | null;
}

/** Everything a set-up is computed from. */
export interface PersonRecord {
  readonly person: Person;
  readonly readings: readonly Reading[];
  /** Left out = no session was logged. */
  readonly held?: readonly HeldPose[];
  /** Where they practise; left out = in the usual one. */
  readonly studio?: StudioForSetUps;
}

/** A person as loaded, with a revision that changes exactly when anything of them does. */
export interface RevisedRecord extends PersonRecord {
  /** Unique while the page is open. */
  readonly revision: string;
}
