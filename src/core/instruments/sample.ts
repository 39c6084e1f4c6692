/** What an instrument that reads angles says, about twenty times a second. */
export interface Sample {
  /** Milliseconds of the instrument's own clock. */
  readonly at: number;
  /** Degrees as read, with noise and drift; null = this sample dropped out. */
  readonly deg: number | null;
  /** 0 = worthless, 1 = as good as it gets. */
  readonly quality: number;
  /** Percent left; null = it does not say. */
  readonly batteryPercent: number | null;
}
