import type { Side } from '../measures/protocol.ts';
import type { PropItem } from '../props/propList.ts';
import type { Appointment } from '../sessions/appointment.ts';
import type { KeptShares } from './cupboard/keepShares.ts';
import type { Guest } from './guest.ts';
import type { ClassSetting } from './lossOnGrid.ts';

/** More people than this are no class that one teacher sees. Our choice. */
export const MOST_PEOPLE = 60;

/** When a class meets, in local time of the named time zone. */
export type ClassTime = Omit<Appointment, 'id' | 'note'>;

/** One number of an instruction, and for whom. */
export interface InstructedPlace {
  readonly member: string;
  readonly side: Side;
  /** cm or degrees. */
  readonly value: number;
}

/** What is said to the class for one pose. Who is not named has their own number. */
export interface Instruction {
  readonly pose: string;
  readonly setting: ClassSetting;
  readonly places: readonly InstructedPlace[];
}

/** Where someone’s mat lies in the room: its middle, metres from the front left corner as the teacher sees it. */
export interface RoomPlace {
  readonly x: number;
  readonly y: number;
}

/** A class that is being taught. */
export interface ClassRun {
  /** Of this meeting: the sessions that came of it carry it. */
  readonly id: string;
  readonly startedAt: string;
  readonly pose: string;
  readonly present: readonly string[];
  /** Of those who are or were here: the session in their own record, by member. */
  readonly sessions: Readonly<Record<string, string>>;
  /** What was handed out of the cupboard: nobody has to give it back for a latecomer. */
  readonly kept: KeptShares;
}

/** A meeting that has ended. */
export interface Meeting {
  readonly id: string;
  readonly at: string;
  /** People with a record; guests are not kept. */
  readonly present: readonly string[];
}

/** A group that is taught together. Its members are people of this browser and guests. */
export interface YogaClass {
  readonly id: string;
  readonly name: string;
  readonly time: ClassTime | null;
  readonly personIds: readonly string[];
  readonly guests: readonly Guest[];
  /** Ids of poses in the order in which they are held, each once. */
  readonly poses: readonly string[];
  /** Lent from outside for the hour, beside what the studio has. */
  readonly lent: readonly PropItem[];
  readonly instructions: readonly Instruction[];
  /** By member; who has none is placed by the app. */
  readonly places: Readonly<Record<string, RoomPlace>>;
  readonly run: ClassRun | null;
  /** The latest last. */
  readonly meetings: readonly Meeting[];
}

/**
 * A class that has just been begun.
 *
 * @param id unique
 * @param name how it is called
 * @returns without people and poses
 */
export const makeClass = (id: string, name: string): YogaClass => ({
  id,
  name,
  time: null,
  personIds: [],
  guests: [],
  poses: [],
  lent: [],
  instructions: [],
  places: {},
  run: null,
  meetings: [],
});

/**
 * What the class may use: the studio’s cupboard and what is lent for the hour.
 *
 * @param cupboard of the studio
 * @param lent from outside
 * @returns one list, with ids of their own
 */
export const findClassCupboard = (
  cupboard: readonly PropItem[],
  lent: readonly PropItem[],
): readonly PropItem[] => [
  ...cupboard,
  ...lent.map((each) => ({ ...each, id: `lent ${each.id}` })),
];

/**
 * A class without one of its members, wherever they are named.
 *
 * @param yogaClass the class
 * @param member id of a person or a guest
 * @returns the same class when they are not in it
 */
export function withoutMember(yogaClass: YogaClass, member: string): YogaClass {
  const { personIds, guests, instructions, places, run, meetings } = yogaClass;
  const without = <Value>(record: Readonly<Record<string, Value>>): Record<string, Value> =>
    Object.fromEntries(Object.entries(record).filter(([id]) => id !== member));
  return {
    ...yogaClass,
    personIds: personIds.filter((id) => id !== member),
    guests: guests.filter(({ id }) => id !== member),
    instructions: instructions.map((each) => ({
      ...each,
      places: each.places.filter((place) => place.member !== member),
    })),
    places: without(places),
    run:
      run === null
        ? null
        : {
            ...run,
            present: run.present.filter((id) => id !== member),
            sessions: without(run.sessions),
          },
    meetings: meetings.map((each) => ({
      ...each,
      present: each.present.filter((id) => id !== member),
    })),
  };
}

const MS_PER_MINUTE = 60_000;
const MS_PER_WEEK = 7 * 24 * 60 * MS_PER_MINUTE;

/** Every meeting of a time as milliseconds of its wall clock, so that a change of clocks moves none. */
const listStarts = ({ start, weeks }: ClassTime): readonly number[] =>
  Array.from({ length: weeks }, (_each, i) => Date.parse(`${start}:00Z`) + i * MS_PER_WEEK);

/** Whether two classes of one time zone ever meet at the same time. */
function overlap(a: ClassTime, b: ClassTime): boolean {
  if (a.timeZone !== b.timeZone) return false;
  const others = listStarts(b);
  return listStarts(a).some((start) =>
    others.some(
      (other) =>
        start < other + b.minutes * MS_PER_MINUTE && other < start + a.minutes * MS_PER_MINUTE,
    ),
  );
}

/**
 * Who is in another class at the same time.
 *
 * @param yogaClass the class
 * @param others every other class
 * @returns people with the class that they are in too
 */
export function findClashes(
  { id, time, personIds }: YogaClass,
  others: readonly YogaClass[],
): readonly { readonly person: string; readonly other: string }[] {
  if (time === null) return [];
  return others
    .filter((each) => each.id !== id && each.time !== null && overlap(time, each.time))
    .flatMap((each) =>
      personIds
        .filter((person) => each.personIds.includes(person))
        .map((person) => ({ person, other: each.name })),
    );
}
