/** The large field that a reading is typed into. */
export const READING =
  'min-h-19 font-serif leading-[normal] font-medium tabular-nums lining-nums aria-invalid:border-3 aria-invalid:border-ink';
