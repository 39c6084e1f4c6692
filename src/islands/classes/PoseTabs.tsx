import { namePose } from '../shared/poseWords.ts';
import { posePlan as say } from './words.ts';

/** The poses of a class, one of them on screen. */
export const PoseTabs = ({
  poses,
  pose,
  onPose,
}: {
  poses: readonly string[];
  pose: string;
  onPose: (pose: string) => void;
}) => (
  <div
    role="group"
    aria-label={say.pose}
    className="mb-3 flex flex-wrap gap-x-4 border-b border-hair"
  >
    {poses.map((each) => (
      <button
        key={each}
        type="button"
        aria-pressed={each === pose}
        className="min-h-11 cursor-pointer font-serif text-[1.1rem] aria-pressed:wave aria-pressed:font-semibold"
        onClick={() => {
          onPose(each);
        }}
      >
        {namePose(each)}
      </button>
    ))}
  </div>
);
