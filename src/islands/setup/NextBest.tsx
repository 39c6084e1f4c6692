import { findEasierLevels } from '../../core/poses/level.ts';
import { findLyingForms } from '../../core/poses/swaps.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { Person } from '../../core/person/person.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { Button } from '../shared/ui/Button.tsx';
import { openPart } from './openPart.ts';
import type { SetUpLink } from './setUpLink.ts';
import { nextBest as say } from './words.ts';

interface NextBestProps {
  person: Person;
  pose: PoseDefinition | LyingPose;
  /** null = nothing was planned, because a measure is missing. */
  setUp: SetUp | null;
  onAsk: (asked: SetUpLink) => void;
}

/** Where there is no set-up: an easier level, another school, the lying form, each one press away. */
export function NextBest({ person, pose, setUp, onAsk }: NextBestProps) {
  const isStopped = setUp?.problems.some((each) => each.code === 'stop-sign') === true;
  if (!('starts' in pose) || isStopped) return null;
  const easier = setUp === null ? [] : findEasierLevels(pose, setUp.level);
  const lying = findLyingForms(pose);
  const hasOwnSchools = person.schools.some((each) => each.pose === pose.id);
  return (
    <>
      <h3 className="mt-4 font-serif text-[1.15rem]">{say.insteadToday}</h3>
      <div className="my-3 flex flex-wrap gap-3" data-testid="next-best">
        {easier.map(({ id, name }) => (
          <Button
            key={id}
            isPlain
            onClick={() => {
              onAsk({ level: id });
            }}
          >
            {say.easier(name)}
          </Button>
        ))}
        {lying.map(({ id, name }) => (
          <Button
            key={id}
            isPlain
            onClick={() => {
              onAsk({ pose: id });
            }}
          >
            {say.lying(name)}
          </Button>
        ))}
        {setUp !== null && (
          <Button
            isPlain
            onClick={() => {
              openPart('schools');
            }}
          >
            {hasOwnSchools ? say.withoutSchools(person.name) : say.otherSchools}
          </Button>
        )}
      </div>
    </>
  );
}
