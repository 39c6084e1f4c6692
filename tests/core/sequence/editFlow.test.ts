import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findAnyPose } from '../../../src/core/poses/anyPose.ts';
import { findPose } from '../../../src/core/poses/catalogue/index.ts';
import { findLevel } from '../../../src/core/poses/level.ts';
import { arrangeSides } from '../../../src/core/sequence/arrangeSides.ts';
import {
  editFlow,
  makeStep,
  type FlowEdit,
  type NewStep,
} from '../../../src/core/sequence/editFlow.ts';
import { countBreaths, type Flow } from '../../../src/core/sequence/flow.ts';
import {
  fillTemplate,
  findTemplate,
  FLOW_TEMPLATES,
} from '../../../src/core/sequence/templates.ts';
import { contextOf, REFERENCE, SUPPLE } from '../../support/people.ts';
import { flowOf, plannerOf } from '../../support/flows.ts';

const flow = flowOf('mountain', 'triangle right', 'downward-dog', '~ leg-swings');
const idsOf = (of: Flow | null): readonly string[] => of!.steps.map(({ id }) => id);
const edit = (change: FlowEdit): Flow | null => editFlow(flow, change);

describe('a change of a flow', () => {
  it('puts steps in, takes them out, moves and repeats them', () => {
    const added = [makeStep('tree', 'left')!, makeStep('plank', 'left')!];
    expect(idsOf(edit({ kind: 'insert', after: '2', steps: added }))).toEqual([
      '1',
      '2',
      '5',
      '6',
      '3',
      '4',
    ]);
    expect(idsOf(edit({ kind: 'insert', after: null, steps: added }))[0]).toBe('5');
    // A step that is gone meanwhile: what was added comes last.
    expect(idsOf(edit({ kind: 'insert', after: '99', steps: added })).at(-1)).toBe('6');
    expect(idsOf(edit({ kind: 'remove', step: '2' }))).toEqual(['1', '3', '4']);
    expect(idsOf(edit({ kind: 'move', step: '4', after: '1' }))).toEqual(['1', '4', '2', '3']);
    expect(idsOf(edit({ kind: 'move', step: '3', after: null }))).toEqual(['3', '1', '2', '4']);
    expect(idsOf(edit({ kind: 'duplicate', step: '2' }))).toEqual(['1', '2', '5', '3', '4']);
  });

  it('changes one step, and nothing where it does not suit it', () => {
    expect(edit({ kind: 'swap-side', step: '2' })!.steps[1]).toMatchObject({ side: 'left' });
    expect(edit({ kind: 'swap-side', step: '1' })).toBeNull();
    expect(edit({ kind: 'swap-side', step: '3' })).toBeNull();
    expect(edit({ kind: 'swap-side', step: '99' })).toBeNull();
    expect(edit({ kind: 'level', step: '3', level: null })).toBeNull();
    const rhythm = { kind: 'rhythm', times: 4 } as const;
    const repeated = edit({ kind: 'manner', step: '2', manner: rhythm })!.steps[1]!;
    expect(countBreaths(repeated)).toBe(4);
    const by = editFlow(flow, { kind: 'way', step: '3', by: ['low-lunge'] })!;
    expect(by.steps[2]).toMatchObject({ by: ['low-lunge'] });
    expect(editFlow(by, { kind: 'way', step: '3', by: null })).toEqual(flow);
    expect(edit({ kind: 'minutes', minutes: 30 })).toEqual({ ...flow, minutes: 30 });
  });

  it('never gives two steps one id, whatever is done', () => {
    const anyEdit = fc.oneof(
      fc.record({
        kind: fc.constant('insert' as const),
        after: fc.constantFrom(null, '1', '2', '3', '7'),
        steps: fc.array(fc.constantFrom<NewStep>(makeStep('tree', 'left')!), { maxLength: 3 }),
      }),
      fc.record({
        kind: fc.constantFrom('remove' as const, 'duplicate' as const, 'swap-side' as const),
        step: fc.constantFrom('1', '2', '3', '4', '5', '6'),
      }),
    );
    fc.assert(
      fc.property(fc.array(anyEdit, { maxLength: 12 }), (edits) => {
        const after = edits.reduce<Flow>((now, each) => editFlow(now, each) ?? now, flow);
        expect(new Set(idsOf(after)).size).toBe(after.steps.length);
      }),
      { numRuns: 200, seed: 8 },
    );
  });
});

describe('the sides of a part of a flow', () => {
  const part = ['warrior-two', 'downward-dog', 'triangle'].map((id) => makeStep(id, 'right')!);
  const said = (steps: readonly NewStep[]): readonly string[] =>
    steps.map((step) => (step.kind === 'pose' ? `${step.pose} ${step.side}` : 'link'));

  it('follow each other as they are asked to', () => {
    expect(said(arrangeSides(part, 'left', 'one-then-the-other'))).toEqual([
      'warrior-two left',
      'link',
      'triangle left',
      'warrior-two right',
      'link',
      'triangle right',
    ]);
    expect(said(arrangeSides(part, 'left', 'alternate'))).toEqual([
      'warrior-two left',
      'warrior-two right',
      'link',
      'triangle left',
      'triangle right',
    ]);
    expect(said(arrangeSides(part, 'right', 'first-once-more'))).toHaveLength(9);
  });
});

describe('the templates', () => {
  it('name poses and levels that there are, and lead to their peak two thirds in', () => {
    expect(FLOW_TEMPLATES).toHaveLength(6);
    for (const template of FLOW_TEMPLATES) {
      expect(findTemplate(template.id)).toBe(template);
      const { steps, peak } = fillTemplate(template, 'x', () => 'left');
      expect(steps.length).toBeGreaterThan(8);
      for (const step of steps) {
        if (step.kind !== 'pose') continue;
        expect(findAnyPose(step.pose), step.pose).not.toBeNull();
        const pose = findPose(step.pose);
        if (pose === null || step.level === 'auto') continue;
        expect(findLevel(pose, step.level), `${step.pose} ${String(step.level)}`).not.toBeNull();
      }
      if (peak === null) continue;
      const at = steps.findLastIndex((step) => step.kind === 'pose' && step.pose === peak);
      expect(at / steps.length, template.id).toBeGreaterThan(0.5);
    }
    expect(findTemplate('headstands')).toBeNull();
  });

  it('are all planned for a usual body, the harder side first', () => {
    const stiffLeft = {
      ...REFERENCE,
      'hip-flexion': { left: 100, right: 125 },
      'straight-leg-raise': { left: 65, right: 90 },
    };
    const planner = plannerOf(contextOf(stiffLeft));
    expect(planner.findFirstSide(['mountain', 'pyramid'])).toBe('left');
    expect(planner.findFirstSide(['mountain', 'rest'])).toBe('right');
    const supple = plannerOf(contextOf(SUPPLE));
    for (const template of FLOW_TEMPLATES) {
      const filled = fillTemplate(template, 'x', () => 'right');
      const plan = supple.plan(filled, 'known');
      expect(plan.leftOut, template.id).toEqual([]);
      expect(plan.problems, template.id).toEqual([]);
      expect(plan.steps.filter(({ step }) => step !== null)).toHaveLength(filled.steps.length);
    }
  });
});
