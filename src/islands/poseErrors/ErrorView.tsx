import { useEffect, useMemo, useRef, useState } from 'react';
import { drawErrorPair } from '../../core/drawing/errorPair.ts';
import { drawErrorSign } from '../../core/drawing/errorSigns.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findPoseError } from '../../core/poseErrors/catalogue.ts';
import type {
  ChangedAlong,
  ErrorAsked,
  ExplainedError,
} from '../../core/poseErrors/explainError.ts';
import { hasGeometry } from '../../core/poseErrors/imposed.ts';
import { sayCause, sayChangedAlong, sayFix, sayRelief } from '../../core/poseErrors/sayError.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { withLevel } from '../../core/poses/level.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { explainErrorInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeValue } from '../shared/writeValue.ts';
import { errorView as say } from './words.ts';

export interface ErrorViewProps {
  record: RevisedRecord;
  asked: ErrorAsked;
  /** Holds by hand what the change asks for. */
  onApply: (held: AsFound, along: readonly ChangedAlong[]) => void;
  /** Takes the change back. */
  onUndo: () => void;
  onClose: () => void;
}

/** An error sign on this person's body, its likely cause, what to change first and what to say. */
export function ErrorView({ record, asked, onApply, onUndo, onClose }: ErrorViewProps) {
  const unit = useUnit();
  const [changed, setChanged] = useState<string | null>(null);
  const answer = useAnswer(JSON.stringify([record.revision, asked]), () =>
    explainErrorInWorker(record, asked),
  );
  const error = findPoseError(asked.error);
  const section = useRef<HTMLElement>(null);
  // It may open below the edge of the screen.
  useEffect(() => {
    section.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  if (error === null) return null;
  const explained = answer?.ok === true ? answer.value : null;
  return (
    <section
      ref={section}
      aria-label={error.words}
      className="my-3 rounded-md bg-mist px-4 py-3 text-[1.1rem]"
      data-testid="error-view"
    >
      <div className="flex items-baseline gap-4">
        <h3 className="m-0 font-serif text-[1.4rem]">{error.words}</h3>
        <WordButton className="ml-auto" onClick={onClose}>
          {say.close}
        </WordButton>
      </div>
      {answer?.ok === false && <ProblemList problems={answer.problems} />}
      <div className="min-h-56">
        {answer === null && <p className="text-faint">{say.workingOut}</p>}
        {explained !== null && <ErrorDrawing explained={explained} words={error.words} />}
      </div>
      <dl className="grid grid-cols-[repeat(auto-fit,minmax(min(17rem,100%),1fr))] gap-x-8 [&_dt]:mt-2 [&_dt]:font-bold">
        <div>
          <dt>{say.looksLike}</dt>
          <dd>{error.seen}</dd>
          <dt>{say.cause}</dt>
          <dd>{explained === null ? error.cause : sayCause(explained)}</dd>
        </div>
        <div>
          <dt>{say.changeFirst}</dt>
          <dd data-testid="first-change">
            {changed === null ? (
              explained !== null && (
                <>
                  <strong>{sayFix(explained, unit)}</strong> {sayRelief(explained)}{' '}
                  {sayChangedAlong(explained, unit)}
                  <Apply
                    explained={explained}
                    onApply={(held) => {
                      setChanged(sayFix(explained, unit));
                      onApply(held, explained.changedAlong);
                    }}
                  />
                </>
              )
            ) : (
              <span role="status">
                <strong>{say.changed(changed)}</strong>{' '}
                <WordButton
                  onClick={() => {
                    setChanged(null);
                    onUndo();
                  }}
                >
                  {say.undo}
                </WordButton>
              </span>
            )}
          </dd>
          <dt>{say.feel}</dt>
          <dd>{error.test}</dd>
          <dt>{say.say}</dt>
          <dd>{say.quote(error.say)}</dd>
        </div>
      </dl>
    </section>
  );
}

function Apply({
  explained: { fix },
  onApply,
}: {
  explained: ExplainedError;
  onApply: (held: AsFound) => void;
}) {
  if (fix === null) return null;
  return (
    <div className="my-2">
      <Button
        onClick={() => {
          onApply(fix.held);
        }}
      >
        {say.change}
      </Button>
    </div>
  );
}

/** As planned and with the error, on one scale; a sign where joints do not show it. */
function ErrorDrawing({ explained, words }: { explained: ExplainedError; words: string }) {
  const unit = useUnit();
  const { error, planned, withError } = explained;
  const drawing = useMemo(() => {
    const pose = findPose(planned.pose);
    return pose === null ? null : drawErrorPair(withLevel(pose, planned.level), explained, words);
  }, [explained, planned, words]);
  if (drawing !== null && withError !== null) {
    return (
      <>
        <SheetDrawing drawing={drawing} className="mx-auto h-64 max-w-full max-phone:h-52" />
        <p className="text-[1rem] text-faint">
          {say.size(writeValue(withError.size, withError.unit, unit))}
        </p>
      </>
    );
  }
  const sign = drawErrorSign(error, words);
  return (
    <>
      {sign !== null && <SheetDrawing drawing={sign} className="h-40" />}
      <p className="text-[1rem] text-faint">
        {hasGeometry(error) ? say.cannotHappen : say.noDrawing}
      </p>
    </>
  );
}
