import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { describe, expect, it } from 'vitest';
import { drawFootTemplate } from '../../../src/core/paper/footTemplate.ts';
import { drawFootOutline } from '../../../src/core/paper/footOutline.ts';
import { drawMatStrip } from '../../../src/core/paper/matStrip.ts';
import { SIDES } from '../../../src/core/measures/protocol.ts';
import { sayPropsShort } from '../../../src/core/recipe/sheetFacts.ts';
import { layDrawing } from '../../../src/core/paper/drawingPage.ts';
import { drawCard } from '../../../src/core/paper/matCard.ts';
import { layCards } from '../../../src/core/paper/layCards.ts';
import type { CardContent } from '../../../src/core/paper/cardWords.ts';
import type { Page } from '../../../src/core/paper/page.ts';
import { writePageSvg } from '../../../src/core/paper/pageSvg.ts';
import { writePdf } from '../../../src/core/paper/pdf.ts';
import { tile } from '../../../src/core/paper/tiles.ts';
import { drawSheet } from '../../../src/core/drawing/sheet.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { drawLying } from '../../../src/core/drawing/lying/drawLying.ts';
import { findLyingPose, LYING_POSES } from '../../../src/core/poses/lying/index.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import type { LandmarkCm } from '../../../src/core/skeleton/landmark.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { recordOf, REFERENCE, SUPPLE, type Measures } from '../../support/people.ts';
import { markOf, planPlain, settingOf } from '../../support/plan.ts';
import { readPdf, readSvg, type Point, type ReadPage } from '../../support/readPaper.ts';

/** 11 of 72 points an inch. */
const ELEVEN_POINTS_MM = (11 * 25.4) / 72;
const FULL: Measures = { ...SUPPLE, 'knee-flexion': 165 };
const between = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

const readers: readonly (readonly [string, (pages: readonly Page[]) => Promise<ReadPage[]>])[] = [
  ['PDF', async (pages) => readPdf(await writePdf(pages, 'test'))],
  ['SVG', (pages) => Promise.resolve(pages.map((page) => readSvg(writePageSvg(page))))],
];

/** Lines exactly as long as said, level: the bars. */
const barsOf = ({ lines }: ReadPage, length: number): (readonly Point[])[] =>
  lines.filter(
    (each) =>
      each.length === 2 &&
      Math.abs(each[0]![1] - each[1]![1]) < 0.01 &&
      Math.abs(between(each[0]!, each[1]!) - length) < 0.05,
  );

/** Lays pages over each other so that marks of the same name meet; everything in the frame of the first. */
function assemble(pages: readonly ReadPage[]): {
  readonly lines: readonly (readonly Point[])[];
  readonly texts: ReadPage['texts'];
  readonly worstMm: number;
} {
  const marksOf = ({ texts }: ReadPage) => texts.filter(({ text }) => /^[A-Z]+\d+$/.test(text));
  const placed = new Map<string, Point>();
  const lines: (readonly Point[])[] = [];
  const texts: ReadPage['texts'][number][] = [];
  const waiting = [...pages];
  let worstMm = 0;
  while (waiting.length > 0) {
    const next = waiting.findIndex(
      (page) => placed.size === 0 || marksOf(page).some(({ text }) => placed.has(text)),
    );
    if (next < 0) throw new Error('a page shares no mark with the others');
    const [page] = waiting.splice(next, 1);
    const known = marksOf(page!).filter(({ text }) => placed.has(text));
    const shifts = known.map(({ text, at }): Point => {
      const there = placed.get(text)!;
      return [there[0] - at[0], there[1] - at[1]];
    });
    const [dx, dy] = shifts[0] ?? [0, 0];
    worstMm = Math.max(worstMm, ...shifts.map((each) => between(each, [dx, dy])));
    const move = ([x, y]: Point): Point => [x + dx, y + dy];
    for (const { text, at } of marksOf(page!)) placed.set(text, move(at));
    lines.push(...page!.lines.map((each) => each.map(move)));
    texts.push(...page!.texts.map((each) => ({ ...each, at: move(each.at) })));
  }
  return { lines, texts, worstMm };
}

