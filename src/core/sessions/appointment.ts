/** When a person comes next, in local time of the named time zone. */
export interface Appointment {
  readonly id: string;
  /** `2026-12-03T18:30`. */
  readonly start: string;
  /** IANA name. */
  readonly timeZone: string;
  readonly minutes: number;
  /** How many weeks in a row; 1 = once. */
  readonly weeks: number;
  readonly note: string;
}
