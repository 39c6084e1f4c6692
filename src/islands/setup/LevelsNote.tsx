import type { LevelNeed, LevelReport, SetUp } from '../../core/setup/setUp.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { nameLevel } from '../shared/poseWords.ts';
import { levelsNote as say } from './words.ts';

/** Of what a level needs, the most that is said at once. */
const MOST_NEEDS = 3;

/** Its names stand in a sentence, so they begin small. */
export const small = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

const sayNeed = ({ words, amount, unit }: LevelNeed): string =>
  say.needsMore(words, amount, unit === 'deg' ? '°' : ' cm');

const sayNeeds = ({ needs }: LevelReport): string =>
  needs.slice(0, MOST_NEEDS).map(sayNeed).join(', ');

/** What the next harder level still needs, and whose feet a set-up stands on. */
export function LevelsNote({ setUp }: { setUp: SetUp }) {
  const at = setUp.levels.findIndex(({ id }) => id === setUp.level);
  const next = setUp.levels.slice(at + 1).find(({ status }) => status === 'needs-more');
  const feet = setUp.standsOn === null ? null : findPose(setUp.standsOn.pose);
  if (next === undefined && feet === null) return null;
  return (
    <p className="text-faint">
      {feet !== null && (
        <>
          {say.feet}
          {feet.name}
          {feet.levels.length > 0 && `: ${small(nameLevel(feet, setUp.standsOn?.level ?? null))}`}
          .{' '}
        </>
      )}
      {next !== undefined && next.needs.length > 0 && (
        <>{say.forWord(small(next.name), sayNeeds(next))}</>
      )}
    </p>
  );
}

const STATUS_WORDS: Readonly<Record<LevelReport['status'], string>> = {
  ready: 'ready',
  nearly: say.nearlyPartPoseFalls,
  'needs-more': say.notYet,
  practice: say.readyByPractice,
  choice: say.readyByChoice,
};

/** Every level from easier to harder: ready, or what it still needs. */
export function LevelList({ levels }: { levels: readonly LevelReport[] }) {
  return (
    <ul className="grid gap-[0.35rem]">
      {levels.map((each) => (
        <li key={each.name}>
          {each.name}
          {each.forWhom !== null && ` (${each.forWhom})`}:{' '}
          {each.needs.length > 0 ? sayNeeds(each) : STATUS_WORDS[each.status]}
        </li>
      ))}
    </ul>
  );
}
