import { convexHull } from '../geometry/polygon.ts';
import { withLevel } from '../poses/level.ts';
import { saySide } from '../poses/saySide.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import { boxOfPoints, boxOfText, choosePlace, type Box } from './placement.ts';
import { drawRuler } from './ruler.ts';
import { line, type Drawing, type Point, type Shape } from './shapes.ts';
import { mark, onPlan, planPoint, sideName, text, type SheetOptions } from './sheetFrame.ts';
import { laySheet } from './laySheet.ts';

/** Letters of the set-ups on one mat, in their order; each has a line style of its own. */
export const LETTERS = ['a', 'b', 'c', 'd'] as const;

const NEAR = 7;

/** Places round a foot for its letter. */
const placesRound = (letter: string, prints: Box, size: number): LetterPlace[] => {
  const [left, top, right, bottom] = prints;
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  return [1, 2, 3].flatMap((ring) =>
    (
      [
        [x, top - NEAR * ring + 4],
        [x, bottom + NEAR * ring],
        [left - NEAR * ring, y],
        [right + NEAR * ring, y],
      ] as const
    ).map((at) => ({ at, boxes: [boxOfText(letter, at, size, 'middle')] })),
  );
};

interface LetterPlace {
  readonly at: Point;
  readonly boxes: readonly Box[];
}

/**
 * Two to four set-ups of one pose and side on the same mat, from above: footprints and the
 * pelvis of each in a line style of its own (`school-a` to `school-d`) with its letter.
 *
 * @param usual the pose's data, without a level
 * @param setUps front feet lie on one place; the mat and its ruler are the first one's
 * @param options unit, size of the labels, and what to leave out
 * @returns null when the first has no posture
 */
export function drawSchools(
  usual: PoseDefinition,
  setUps: readonly SetUp[],
  options: SheetOptions,
): Drawing | null {
  const [first] = setUps;
  if (first === undefined) return null;
  const sheet = laySheet(withLevel(usual, first.level), first, options, 0);
  if (sheet === null) return null;
  const { mat, matFront, planY } = sheet;
  const front = onPlan(sheet, matFront, 0)[0];
  const rear = onPlan(sheet, matFront - mat.lengthCm, 0)[0];
  const half = mat.widthCm / 2;
  const corners: Point[] = [
    [front, planY - half],
    [rear, planY - half],
    [rear, planY + half],
    [front, planY + half],
  ];
  const shapes: Shape[] = [{ kind: 'polygon', role: 'mat', points: corners }];
  const letters: Shape[] = [];
  const taken: Box[] = [];
  const size = 1.6;
  const drawn = setUps.slice(0, LETTERS.length).filter(({ footprints }) => footprints !== null);
  for (const [i, setUp] of drawn.entries()) {
    const role = `school-${LETTERS[i]!}`;
    for (const points of Object.values(setUp.footprints ?? {})) {
      if (points.length === 0) continue;
      const outline = convexHull(points).map(([x, y]) => onPlan(sheet, x, y));
      shapes.push({ kind: 'polygon', role: `${role} print`, points: outline });
    }
    const hips = ['hipLeft', 'hipRight'].map((name) => onPlan(sheet, ...planPoint(setUp, name)));
    shapes.push(line(role, hips[0]!, hips[1]!));
  }
  for (const [i, setUp] of drawn.entries()) {
    const back = setUp.footprints?.back ?? [];
    const heel = mark(setUp, `heel${sideName(setUp, 'back')}`);
    const prints = boxOfPoints(
      back.length > 0
        ? back.map(([x, y]) => onPlan(sheet, x, y))
        : [onPlan(sheet, heel[0], heel[1])],
    );
    const [place, ...others] = placesRound(LETTERS[i]!, prints, size * options.labelMm);
    const chosen = choosePlace([place!, ...others], taken);
    taken.push(...chosen.boxes);
    letters.push(text(sheet, 'number', chosen.at, LETTERS[i]!, size));
  }
  const xs = [front, rear];
  const left = Math.min(...xs) - 9;
  return {
    box: [left, planY - half - 4, mat.lengthCm + 18, mat.widthCm + 4 + options.labelMm * 3],
    shapes: [...shapes, ...letters, ...drawRuler(sheet)],
    caption: `${usual.name}, ${saySide(usual, first.side)}: ${String(drawn.length)} set-ups on one mat from above, listed in the table.`,
  };
}