/** How far a line's points lie from its first: a registration ring is small. */
const spanOf = (line: readonly Point[]): number =>
  Math.max(...line.map((each) => between(each, line[0]!)));

/** Distance from a point to the nearest line. */
function distanceToLines([x, y]: Point, lines: readonly (readonly Point[])[]): number {
  let best = Infinity;
  for (const line of lines) {
    for (let i = 0; i + 1 < line.length; i += 1) {
      const [a, b] = [line[i]!, line[i + 1]!];
      const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
      const size = dx * dx + dy * dy;
      const t =
        size === 0 ? 0 : Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / size));
      best = Math.min(best, between([x, y], [a[0] + dx * t, a[1] + dy * t]));
    }
  }
  return best;
}

/** The foot's own frame in the set-up: toe tip, direction, and how wide its outline is, mm. */
function footOf(setUp: SetUp, place: 'front' | 'back') {
  const name = (setUp.side === 'left') === (place === 'front') ? 'Left' : 'Right';
  const [heel, toe]: readonly LandmarkCm[] = [
    markOf(setUp, `heel${name}`),
    markOf(setUp, `toe${name}`),
  ];
  const size = Math.hypot(toe![0] - heel![0], toe![1] - heel![1]);
  return {
    heel: heel!,
    toe: toe!,
    along: [(toe![0] - heel![0]) / size, (toe![1] - heel![1]) / size] as const,
  };
}

describe.each(readers)('true-size feet, read back from %s', (_kind, read) => {
  it.each(['a4', 'letter'] as const)(
    'assemble on %s to the stance, the feet and a 500 mm bar',
    async (paper) => {
      for (const [poseId, side] of [
        ['warrior-two', 'right'],
        ['triangle', 'left'],
        ['pyramid', 'right'],
      ] as const) {
        const setUp = planPlain(FULL, poseId, side);
        const pages = tile(drawFootTemplate(findPose(poseId)!, setUp)!, paper);
        const readPages = await read(pages);
        expect(readPages.length).toBeGreaterThan(3);
        for (const page of readPages) expect(barsOf(page, 100)).toHaveLength(1);
        const whole = assemble(readPages);
        expect(whole.worstMm).toBeLessThan(0.02);
        // Two landmarks fix the frame: the named heel crosses, whose arms are 6 mm.
        const labelAt = (words: string): Point =>
          whole.texts.find(({ text }) => text.startsWith(words))!.at;
        const frontHeel: Point = [labelAt('front heel')[0] - 3, labelAt('front heel')[1] + 3];
        const backHeel: Point = [labelAt('back heel')[0] - 3, labelAt('back heel')[1] + 3];
        expect(distanceToLines(frontHeel, whole.lines)).toBeLessThan(0.05);
        const stance = settingOf(setUp, 'stance-length') * 10;
        expect(Math.abs(Math.abs(backHeel[0] - frontHeel[0]) - stance)).toBeLessThan(0.5);
        // x runs back from the front heel, y to the left edge of the mat.
        const origin = footOf(setUp, 'front').heel;
        const toPaper = (x: number, y: number): Point => [
          frontHeel[0] - (x - origin[0]) * 10,
          frontHeel[1] + (y - origin[1]) * 10,
        ];
        for (const place of ['front', 'back'] as const) {
          const { toe, along } = footOf(setUp, place);
          // The foot is as long as it was measured, from toe tip to the back of the heel.
          const length = Number(FULL['foot-length']) * 10;
          const tip = toPaper(toe[0], toe[1]);
          const ahead = ([x, y]: Point): number =>
            (tip[0] - x) * along[0] + (y - tip[1]) * along[1];
          const middle: Point = [
            tip[0] + (along[0] * length) / 2,
            tip[1] - (along[1] * length) / 2,
          ];
          const sole = whole.lines
            .filter((each) => each.length > 2 && spanOf(each) > 10)
            .filter((each) => each.every((point) => between(point, middle) < length * 0.6))
            .flat();
          expect(sole.length).toBeGreaterThan(60);
          expect(Math.abs(Math.max(...sole.map(ahead)))).toBeLessThan(0.5);
          expect(Math.abs(Math.min(...sole.map(ahead)) + length)).toBeLessThan(0.5);
          // As wide as the sole that the solver stands on.
          const across = ([x, y]: Point): number =>
            (tip[0] - x) * along[1] - (y - tip[1]) * along[0];
          const solved = setUp.footprints![place].map(([x, y]) => across(toPaper(x, y)));
          const widthOf = (values: readonly number[]): number =>
            Math.max(...values) - Math.min(...values);
          expect(Math.abs(widthOf(sole.map(across)) - widthOf(solved))).toBeLessThan(0.5);
        }
        // The long bar comes in pieces: they reach from end to end without a gap.
        const long = labelAt('500 mm across');
        const pieces = whole.lines
          .filter((each) => each.every(([, y]) => Math.abs(y - (long[1] + 2)) < 0.02))
          .map(
            (each) =>
              [Math.min(...each.map(([x]) => x)), Math.max(...each.map(([x]) => x))] as const,
          )
          .sort((a, b) => a[0] - b[0]);
        let reached = pieces[0]![0];
        for (const [from, to] of pieces) {
          expect(from).toBeLessThanOrEqual(reached + 0.01);
          reached = Math.max(reached, to);
        }
        expect(Math.abs(reached - pieces[0]![0] - 500)).toBeLessThan(0.5);
      }
    },
  );
});

