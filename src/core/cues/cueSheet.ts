import { findPoseError } from '../poseErrors/catalogue.ts';
import { rankErrors } from '../poseErrors/rank.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import type { PoseOption, Tendency } from '../poses/guidance.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { Version } from '../whatIf/versions.ts';
import { planBreaths, type BreathCue } from './breathPlan.ts';
import { findMissingCues, type Cues, type MissingCues } from './cues.ts';
import { findCues } from './cueText.ts';

/** Whom and what a sheet is for. */
export interface SheetAsked {
  readonly pose: string;
  /** null = not known: for a class, or before anything is solved. */
  readonly setUp: Pick<SetUp, 'joints' | 'side'> | null;
  /** How often each error was noted, by its id. */
  readonly seen: ReadonlyMap<string, number>;
  /** The levels as they fit this person; empty = not known. */
  readonly versions: readonly Pick<Version, 'level' | 'status'>[];
  /** null = as many as the pose is usually held. */
  readonly breaths: number | null;
  readonly secondsABreath: number;
  /** The teacher’s own words; null = Stillwater’s. */
  readonly ownText: string | null;
}

/** An option with how it fits this person. */
export interface RankedOption extends PoseOption {
  /** null = it is no level, or not known. */
  readonly fits: boolean | null;
}

/** A tendency with how often it was noted. */
export interface RankedTendency extends Tendency {
  readonly times: number;
}

/** The cues of one pose for a person or a class. */
export interface CueSheet {
  readonly pose: string;
  readonly name: string;
  readonly isOwn: boolean;
  readonly breaths: number;
  readonly secondsABreath: number;
  readonly cues: Cues;
  readonly tendencies: readonly RankedTendency[];
  readonly easier: readonly RankedOption[];
  readonly harder: readonly RankedOption[];
  readonly plan: readonly BreathCue[];
  /** Actions for which the hold has no breath. */
  readonly unsaid: readonly string[];
  readonly missing: readonly MissingCues[];
}

/** The likeliest first: by the margin of their cause here, then by how often they were noted. */
function rankTendencies(
  tendencies: readonly Tendency[],
  { setUp, seen }: SheetAsked,
): readonly RankedTendency[] {
  const errors = tendencies.flatMap(({ error }) => findPoseError(error ?? '') ?? []);
  const ranks = new Map(rankErrors(errors, setUp, seen).map(({ id }, i) => [id, i]));
  const rankOf = ({ error }: Tendency): number => ranks.get(error ?? '') ?? Infinity;
  return tendencies
    .map((each) => ({ ...each, times: seen.get(each.error ?? '') ?? 0 }))
    .toSorted((a, b) => {
      const [first, second] = [rankOf(a), rankOf(b)];
      return first === second ? 0 : first - second;
    });
}

/** Those that fit first, those that do not last. */
function rankOptions(
  options: readonly PoseOption[],
  versions: SheetAsked['versions'],
): readonly RankedOption[] {
  const rank = ({ fits }: RankedOption): number => (fits === true ? 0 : fits === null ? 1 : 2);
  return options
    .map((option): RankedOption => {
      const version = versions.find(({ level }) => level === option.level);
      return { ...option, fits: version === undefined ? null : version.status === 'fits' };
    })
    .toSorted((a, b) => rank(a) - rank(b));
}

/**
 * The cue sheet of a pose: its cues in the teacher’s words or Stillwater’s, ranked for a person, and
 * laid over the breaths of the hold.
 *
 * @param asked whom and what it is for
 * @returns null for a pose without cues, as a linking pose
 */
export function makeCueSheet(asked: SheetAsked): CueSheet | null {
  const pose = findPose(asked.pose) ?? findLyingPose(asked.pose);
  if (pose === null) return null;
  const { cues, isOwn } = findCues(pose.guidance, asked.ownText);
  const breaths = asked.breaths ?? pose.guidance.breaths;
  const plan = planBreaths(cues, breaths, asked.secondsABreath);
  const said = new Set(plan.map(({ words }) => words));
  return {
    pose: pose.id,
    name: pose.name,
    isOwn,
    breaths,
    secondsABreath: asked.secondsABreath,
    cues,
    tendencies: rankTendencies(cues.tendencies, asked),
    easier: rankOptions(cues.easier, asked.versions),
    harder: rankOptions(cues.harder, asked.versions),
    plan,
    unsaid: [...cues.inhale, ...cues.exhale].filter((words) => !said.has(words)),
    missing: findMissingCues(cues),
  };
}
