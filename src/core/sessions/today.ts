import { findCautionKind } from '../cautions/catalogue.ts';
import { DEFAULT_RULES } from '../rules/houseRules.ts';
import type { Side } from '../measures/protocol.ts';
import type { CautionEntry, PersonRecord } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';

/** What was told before a session. Every answer may be left out. */
export interface Today {
  readonly askedAt: string;
  /** Cautions that hold for today: a sore knee, a sore low back … Ids of cautions/catalogue.ts. */
  readonly sore: readonly { readonly id: string; readonly side: Side | 'both' | null }[];
  /** Pain of the last session was still there next morning; null = not asked, or there was none. */
  readonly painNextMorning: boolean | null;
  readonly rested: 'well' | 'so-so' | 'poorly' | null;
  readonly state: 'cold' | 'warm' | null;
  /** An injury or an operation since the last session. */
  readonly isInjured: boolean;
  readonly news: string;
}

export const NOT_ASKED: Omit<Today, 'askedAt'> = {
  sore: [],
  painNextMorning: null,
  rested: null,
  state: null,
  isInjured: false,
  news: '',
};

/** A change that an answer of today makes, with its reason. */
export interface TodayChange {
  readonly change: string;
  readonly reason: string;
}

/** More is kept in reserve by a cold or tired body, degrees. Our choice: ranges shift by 5 to 10° warmed up. */
const COLD_MORE = 5;
const TIRED_MORE = 3;

/** A person as they are today, to be planned for. */
export interface AdaptedToday {
  readonly record: PersonRecord;
  readonly rules: Partial<HouseRules>;
  readonly changes: readonly TodayChange[];
  /** No step further today. */
  readonly holdsBack: boolean;
}

/**
 * Adds the answers of today to a person and the house rules. What is sore acts like a
 * caution of the record, for today only; a stop sign among them holds every set-up back.
 */
export function adaptToday(
  record: PersonRecord,
  today: Today | null,
  rules: Partial<HouseRules> = {},
): AdaptedToday {
  if (today === null) return { record, rules, changes: [], holdsBack: false };
  const changes: TodayChange[] = [];
  const known = new Set(record.person.cautions.map((each) => each.id));
  const added = today.sore
    .filter(({ id }) => !known.has(id))
    .map(({ id, side }): CautionEntry => {
      const kind = findCautionKind(id);
      changes.push({ change: kind?.advice ?? 'minded', reason: `${kind?.name ?? id}, today` });
      const severity = kind === null || kind.tier === 'adapt' ? 'mild' : 'stop';
      const note = 'told before the session';
      const none = { clearedBy: null, clearedAt: null };
      return { id, side, since: today.askedAt.slice(0, 10), severity, note, ...none };
    });
  const wasWarm = record.readings.some(({ state }) => state === 'warm');
  let more = 0;
  if (today.state === 'cold' && wasWarm) {
    more += COLD_MORE;
    const change = `${String(COLD_MORE)}° more to spare at every joint`;
    changes.push({ change, reason: 'cold today, but measured warmed up' });
  }
  if (today.rested === 'poorly') {
    more += TIRED_MORE;
    const change = `${String(TIRED_MORE)}° more to spare at every joint, no step further`;
    changes.push({ change, reason: 'rested poorly' });
  }
  const spare = (rules.minimumToSpareDeg ?? DEFAULT_RULES.minimumToSpareDeg) + more;
  const { person } = record;
  return {
    record:
      added.length === 0
        ? record
        : { ...record, person: { ...person, cautions: [...person.cautions, ...added] } },
    rules: more === 0 ? rules : { ...rules, minimumToSpareDeg: spare },
    changes,
    holdsBack: today.rested === 'poorly' || today.painNextMorning === true || added.length > 0,
  };
}
