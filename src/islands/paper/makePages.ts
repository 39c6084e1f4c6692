import { FITTING_LEVEL } from '../../core/poses/level.ts';
import { SIDES, type Side } from '../../core/measures/protocol.ts';
import { drawLying } from '../../core/drawing/lying/drawLying.ts';
import { sayFeel } from '../../core/felt/sayFeel.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { drawFootOutline } from '../../core/paper/footOutline.ts';
import { drawFootTemplate } from '../../core/paper/footTemplate.ts';
import { CARD_LABEL } from '../../core/paper/cardWords.ts';
import { drawDiaryPage } from '../../core/paper/diaryPage.ts';
import { drawCard } from '../../core/paper/matCard.ts';
import { layCards } from '../../core/paper/layCards.ts';
import { drawMatStrip } from '../../core/paper/matStrip.ts';
import type { Page } from '../../core/paper/page.ts';
import { tile } from '../../core/paper/tiles.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { findLyingPose } from '../../core/poses/lying/index.ts';
import type { Problem, Result } from '../../core/problems/problem.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { makePersonCuePages } from '../cues/gatherCues.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { findRequestKey } from '../setup/usePlanned.ts';
import { namePose } from '../shared/poseWords.ts';
import { writeDate } from '../shared/writeValue.ts';

export const KINDS = {
  a5: 'cards, half a sheet each',
  index: 'index cards',
  cues: 'cues, a page each',
  home: 'their own page, for home',
  strips: 'foot outlines and strips for the mat’s edge',
  template: 'whole stance in true size, many pages',
} as const;
export type Kind = keyof typeof KINDS;

/** What is to be printed. */
export interface PaperRequest {
  readonly record: RevisedRecord;
  readonly poseIds: readonly string[];
  readonly kind: Kind;
  readonly paper: 'a4' | 'letter';
  /** Of a template; a card holds both. */
  readonly side: Side;
  readonly unit: LengthUnit;
}

/** Pages, and what is not on them. */
export interface Made {
  readonly pages: readonly Page[];
  /** What a page to fill in at home shows; left out = it is none. */
  readonly cards?: readonly Page[];
  /** Why a pose is not on them. */
  readonly problems: readonly Problem[];
}

async function plan(record: RevisedRecord, poseId: string, side: Side): Promise<Result<SetUp>> {
  const request = { record, poseId, side, rules: {}, level: FITTING_LEVEL };
  return planInWorker(findRequestKey(request), record, poseId, side, {}, FITTING_LEVEL);
}

const holds = (result: Result<SetUp>): SetUp | null =>
  result.ok && result.value.status !== 'failed' ? result.value : null;

const problemsOf = (results: readonly Result<SetUp>[]): readonly Problem[] => {
  const all = results.flatMap((each) => (each.ok ? each.value.problems : each.problems));
  return all.filter((each, i) => all.findIndex(({ message }) => message === each.message) === i);
};

/** The pages of a request. A pose without a set-up is not on them, and it is said why. */
export async function makePages(request: PaperRequest): Promise<Result<Made>> {
  const { record, kind, paper, unit, poseIds } = request;
  const pages: Page[] = [];
  const problems: Problem[] = [];
  for (const poseId of poseIds) {
    const pose = findPose(poseId) ?? findLyingPose(poseId);
    if (pose === null) continue;
    const [left, right] = await Promise.all(SIDES.map((side) => plan(record, poseId, side)));
    const sides = { left: holds(left!), right: holds(right!) };
    if (sides.left === null && sides.right === null) {
      problems.push(...problemsOf([left!, right!]));
      continue;
    }
    if (kind === 'cues') {
      pages.push(...(await makePersonCuePages(record, poseId, sides[request.side], paper)));
    } else if (kind === 'strips') {
      const setUp = sides[request.side];
      if (setUp === null || !('starts' in pose)) continue;
      // One outline a foot serves all poses.
      if (pages.length === 0)
        pages.push(...SIDES.flatMap((side) => drawFootOutline(setUp, side, paper)));
      const strip = drawMatStrip(pose, setUp, unit, paper);
      if (strip !== null) pages.push(strip);
    } else if (kind === 'template') {
      const setUp = sides[request.side];
      const template = setUp === null || !('starts' in pose) ? null : drawFootTemplate(pose, setUp);
      if (template !== null) pages.push(...tile(template, paper));
    } else {
      const date = writeDate(new Date().toISOString());
      const shown = sides.right ?? sides.left;
      const lying =
        shown === null || 'starts' in pose
          ? null
          : drawLying(pose, shown, { unit, labelMm: CARD_LABEL });
      const card = { name: record.person.name, pose, sides, lying, unit, date };
      pages.push(
        ...(kind === 'home'
          ? drawCard({ ...card, feel: sayFeel(sides) }, 'a5')
          : drawCard(card, kind)),
      );
    }
  }
  if (kind === 'home' && pages.length > 0) {
    const { name } = record.person;
    const date = writeDate(new Date().toISOString());
    const diary = drawDiaryPage({ name, poses: poseIds.map(namePose), date }, paper);
    return {
      ok: true,
      value: { pages: [...layCards(pages, paper), diary], cards: pages, problems },
    };
  }
  const laid =
    kind === 'template' || kind === 'strips' || kind === 'cues' ? pages : layCards(pages, paper);
  return { ok: true, value: { pages: laid, problems } };
}
