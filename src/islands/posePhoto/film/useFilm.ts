import { useEffect, useState } from 'react';
import {
  FRAME_NAMES,
  type FrameName,
  type MarkedFrame,
} from '../../../core/poseCheck/compareFrames.ts';
import type { Problem } from '../../../core/problems/problem.ts';
import type { Picture } from '../../shared/photo/loadPicture.ts';
import type { MarkedState } from '../../shared/photo/usePicture.ts';
import { loadFilm, type Film } from './loadFilm.ts';

/** A frame that was taken, and the marks that it had when another one was turned to. */
interface TakenFrame {
  readonly picture: Picture;
  readonly seconds: number;
  readonly marks: MarkedState['marks'];
}

export interface FilmState {
  readonly film: Film | null;
  readonly problems: readonly Problem[];
  readonly taken: Readonly<Partial<Record<FrameName, TakenFrame>>>;
  /** The frame whose marks are being placed. */
  readonly current: FrameName | null;
  readonly openFile: (file: File | undefined) => Promise<void>;
  /** Takes a frame; its marks begin where those of the frame before lie. */
  readonly take: (name: FrameName, picture: Picture, seconds: number) => void;
  readonly turnTo: (name: FrameName) => void;
  /** Every frame that was taken, with its marks of now. */
  readonly frames: readonly MarkedFrame[];
}

/**
 * Up to three frames of a film, marked one after the other on the same picture as a photo.
 *
 * @param state the picture that shows the current frame
 */
export function useFilm(state: MarkedState): FilmState {
  const [film, setFilm] = useState<Film | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [taken, setTaken] = useState<FilmState['taken']>({});
  const [current, setCurrent] = useState<FrameName | null>(null);
  const url = film?.url ?? null;
  useEffect(
    () => () => {
      if (url !== null) URL.revokeObjectURL(url);
    },
    [url],
  );
  /** What was taken, with the marks of the frame that is open. */
  const withMarks = (): FilmState['taken'] => {
    const open = current === null ? undefined : taken[current];
    return current === null || open === undefined
      ? taken
      : { ...taken, [current]: { ...open, marks: state.marks } };
  };
  return {
    film,
    problems,
    taken,
    current,
    openFile: async (file) => {
      if (file === undefined) return;
      const loaded = await loadFilm(file);
      setProblems(loaded.ok ? [] : loaded.problems);
      if (!loaded.ok) return;
      setFilm(loaded.value);
      setTaken({});
      setCurrent(null);
    },
    take: (name, picture, seconds) => {
      // Landmarks hardly move between frames: the last ones are a first guess.
      const { marks } = state;
      setTaken({ ...withMarks(), [name]: { picture, seconds, marks } });
      setCurrent(name);
      state.open(picture, `${name} ${String(seconds)}`, marks);
    },
    turnTo: (name) => {
      const known = withMarks();
      const frame = known[name];
      if (frame === undefined || name === current) return;
      setTaken(known);
      setCurrent(name);
      state.open(frame.picture, `${name} ${String(frame.seconds)}`, frame.marks);
    },
    frames: FRAME_NAMES.flatMap((name) => {
      const frame = taken[name];
      if (frame === undefined) return [];
      const { width, height } = frame.picture;
      return [{ name, width, height, marks: name === current ? state.marks : frame.marks }];
    }),
  };
}