const NOTES = 'a private note about her divorce';
const contentOf = (poseId: string, changes: Partial<CardContent> = {}): CardContent => {
  const record = recordOf(FULL, { name: 'Ada Márš', notes: NOTES });
  const plan = (side: 'left' | 'right'): SetUp | null => {
    const planned = planSetUp(new PlanningContext(record), poseId, side);
    return planned.ok && planned.value.status !== 'failed' ? planned.value : null;
  };
  return {
    name: record.person.name,
    pose: findPose(poseId) ?? findLyingPose(poseId)!,
    sides: { left: plan('left'), right: plan('right') },
    lying: null,
    unit: 'cm',
    date: '25 November 2026',
    ...changes,
  };
};

describe('mat cards', () => {
  it('carry every pose: its marks where they lie on the mat, all its numbers, the way in and out', () => {
    let counted = 0;
    for (const pose of POSES) {
      const content = contentOf(pose.id);
      if (content.sides.right === null) continue;
      counted += 1;
      const card = drawCard(content, 'a5').map((each) => readSvg(writePageSvg(each)));
      const [page] = card as [ReadPage, ...ReadPage[]];
      const all = card.flatMap(({ texts }) => texts.map(({ text }) => text)).join(' ');
      for (const words of [...pose.wayIn, ...pose.wayOut]) expect(all).toContain(words);
      expect(all).toMatch(/is (long enough|too short)/);
      // The mat is as long as its told scale makes it.
      const k = 10 / Number(/1:(\d+)/.exec(all)?.[1]);
      const mat = page.lines.find((each) => each.length === 5 && between(each[0]!, each[1]!) > 60)!;
      expect(between(mat[0]!, mat[1]!)).toBeCloseTo(183 * k, 1);
      const heel = settingOf(content.sides.right, 'front-heel-from-mat-edge');
      const left = Math.min(...mat.map(([x]) => x));
      const tips = page.lines.filter((each) => each.length === 4).map((each) => each[0]![0] - left);
      expect(
        tips.some((x) => Math.abs(x - heel * k) < 0.05),
        pose.id,
      ).toBe(true);
      // Nothing leaves the card, and no text is too small to read.
      for (const { at, sizeMm } of card.flatMap(({ texts }) => texts)) {
        expect(at[0]).toBeGreaterThan(0);
        expect(at[1]).toBeLessThan(page.height);
        expect(sizeMm).toBeGreaterThan(ELEVEN_POINTS_MM - 0.01);
      }
      // The body stands on it, and what the hand needs is named with its height.
      expect(page.lines.filter((each) => each.length > 20).length).toBeGreaterThan(10);
      for (const words of sayPropsShort(content.sides.right, 'cm')) expect(all).toContain(words);
      for (const each of card) expect(barsOf(each, 100)).toHaveLength(1);
    }
    expect(counted).toBe(POSES.length);
  });

  it('print no notes, no cautions and no answers about health', () => {
    for (const size of ['a5', 'index'] as const) {
      const svg = drawCard(contentOf('triangle'), size).map(writePageSvg).join('');
      expect(svg).not.toContain('private');
      expect(svg).not.toContain(NOTES);
      expect(svg).toContain('Ada Márš');
    }
  });

  it('say when the mat is too short, and hold a lying form too', () => {
    const content = contentOf('warrior-two');
    const right = content.sides.right!;
    const short = { ...right, mat: { ...right.mat!, fits: false } };
    const all = (pages: readonly Page[]): string =>
      pages.flatMap((page) => readSvg(writePageSvg(page)).texts.map((each) => each.text)).join(' ');
    expect(all(drawCard({ ...content, sides: { left: null, right: short } }, 'a5'))).toContain(
      'too short',
    );
    expect(all(drawCard(contentOf('lying-warrior-two'), 'a5'))).toContain('off the wall');
    // With its drawing the wall, the marks and the supports are on it too, at the scale that is told.
    const held = contentOf('lying-warrior-two');
    const pose = LYING_POSES.find((each) => each.id === 'lying-warrior-two')!;
    const lying = drawLying(pose, held.sides.right!, { unit: 'cm', labelMm: 8 });
    const page = readSvg(writePageSvg(drawCard({ ...held, lying }, 'a5')[0]!));
    const k = 10 / Number(/1:(\d+)/.exec(page.texts.map((each) => each.text).join(' '))?.[1]);
    const marks = settingOf(held.sides.right!, 'heel-marks') * k;
    const level = page.lines.filter((each) => each.length === 2 && each[0]![1] === each[1]![1]);
    expect(level.some((each) => Math.abs(between(each[0]!, each[1]!) - marks) < 0.05)).toBe(true);
    for (const [x, y] of page.lines.flat()) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(page.width);
      expect(y).toBeLessThanOrEqual(page.height);
    }
  });

  it('stand two or three on a sheet, in inches as well, and read back from PDF with their names', async () => {
    const cards = ['triangle', 'pyramid', 'half-moon'].flatMap((id) =>
      drawCard(contentOf(id, { unit: 'in' }), 'a5'),
    );
    const pages = await readPdf(await writePdf(layCards(cards, 'a4'), 'cards'));
    expect(pages).toHaveLength(Math.ceil(cards.length / 2));
    expect(pages[0]!.width).toBeCloseTo(210, 1);
    expect(pages[0]!.height).toBeCloseTo(297, 1);
    expect(barsOf(pages[0]!, 100)).toHaveLength(2);
    const all = pages.flatMap(({ texts }) => texts.map(({ text }) => text)).join(' ');
    for (const name of ['Triangle', 'Pyramid', 'Half moon', 'Ada Márš'])
      expect(all).toContain(name);
    const index = ['triangle', 'pyramid', 'half-moon'].flatMap((id) =>
      drawCard(contentOf(id), 'index'),
    );
    expect(layCards(index, 'a4')).toHaveLength(1);
  });

  it('never fail for a name: letters that the font lacks lose their marks', async () => {
    const card = drawCard(contentOf('triangle', { name: 'Łucja 美 Ðorđe' }), 'index');
    const [read] = await readPdf(await writePdf(card, 'names'));
    expect(read!.texts.map(({ text }) => text).join(' ')).toMatch(/ucja \? /);
  });

  it('the same pages give the same bytes', async () => {
    const pages = drawCard(contentOf('triangle'), 'a5');
    expect(await writePdf(pages, 'x')).toEqual(await writePdf(pages, 'x'));
  });
});

