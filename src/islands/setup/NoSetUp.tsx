import { getProtocol, isMeasureId } from '../../core/measures/protocols/index.ts';
import { FULL_ROUND } from '../../core/measures/rounds.ts';
import type { Person } from '../../core/person/person.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { Button, ButtonLink } from '../shared/ui/Button.tsx';
import { NextBest } from './NextBest.tsx';
import type { SetUpLink } from './setUpLink.ts';
import { noSetUp as say } from './words.ts';

interface NoSetUpProps {
  person: Person;
  pose: PoseDefinition | LyingPose;
  problems: readonly Problem[];
  working: boolean;
  onAsk: (asked: SetUpLink) => void;
}

/** Why there is nothing to draw yet, and the way on. */
export function NoSetUp({ person, pose, problems, working, onAsk }: NoSetUpProps) {
  if (problems.length === 0) return <p className="text-faint">{working ? say.workingOut : ''}</p>;
  const missing = problems.filter((each) => each.code === 'missing-measure');
  const first = FULL_ROUND.find((measure) => missing.some((each) => each.path.startsWith(measure)));
  const measure = `/measure?id=${encodeURIComponent(person.id)}`;
  return (
    <div className="max-w-160 py-4">
      <h2>{missing.length > 0 ? say.notYet : say.noSetUp}</h2>
      {missing.length > 0 ? (
        <>
          <p>{say.poseNeedsFewMore}</p>
          <ul className="grid gap-[0.35rem]">
            {missing.map((each) => (
              <li key={each.path}>{nameMissing(each.path)}</li>
            ))}
          </ul>
          <div className="my-4 flex flex-wrap gap-3">
            <ButtonLink href={first === undefined ? measure : `${measure}&step=${first}`}>
              {say.measureNow}
            </ButtonLink>
            <Button
              isPlain
              onClick={() => {
                onAsk({ provisional: true });
              }}
            >
              {say.provisionalSetUp}
            </Button>
          </div>
          <p className="text-faint">{say.provisionalSetUpTakes}</p>
        </>
      ) : (
        <ProblemList problems={problems} />
      )}
      <NextBest person={person} pose={pose} setUp={null} onAsk={onAsk} />
    </div>
  );
}

function nameMissing(path: string): string {
  const [id = '', side] = path.split(' ');
  const name = isMeasureId(id) ? getProtocol(id).name : id;
  return side === undefined ? name : `${name}, ${side}`;
}
