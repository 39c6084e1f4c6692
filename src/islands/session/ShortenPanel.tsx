import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { LedFlow } from '../../core/sessions/ledFlow.ts';
import type { NewEntry, Session } from '../../core/sessions/session.ts';
import type { Shortened } from '../../core/sessions/shortenFlow.ts';
import { shortenFlowInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import type { Problem } from '../../core/problems/problem.ts';
import { Toggle, WordButton } from '../shared/ui/Button.tsx';
import { Notice } from '../shared/ui/Notice.tsx';
import { shortenPanel as say } from './words.ts';

interface ShortenPanelProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  session: Session;
  flow: LedFlow;
  /** Id of the step that the session stands at. */
  at: string;
  onShorten: (entry: NewEntry) => void;
  onClose: () => void;
}

const MINUTES = [5, 10, 15, 20, 30];

/** Less time than was thought: what matters least for the peak is left out, and said. */
export function ShortenPanel({
  record,
  sessions,
  session,
  flow,
  at,
  onShorten,
  onClose,
}: ShortenPanelProps) {
  const [isWorking, setIsWorking] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [found, setFound] = useState<{ minutes: number; shortened: Shortened } | null>(null);
  const shorten = async (minutes: number): Promise<void> => {
    setIsWorking(true);
    const others = sessions.filter((each) => each.id !== session.id);
    const answer = await shortenFlowInWorker(record, others, session.today, flow, at, 60 * minutes);
    setIsWorking(false);
    if (!answer.ok) {
      setProblems(answer.problems);
      return;
    }
    const { dropped, steps } = answer.value;
    onShorten({ kind: 'shorten', minutes, dropped: dropped.map(({ id }) => id), steps });
    setFound({ minutes, shortened: answer.value });
  };
  return (
    <Notice role="status">
      <div className="flex flex-wrap items-center gap-2 text-[1.2rem]" data-testid="shorten">
        {found === null ? (
          <>
            <span>{isWorking ? say.working : say.howLong}</span>
            {MINUTES.map((minutes) => (
              <Toggle
                key={minutes}
                disabled={isWorking}
                onClick={() => void shorten(minutes)}
                aria-label={say.minutesLeft(minutes)}
              >
                {minutes}
              </Toggle>
            ))}
          </>
        ) : (
          <span className="max-w-none">{sayFound(found)}</span>
        )}
        <ProblemList problems={problems} />
        <WordButton onClick={onClose}>{say.close}</WordButton>
      </div>
    </Notice>
  );
}

/** What was left out, each pose once, and how long the rest of the flow lasts. */
function sayFound({
  minutes,
  shortened: { dropped, seconds },
}: {
  minutes: number;
  shortened: Shortened;
}): string {
  const lasts = Math.ceil(seconds / 60);
  const names = [...new Set(dropped.map(({ name }) => name))].join(', ');
  const left = names === '' ? say.nothingLeftOut : say.leftOut(names);
  return lasts > minutes ? `${left} ${say.stillLonger(lasts)}` : `${left} ${say.lasts(lasts)}`;
}
