import type { FeltAsked } from '../../core/felt/findErrorsBehind.ts';
import type { FeltJudgement } from '../../core/felt/judgeFelt.ts';
import { sayBehind, sayFeltJudgement, sayStretch } from '../../core/felt/sayFeltJudgement.ts';
import { findStretches } from '../../core/felt/stretches.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findPoseError } from '../../core/poseErrors/catalogue.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { USUAL_LEVEL } from '../../core/poses/level.ts';
import { countErrors } from '../../core/sessions/countErrors.ts';
import { findUsed } from '../../core/sessions/logHold.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { Session } from '../../core/sessions/session.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { findErrorsBehindInWorker } from '../../workers/setUpClient.ts';
import { useAnswer } from '../shared/useAnswer.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { feltNote as say } from './words.ts';

interface FeltAnswerProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  hold: LoggedHold;
  setUp: SetUp;
  judgement: FeltJudgement;
  onSee: (error: string) => void;
}

/** What is made of where it was felt: agreement, or the signs to look for, or what to measure again. */
export function FeltAnswer({ record, sessions, hold, setUp, judgement, onSee }: FeltAnswerProps) {
  const { plan, notes } = hold;
  // A lying or seated form has no errors of its own to look for.
  const isAsked = judgement.kind !== 'agrees' && findPose(plan.pose) !== null;
  const asked: FeltAsked = {
    pose: plan.pose,
    side: plan.side,
    rules: plan.rules,
    level: plan.level ?? USUAL_LEVEL,
    held: findUsed(plan, notes),
    felt: notes.felt,
    seen: countErrors(toHolds(sessions), plan.pose, plan.id),
  };
  const key = isAsked ? JSON.stringify([record.revision, asked]) : null;
  const answer = useAnswer(key, () => findErrorsBehindInWorker(record, asked));
  const errors = answer?.ok === true ? answer.value : [];
  return (
    <div role="status" className="mt-2 rounded-md bg-mist px-[0.9rem] py-2 [&_p]:m-0">
      <p className="font-bold">{sayFeltJudgement(judgement)}</p>
      <p>{isAsked && answer === null ? say.looking : sayBehind(judgement, errors)}</p>
      {errors.map(({ error }) => (
        <WordButton
          key={error}
          className="mr-4"
          onClick={() => {
            onSee(error);
          }}
        >
          {say.seeOnBody(findPoseError(error)?.words ?? error)}
        </WordButton>
      ))}
      <details>
        <summary>{say.arithmetic}</summary>
        <ul>
          {findStretches(setUp).map((each) => (
            <li key={each.place}>
              {sayStretch(each, setUp)}.{' '}
              <span className="text-faint">{say.source(each.rule.source)}</span>
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}
