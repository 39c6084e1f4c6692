import type { LevelNeed, LevelReport, SetUp } from '../../core/setup/setUp.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { nameLevel } from '../shared/poseWords.ts';
import { levelsNote as say } from './words.ts';

/** Of what a level needs, the most that is said at once. */
const MOST_NEEDS = 3;

/** Its names stand in a sentence, so they begin small. */
export const small = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

const sayNeed = ({ words, amount, unit, isLess }: LevelNeed): string =>
  (isLess === true ? say.needsLess : say.needsMore)(words, amount, unit === 'deg' ? '°' : ' cm');

/** “front hip flexion needs 6° more”, the largest first. */
export const sayNeeds = ({ needs }: Pick<LevelReport, 'needs'>): string =>
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
