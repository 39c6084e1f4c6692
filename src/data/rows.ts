import type { YogaClass } from '../core/classes/yogaClass.ts';
import type { Cell } from '../core/merge/cells.ts';
import type { Stamp } from '../core/merge/clock.ts';
import type { Reading } from '../core/measures/reading.ts';
import type { Person } from '../core/person/person.ts';
import type { KeptSetUp } from '../core/whatIf/keptSetUp.ts';
import type { Appointment } from '../core/sessions/appointment.ts';
import type { Flow } from '../core/sequence/flow.ts';
import type { Session } from '../core/sessions/session.ts';
import type { SetUp } from '../core/setup/setUp.ts';

/** One person as kept in the browser. */
export interface PersonRow {
  readonly id: string;
  person: Person;
  /** Top-level fields of an imported file that we do not know; they go out again. */
  readonly extra: Readonly<Record<string, unknown>>;
  readonly updatedAt: string;
  /** Set while a person is removed but can still be brought back. */
  readonly deletedAt: string | null;
}

export interface ReadingRow extends Reading {
  readonly personId: string;
}

export interface KeptSetUpRow extends KeptSetUp {
  readonly personId: string;
}

export interface SessionRow extends Session {
  readonly personId: string;
}

/** The whole set-up behind a planned hold, to be drawn without solving it again. */
export interface FrozenSetUpRow {
  readonly personId: string;
  readonly sessionId: string;
  readonly hold: string;
  readonly setUp: SetUp;
}

export interface FlowRow extends Flow {
  readonly personId: string;
}

/** A class belongs to nobody: it names its people by id, and its guests are in it. */
export type ClassRow = YogaClass;

export interface AppointmentRow extends Appointment {
  readonly personId: string;
}

/** A picture that a reading was taken from: it never leaves the browser. */
export interface PictureRow {
  readonly id: string;
  readonly personId: string;
  readonly measure: string;
  /** Upright, without the tags that a camera writes. */
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
  readonly takenAt: string;
}

/** When a field or record of a person was last changed or removed, see core/merge. */
export interface StampRow {
  readonly personId: string;
  readonly path: string;
  readonly stamp: Stamp;
  readonly isRemoved: boolean;
}

/** This device's name and the latest stamp that it has made or seen. */
export interface ClockRow {
  readonly id: string;
  readonly device: string;
  readonly last: Stamp;
}

/** What an import changed, so that it can be undone. */
export interface UndoRow {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly at: string;
  /** Every field and record that it changed, as it was; null = it was not there. */
  readonly before: Readonly<Record<string, Cell | null>>;
  /** The stamps that it set: what was changed since is not undone. */
  readonly stamps: Readonly<Record<string, Stamp>>;
  readonly addedLog: readonly string[];
  /** The person came in with it. */
  readonly isNewPerson: boolean;
}

export interface SettingRow {
  readonly key: string;
  readonly value: unknown;
}