describe.each(readers)('outlines and strips, read back from %s', (_kind, read) => {
  it.each(['a4', 'letter'] as const)(
    'set four poses of one side with at most eight pages on %s',
    async (paper) => {
      const poses = ['warrior-two', 'triangle', 'pyramid', 'high-lunge'];
      const setUps = poses.map((id) => planPlain(FULL, id, 'right'));
      const outlines = SIDES.flatMap((side) => drawFootOutline(setUps[0]!, side, paper));
      const strips = setUps.map((setUp, i) =>
        drawMatStrip(findPose(poses[i]!)!, setUp, 'cm', paper),
      );
      const pages = await read([...outlines, ...strips.flatMap((each) => each ?? [])]);
      expect(strips).not.toContain(null);
      expect(pages.length).toBeLessThanOrEqual(8);
      for (const page of pages) expect(barsOf(page, 100)).toHaveLength(1);
      // A foot as long and as wide as it is, once for all poses.
      for (const page of pages.slice(0, 2)) {
        const sole = page.lines.find((each) => each.length > 60)!;
        const ys = sole.map(([, y]) => y);
        const length = Math.max(...ys) - Math.min(...ys);
        expect(Math.abs(length - Number(FULL['foot-length']) * 10)).toBeLessThan(0.5);
      }
    },
  );

  it.each(['a4', 'letter'] as const)(
    'glued end to end on %s, the marks lie where the set-up has them',
    async (paper) => {
      for (const id of ['warrior-two', 'pyramid', 'lizard']) {
        const setUp = planPlain(FULL, id, 'right');
        const [page] = await read([drawMatStrip(findPose(id)!, setUp, 'cm', paper)!]);
        // Pieces are the frames of one height; each is glued over the tab of the one before.
        const frames = page!.lines
          .filter((each) => each.length === 5 && Math.abs(between(each[1]!, each[2]!) - 19) < 0.02)
          .sort((a, b) => a[0]![1] - b[0]![1]);
        const window = between(frames[0]![0]!, frames[0]![1]!);
        const along = ([x, y]: Point): number => {
          const piece = frames.findIndex((each) => y > each[0]![1] - 1 && y < each[2]![1] + 1);
          return piece * (window - 10) + x - frames[piece]![0]![0];
        };
        const marks = page!.lines
          .filter(
            (each) =>
              each.length === 2 &&
              Math.abs(each[0]![0] - each[1]![0]) < 0.01 &&
              Math.abs(between(each[0]!, each[1]!) - 19) < 0.02,
          )
          .map((each) => along(each[1]!) / 10);
        const back = setUp.settings.find((each) => /^back-.*from-mat-edge$/.test(each.id))!;
        for (const cm of [settingOf(setUp, 'front-heel-from-mat-edge'), back.value]) {
          expect(
            marks.some((each) => Math.abs(each - cm) < 0.02),
            `${id} ${String(cm)} in ${marks.join()}`,
          ).toBe(true);
        }
      }
    },
  );
});

describe('the drawing on a sheet', () => {
  it('stands at a whole scale that is told, and is as large as it says', async () => {
    const setUp = planPlain(REFERENCE, 'warrior-two', 'right');
    const drawing = drawSheet(findPose('warrior-two')!, setUp, { unit: 'cm', labelMm: 5 })!;
    const [page] = await readPdf(await writePdf([layDrawing(drawing, 'Warrior II', 'a4')], 'x'));
    const told = page!.texts.map(({ text }) => text).join(' ');
    const scale = Number(/1:(\d+)/.exec(told)?.[1]);
    expect(scale).toBeGreaterThanOrEqual(10);
    const mat = page!.lines.find(
      (each) => each.length === 5 && Math.abs(between(each[0]!, each[1]!) - 1830 / scale) < 0.05,
    );
    expect(mat).toBeDefined();
    for (const point of page!.lines.flat()) {
      expect(point[0]).toBeGreaterThan(0);
      expect(point[0]).toBeLessThan(210);
      expect(point[1]).toBeGreaterThan(0);
      expect(point[1]).toBeLessThan(297);
    }
  });
});
