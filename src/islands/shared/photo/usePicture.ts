import { useEffect, useState } from 'react';
import type { Pixel } from '../../../core/photo/photoReading.ts';
import type { Problem } from '../../../core/problems/problem.ts';
import { loadPicture, type Picture } from './loadPicture.ts';

interface OpenedPicture {
  readonly id: string;
  readonly picture: Picture;
  readonly url: string;
}

/** A picture that is open, and the marks on it. */
export interface MarkedState {
  readonly opened: OpenedPicture | null;
  readonly marks: Readonly<Record<string, Pixel>>;
  /** Index of the mark to be placed. */
  readonly active: number;
  readonly problems: readonly Problem[];
  /** Opens a picture; its marks begin where these lie, or with none. */
  readonly open: (picture: Picture, id?: string, marks?: MarkedState['marks']) => void;
  readonly openFile: (file: File | undefined) => Promise<void>;
  readonly place: (id: string, to: Pixel) => void;
  readonly activate: (index: number) => void;
  /** Takes every mark off again. */
  readonly clear: () => void;
  readonly tell: (problems: readonly Problem[]) => void;
}

/** @param onOpen what else starts over with another picture */
export function usePicture(onOpen?: () => void): MarkedState {
  const [opened, setOpened] = useState<OpenedPicture | null>(null);
  const [marks, setMarks] = useState<Readonly<Record<string, Pixel>>>({});
  const [active, setActive] = useState(0);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const url = opened?.url ?? null;
  useEffect(
    () => () => {
      if (url !== null) URL.revokeObjectURL(url);
    },
    [url],
  );
  const clear = (): void => {
    setMarks({});
    setActive(0);
  };
  const open = (
    picture: Picture,
    id: string = crypto.randomUUID(),
    first: MarkedState['marks'] = {},
  ): void => {
    setOpened({ id, picture, url: URL.createObjectURL(picture.blob) });
    setMarks(first);
    setActive(0);
    setProblems([]);
    onOpen?.();
  };
  return {
    opened,
    marks,
    active,
    problems,
    open,
    openFile: async (file) => {
      if (file === undefined) return;
      const loaded = await loadPicture(file);
      if (loaded.ok) open(loaded.value);
      else setProblems(loaded.problems);
    },
    place: (id, to) => {
      setMarks((now) => ({ ...now, [id]: to }));
    },
    activate: setActive,
    clear,
    tell: setProblems,
  };
}
