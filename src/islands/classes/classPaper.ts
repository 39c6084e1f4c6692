import { describePose, type PlannedClass } from '../../core/classes/classSheet.ts';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { drawLying } from '../../core/drawing/lying/drawLying.ts';
import { CARD_LABEL } from '../../core/paper/cardWords.ts';
import type { ClassOnPaper } from '../../core/paper/classPages.ts';
import { layCards } from '../../core/paper/layCards.ts';
import { drawCard } from '../../core/paper/matCard.ts';
import type { Page } from '../../core/paper/page.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { findLyingPose } from '../../core/poses/lying/index.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { namePose } from '../shared/poseWords.ts';
import { writeDate } from '../shared/writeValue.ts';
import { classesView } from './words.ts';

const timeFormat = new Intl.DateTimeFormat(undefined, {
  weekday: 'long',
  hour: 'numeric',
  minute: '2-digit',
});

/** When a class meets, in words: “Thursday 18:30”. */
export const sayWhen = ({ time }: Pick<YogaClass, 'time'>): string =>
  time === null ? classesView.noTime : timeFormat.format(new Date(time.start));

const list = new Intl.ListFormat(undefined, { type: 'conjunction' });

/** A class as it is printed: its poses, and what a substitute should watch. */
export function makeContent(
  plan: PlannedClass,
  name: string,
  when: string,
  unit: LengthUnit,
): ClassOnPaper {
  const sheets = plan.poses.map((pose) => describePose(plan, pose, unit));
  const people = plan.members.map((member) => {
    const kept = sheets.filter(({ keepFrom }) => keepFrom.some((e) => e.name === member.name));
    const unmeasured = sheets.filter(({ notPlanned }) => notPlanned.includes(member.name));
    const harder = plan.planned.flatMap((each) =>
      each.member === member.id && each.harder !== null
        ? [`${each.harder} side is harder in ${namePose(each.pose)}`]
        : [],
    );
    const namesOf = (of: typeof sheets): string => list.format(of.map((each) => each.name));
    const watch = [
      ...(kept.length === 0 ? [] : [`keep from ${namesOf(kept)}`]),
      ...(unmeasured.length === 0 ? [] : [`set up by eye in ${namesOf(unmeasured)}`]),
      ...harder,
      ...(member.isGuest ? ['a guest: every number is an estimate'] : []),
    ];
    return { name: member.name, watch };
  });
  return { name, when, sheets, people };
}

/** Cards for everyone: each person’s poses, two a sheet. */
export function makeCards(
  plan: PlannedClass,
  unit: LengthUnit,
  paper: 'a4' | 'letter',
): readonly Page[] {
  const date = writeDate(new Date().toISOString());
  const cards = plan.members.flatMap(({ id, name }) =>
    plan.poses.flatMap((poseId): readonly Page[] => {
      const pose = findPose(poseId) ?? findLyingPose(poseId);
      const planned = plan.planned.find((each) => each.member === id && each.pose === poseId);
      if (pose === null || planned === undefined || planned.pairs.length === 0) return [];
      const of = (side: 'left' | 'right'): SetUp | null =>
        planned.pairs.find((each) => each.plan.side === side)?.setUp ?? null;
      const sides = { left: of('left'), right: of('right') };
      const shown = sides.right ?? sides.left;
      const lying =
        shown === null || 'starts' in pose
          ? null
          : drawLying(pose, shown, { unit, labelMm: CARD_LABEL });
      return drawCard({ name, pose, sides, lying, unit, date }, 'a5');
    }),
  );
  return layCards(cards, paper);
}
