import { WordButton } from './Button.tsx';
import { working as say } from '../words.ts';

interface WorkingProps {
  /** Says what is worked out, and how far it is. */
  words: string;
  done: number;
  /** 0 = not known yet. */
  all: number;
  onStop: () => void;
}

/** Something long is on its way: how far it is, and a way to stop it. */
export const Working = ({ words, done, all, onStop }: WorkingProps) => (
  <p className="flex flex-wrap items-center gap-x-4">
    <progress
      className="accent-water"
      aria-label={words}
      {...(all === 0 ? {} : { value: done, max: all })}
    />
    {words}
    <WordButton onClick={onStop}>{say.stop}</WordButton>
  </p>
);
