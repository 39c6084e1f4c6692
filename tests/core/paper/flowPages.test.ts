import { beforeAll, describe, expect, it } from 'vitest';
import { drawFlowPages } from '../../../src/core/paper/flowPages.ts';
import { PAPER_SIZES, type Page } from '../../../src/core/paper/page.ts';
import { writePageSvg } from '../../../src/core/paper/pageSvg.ts';
import { writePdf } from '../../../src/core/paper/pdf.ts';
import type { FlowPlan } from '../../../src/core/sequence/flowChecks.ts';
import type { Point, Shape } from '../../../src/core/drawing/shapes.ts';
import { contextOf, REFERENCE } from '../../support/people.ts';
import { flowOf, plannerOf } from '../../support/flows.ts';

const textsOf = ({ shapes }: Page): readonly string[] =>
  shapes.flatMap((each) => (each.kind === 'text' ? [each.text] : []));
const pointsOf = (shape: Shape): readonly Point[] => {
  switch (shape.kind) {
    case 'polygon':
    case 'line':
      return shape.points;
    case 'circle':
    case 'arc':
      return [shape.centre];
    case 'text':
      return [shape.at];
  }
};

describe('a flow on paper', () => {
  let plan: FlowPlan;
  const draw = (unit: 'cm' | 'in' = 'cm', paper: 'a4' | 'letter' = 'a4'): readonly Page[] =>
    drawFlowPages({ plan, name: 'Somebody', date: '1 December 2026', unit }, paper);
  beforeAll(() => {
    const steps = ['warrior-two', 'side-angle', 'triangle', 'half-moon'];
    const sides = ['right', 'left'].flatMap((side) => steps.map((each) => `${each} ${side}`));
    plan = plannerOf(contextOf(REFERENCE)).plan(
      flowOf('~ round-and-hollow', 'downward-dog', 'mountain', ...sides, 'rest'),
    );
  });

  it('has every step in its order, with what is passed through and what the feet do', () => {
    const text = draw().flatMap(textsOf).join(' ');
    const names = plan.steps.filter(({ step }) => step !== null).map(({ name }) => name);
    const at = names.slice(1).map((name, i) => text.indexOf(`${String(i + 2)} ${name}`));
    expect(at.every((each) => each >= 0)).toBe(true);
    expect(at).toEqual(at.toSorted((a, b) => a - b));
    expect(text).toMatch(/Through Warrior II\. Back foot in \d+ cm, toes to \d+°/);
    // Half moon: about half the stance in, then off the mat.
    const half = Math.round(plan.runs[0]!.stanceCm);
    expect(half).toBeGreaterThan(60);
    expect(text).toMatch(/Back foot in \d+ cm, then off the mat\./);
  });

  it('has the marks of the mat as the plan has them, in either unit', () => {
    const text = draw().flatMap(textsOf).join(' ');
    for (const { number, side, place } of plan.marks) {
      expect(text).toContain(`${String(number)}: ${side}`);
      if (place.part !== 'foot') continue;
      expect(text).toContain(`${String(Math.round(Math.max(0, -place.x)))} cm behind the front`);
    }
    expect(text).toContain(`${String(plan.mat.frontMarksCm)} cm from the mat’s front edge`);
    const inches = draw('in').flatMap(textsOf).join(' ');
    const [, whole, part] = /(\d+)([¼½¾]?) in from the mat’s front edge/.exec(inches)!;
    const quarters = part === '' ? 0 : '¼½¾'.indexOf(part!) + 1;
    expect(Number(whole) + quarters / 4).toBeCloseTo(plan.mat.frontMarksCm / 2.54, 0);
    expect(inches).not.toContain(' cm');
  });

  it('keeps everything on its sheets, each with a bar to check the printer by', async () => {
    for (const paper of ['a4', 'letter'] as const) {
      const { width, height } = PAPER_SIZES[paper];
      const pages = draw('cm', paper);
      expect(pages.length).toBeGreaterThan(1);
      for (const page of pages) {
        for (const [x, y] of page.shapes.flatMap(pointsOf)) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(width);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(height);
        }
        const bar = page.shapes.find(({ role }) => role === 'bar')!;
        const [from, to] = pointsOf(bar);
        expect(to![0] - from![0]).toBeCloseTo(100, 6);
        expect(writePageSvg(page)).toContain(`width="${String(width)}mm"`);
      }
      const pdf = await writePdf(pages, 'A flow');
      expect(Buffer.from(pdf).subarray(0, 5).toString()).toBe('%PDF-');
    }
  });

  it('says nothing about health, and has no page without a step', () => {
    const text = draw().flatMap(textsOf).join(' ').toLowerCase();
    expect(text).not.toMatch(/pain|caution|pregnan|injur|kg|years/);
    const empty = { ...plan, steps: [], marks: [], runs: [] };
    expect(drawFlowPages({ plan: empty, name: '', date: '', unit: 'cm' }, 'a4')).toEqual([]);
  });
});
