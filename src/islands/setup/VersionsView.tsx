import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { USUAL_LEVEL } from '../../core/poses/level.ts';
import { listProps } from '../../core/recipe/fetch.ts';
import type { Version, Versions } from '../../core/whatIf/versions.ts';
import { planVersionsInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { Thumbnail } from '../shared/Thumbnail.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { sayNeeds, small } from './LevelsNote.tsx';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';
import { versionsView as say } from './words.ts';

interface VersionsViewProps {
  request: PlanRequest;
  pose: PoseDefinition;
  /** The level that is shown; null = the usual one. */
  shown: string | null;
  onLevel: (level: string) => void;
}

/** Every level and variant of a pose for this person as a small figure, each one press away. */
export function VersionsView({ request, pose, shown, onLevel }: VersionsViewProps) {
  const { record, poseId, side, rules } = request;
  const key = `versions ${findRequestKey({ ...request, level: USUAL_LEVEL })}`;
  const answer = useAnswer(key, () => planVersionsInWorker(record, poseId, side, rules));
  if (answer === null) {
    return (
      <p role="status" className="text-faint">
        {say.workingOut(pose.levels.length)}
      </p>
    );
  }
  if (!answer.ok) return <ProblemList problems={answer.problems} />;
  const { versions } = answer.value;
  const list = (isVariant: boolean, title: string) => {
    const listed = versions.filter((each) => each.isVariant === isVariant);
    if (listed.length === 0) return null;
    return (
      <>
        <h3 className="mt-2 mb-1 text-[0.95rem] font-bold">{title}</h3>
        <ol className="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-2">
          {listed.map((each) => (
            <VersionCard
              key={each.level}
              version={each}
              isShown={(shown ?? USUAL_LEVEL) === each.level}
              isProposed={answer.value.proposed?.level === each.level}
              onChoose={() => {
                onLevel(each.level);
              }}
            />
          ))}
        </ol>
      </>
    );
  };
  return (
    <div data-testid="versions">
      <Proposal pose={pose} versions={answer.value} />
      {list(false, say.ladder)}
      {list(true, say.variants)}
    </div>
  );
}

/** Which one is proposed, and why. */
function Proposal({ pose, versions: { proposed } }: { pose: PoseDefinition; versions: Versions }) {
  if (proposed === null) return <p>{say.noneFits}</p>;
  const name = pose.levels.find(({ id }) => id === proposed.level)?.name ?? '';
  return (
    <p>
      <strong>{name}</strong>
      {say.because[proposed.because]}
    </p>
  );
}

/** A version's margin, or what it still needs. */
function sayState({ status, margin, needs, orHandHigher }: Version): string {
  if (status === 'excluded') return say.excluded;
  if (status === 'not-measured') return say.notMeasured;
  if (status === 'needs-more') return say.needs(sayNeeds({ needs }), orHandHigher);
  const words = margin === null ? say.noLimit : say.margin(margin.joint, margin.deg);
  return status === 'nearly' ? say.nearly(words) : words;
}

interface VersionCardProps {
  version: Version;
  isShown: boolean;
  isProposed: boolean;
  onChoose: () => void;
}

function VersionCard({ version, isShown, isProposed, onChoose }: VersionCardProps) {
  const { name, forWhom, setUp, status, hip } = version;
  const props = setUp === null ? [] : listProps(setUp);
  return (
    <li className="flex">
      <button
        type="button"
        className="flex w-full cursor-pointer flex-col border border-hair p-2 text-left aria-pressed:border-ink aria-pressed:bg-mist disabled:cursor-default"
        aria-pressed={isShown}
        disabled={status === 'excluded'}
        onClick={onChoose}
      >
        <span className="flex h-24 w-full items-end justify-center">
          {setUp !== null && <Thumbnail setUp={setUp} className="h-full w-full" />}
        </span>
        <span className="mt-1 leading-tight font-bold">{name}</span>
        {isProposed && <span className="text-[0.85rem] font-semibold">{say.proposed}</span>}
        <span className="text-[0.85rem] leading-tight">{sayState(version)}</span>
        {forWhom !== null && <span className="text-[0.85rem] text-faint">{forWhom}</span>}
        {hip.length > 0 && (
          <span className="text-[0.85rem] leading-tight">
            {say.atUsualDepth(hip.map(({ words, deg }) => say.hip(words, deg)).join(', '))}
          </span>
        )}
        {props.length > 0 && (
          <span className="text-[0.85rem] leading-tight text-faint">
            {say.takes(props.map(small).join(', '))}
          </span>
        )}
      </button>
    </li>
  );
}
