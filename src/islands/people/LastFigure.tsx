import { useEffect, useRef, useState } from 'react';
import { FITTING_LEVEL } from '../../core/poses/level.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { LastHold } from '../../core/sessions/nextAction.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { Thumbnail } from '../shared/Thumbnail.tsx';
import { useAnswer } from '../shared/useAnswer.ts';

interface LastFigureProps {
  record: RevisedRecord;
  /** null = nothing was held yet. */
  last: LastHold | null;
}

/** What is drawn of a person who has not held anything yet. */
const FIRST = { pose: 'warrior-two', side: 'right' } as const;

/** Whether an element has come into view; from then on it stays true. */
function useWasSeen() {
  const ref = useRef<HTMLSpanElement>(null);
  const [wasSeen, setWasSeen] = useState(false);
  useEffect(() => {
    if (ref.current === null) return;
    const observer = new IntersectionObserver((entries) => {
      if (entries.some((each) => each.isIntersecting)) setWasSeen(true);
    });
    observer.observe(ref.current);
    return () => {
      observer.disconnect();
    };
  }, []);
  return { ref, wasSeen };
}

/** The set-up that a person held last, as a small figure; solved when it comes into view. */
export function LastFigure({ record, last }: LastFigureProps) {
  const { ref, wasSeen } = useWasSeen();
  const { pose, side } = last ?? FIRST;
  const key = JSON.stringify([record.revision, pose, side, {}, FITTING_LEVEL]);
  const answer = useAnswer(wasSeen ? key : null, () =>
    planInWorker(key, record, pose, side, {}, FITTING_LEVEL),
  );
  return (
    <span ref={ref} className="block h-full w-full">
      {answer?.ok === true && <Thumbnail setUp={answer.value} className="h-full w-full" />}
    </span>
  );
}
