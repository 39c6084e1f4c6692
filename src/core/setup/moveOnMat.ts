import { plain } from '../planning/working.ts';
import { makeSetting } from './makeSetting.ts';
import { getValue, type Setting, type SetUp } from './setUp.ts';

const FROM_EDGE = /-from-mat-edge$/;

/**
 * The same set-up elsewhere along the mat, as a flow has its marks: nothing of it changes but the
 * distances from the mat’s edge.
 *
 * @param setUp of a standing pose
 * @param frontHeelCm from the mat’s front edge to the front heel
 * @returns a copy; the same set-up where its front heel has no mark
 */
export function moveOnMat(setUp: SetUp, frontHeelCm: number): SetUp {
  const was = getValue(setUp, 'front-heel-from-mat-edge');
  if (was === null || was === frontHeelCm) return setUp;
  const move = (setting: Setting): Setting => {
    const { id, unit, from, to, working, plusMinus } = setting;
    if (!FROM_EDGE.test(id)) return setting;
    const terms = working.filter(({ kind }) => kind === 'term');
    const moved = [...terms, plain('to the front marks of the flow', frontHeelCm - was)];
    return { ...makeSetting(id, unit, from, to, moved, []), plusMinus };
  };
  return { ...setUp, settings: setUp.settings.map(move) };
}
