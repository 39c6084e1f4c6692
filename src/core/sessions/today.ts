import { findCautionKind } from '../cautions/catalogue.ts';
import { isMeasuredWarm } from '../measures/sittings.ts';
import { DEFAULT_RULES } from '../rules/houseRules.ts';
import type { Side } from '../measures/protocol.ts';
import type { CautionEntry, PersonRecord } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';

/** What was said before a session. Every answer may be left out. */
export interface Today {
  readonly askedAt: string;
  /** Cautions that hold for today: a sore knee, a sore low back … Ids of cautions/catalogue.ts. */
  readonly sore: readonly { readonly id: string; readonly side: Side | 'both' | null }[];
  /** Pain of the last session was still there next morning; null = not asked, or there was none. */
  readonly painNextMorning: boolean | null;
  readonly rested: 'well' | 'so-so' | 'poorly' | null;
  /** Left out = not asked. */
  readonly energy?: 'good' | 'usual' | 'low' | null;
  /** How they would like it today; left out = not asked. */
  readonly wish?: 'as-usual' | 'gentle' | null;
  readonly state: 'cold' | 'warm' | null;
  /** An injury or an operation since the last session. */
  readonly isInjured: boolean;
  readonly news: string;
}

export const NOT_ASKED: Omit<Today, 'askedAt'> = {
  sore: [],
  painNextMorning: null,
  rested: null,
  energy: null,
  wish: null,
  state: null,
  isInjured: false,
  news: '',
};

/** A change that an answer of today makes, with its reason. */
export interface TodayChange {
  readonly change: string;
  readonly reason: string;
}

/** A cold or a tired body holds back at least this much more, degrees. Our choice: ranges shift by 5 to 10° warmed up. */
const COLD_MORE = 5;
const TIRED_MORE = 3;

/** A person as they are today, to be planned for. */
export interface AdaptedToday {
  readonly record: PersonRecord;
  readonly rules: Partial<HouseRules>;
  readonly changes: readonly TodayChange[];
  /** The same reasons in a word or two, to stand beside a number. */
  readonly why: readonly string[];
  /** No step further today. */
  readonly holdsBack: boolean;
}

/**
 * Adds the answers of today to a person and the house rules. What is sore acts like a
 * caution of the record, for today only; a stop sign among them holds every set-up back.
 * Who does not say that they are warm counts as cold.
 *
 * @param record the person with all readings
 * @param asked null = nothing was asked
 * @param rules house rules that differ from the defaults
 * @returns record and rules for today, with what they change
 */
export function adaptToday(
  record: PersonRecord,
  asked: Today | null,
  rules: Partial<HouseRules> = {},
): AdaptedToday {
  const today = asked ?? { ...NOT_ASKED, askedAt: '' };
  const changes: TodayChange[] = [];
  const known = new Set(record.person.cautions.map((each) => each.id));
  const added = today.sore
    .filter(({ id }) => !known.has(id))
    .map(({ id, side }): CautionEntry => {
      const kind = findCautionKind(id);
      changes.push({
        change: kind?.advice ?? 'taken into account',
        reason: `${kind?.name ?? id}, today`,
      });
      const severity = kind === null || kind.tier === 'adapt' ? 'mild' : 'stop';
      const note = 'reported before the session';
      const none = { clearedBy: null, clearedAt: null };
      return {
        uid: `${id} today`,
        id,
        side,
        since: today.askedAt.slice(0, 10),
        severity,
        note,
        ...none,
      };
    });
  const wasWarm = isMeasuredWarm(record.readings);
  const isCold = today.state !== 'warm' && wasWarm;
  const isTired = today.rested === 'poorly';
  const more = (isCold ? COLD_MORE : 0) + (isTired ? TIRED_MORE : 0);
  const least = (rules.minimumToSpareDeg ?? DEFAULT_RULES.minimumToSpareDeg) + more;
  const heldBack = `at least ${String(least)}° held back at every joint`;
  if (isCold) {
    const said = today.state === 'cold' ? 'cold today' : 'not marked as warm, so treated as cold';
    changes.push({ change: heldBack, reason: `${said}, but measured warm` });
  }
  if (isTired) {
    changes.push({ change: `${heldBack}, no step further`, reason: 'rested poorly' });
  }
  const { person } = record;
  return {
    record:
      added.length === 0
        ? record
        : { ...record, person: { ...person, cautions: [...person.cautions, ...added] } },
    rules: more === 0 ? rules : { ...rules, minimumToSpareDeg: least },
    changes,
    why: [...(isCold ? ['treated as cold today'] : []), ...(isTired ? ['rested poorly'] : [])],
    holdsBack: today.rested === 'poorly' || today.painNextMorning === true || added.length > 0,
  };
}
