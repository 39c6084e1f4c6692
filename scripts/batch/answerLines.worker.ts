import { answerLine } from './answerLine.ts';

/** Some lines of a batch, one after the other. */
export interface Chunk {
  readonly lines: readonly string[];
  /** Number of the first one, from 1. */
  readonly first: number;
  readonly now: string;
}

/** The worker thread’s side: one answer a line. */
export default function run({ lines, first, now }: Chunk): readonly string[] {
  return lines.map((text, i) => answerLine(text, first + i, now));
}
