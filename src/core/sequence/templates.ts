import type { Side } from '../measures/protocol.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { arrangeSides, type SideOrder } from './arrangeSides.ts';
import { makeStep, type NewStep } from './editFlow.ts';
import type { Flow, Manner } from './flow.ts';

/** A step of a template: a pose or warm-up, perhaps with breaths, a level or a rhythm of its own. */
type TemplateStep = readonly [
  id: string,
  asked?: { readonly breaths?: number; readonly times?: number; readonly level?: string },
];

/** A part of a template: done once, or on both sides. */
type TemplatePart =
  | { readonly once: readonly TemplateStep[] }
  | { readonly bothSides: readonly TemplateStep[]; readonly order: SideOrder };

/** A flow without a person. */
export interface FlowTemplate {
  readonly id: string;
  readonly name: string;
  /** For whom and what for, in one sentence. */
  readonly about: string;
  readonly peak: string | null;
  readonly parts: readonly TemplatePart[];
}

const AT_THE_END: TemplatePart = {
  once: [
    ['cross-legged', { breaths: 6 }],
    ['rest', { breaths: 24 }],
  ],
};

/** Flows of our own to begin with. */
export const FLOW_TEMPLATES: readonly FlowTemplate[] = [
  {
    id: 'open-hips',
    name: 'Open hips',
    about: 'The four poses of one open stance, then triangle, each side through.',
    peak: 'triangle',
    parts: [
      { once: [['seated-knee-drops'], ['knee-openers'], ['round-and-hollow'], ['downward-dog']] },
      {
        bothSides: [
          ['warrior-two'],
          ['reverse-warrior', { breaths: 3 }],
          ['side-angle'],
          ['reverse-triangle', { breaths: 3 }],
          ['triangle'],
        ],
        order: 'one-then-the-other',
      },
      { once: [['wide-fold']] },
      AT_THE_END,
    ],
  },
  {
    id: 'closed-hips',
    name: 'Closed hips',
    about: 'Lunges, warrior I and pyramid, hips to the front all the way.',
    peak: 'pyramid',
    parts: [
      { once: [['round-and-hollow']] },
      { bothSides: [['lunge-rocks']], order: 'one-then-the-other' },
      { once: [['downward-dog']] },
      {
        bothSides: [['low-lunge'], ['high-lunge'], ['warrior-one'], ['pyramid']],
        order: 'one-then-the-other',
      },
      {
        once: [
          ['chair', { breaths: 4 }],
          ['mountain', { breaths: 4 }],
        ],
      },
      AT_THE_END,
    ],
  },
  {
    id: 'toward-half-moon',
    name: 'Toward half moon',
    about: 'Open poses that shift the weight onto one leg, little by little.',
    peak: 'half-moon',
    parts: [
      { bothSides: [['lying-leg-lifts']], order: 'one-then-the-other' },
      { once: [['round-and-hollow'], ['mountain', { breaths: 4 }]] },
      { bothSides: [['tree']], order: 'one-then-the-other' },
      {
        bothSides: [['warrior-two'], ['side-angle'], ['triangle'], ['half-moon']],
        order: 'one-then-the-other',
      },
      { once: [['wide-fold'], ['forward-fold', { breaths: 4 }]] },
      AT_THE_END,
    ],
  },
  {
    id: 'toward-revolved-side-angle',
    name: 'Toward revolved side angle',
    about: 'Lunges first, then the turn: hips closed, the chest to the front leg.',
    peak: 'revolved-side-angle',
    parts: [
      { once: [['seated-turns'], ['round-and-hollow'], ['downward-dog']] },
      {
        bothSides: [['low-lunge'], ['high-lunge'], ['revolved-side-angle']],
        order: 'first-once-more',
      },
      { once: [['forward-fold', { breaths: 4 }]] },
      { bothSides: [['lying-crossed-twist', { breaths: 8 }]], order: 'one-then-the-other' },
      { once: [['rest', { breaths: 24 }]] },
    ],
  },
  {
    id: 'stiff-morning',
    name: 'Stiff morning',
    about: 'Slow and low: small movements first, a few lunges, nothing deep.',
    peak: null,
    parts: [
      { once: [['pelvis-rocks'], ['lying-knee-drops']] },
      { bothSides: [['knee-to-chest'], ['lying-leg-lifts', { times: 4 }]], order: 'alternate' },
      { once: [['round-and-hollow']] },
      { bothSides: [['low-lunge', { level: 'hands-on-blocks' }]], order: 'one-then-the-other' },
      { once: [['downward-dog', { breaths: 3 }], ['mountain'], ['chair', { breaths: 3 }]] },
      { bothSides: [['high-lunge', { breaths: 3 }]], order: 'one-then-the-other' },
      { once: [['mountain', { breaths: 4 }]] },
      AT_THE_END,
    ],
  },
  {
    id: 'chair-and-wall',
    name: 'Chair and wall',
    about: 'Standing poses with a chair or a wall at hand, for days of little balance.',
    peak: null,
    parts: [
      { once: [['heel-rocks'], ['mountain', { breaths: 5 }], ['chair', { level: 'at-a-wall' }]] },
      { bothSides: [['tree', { level: 'at-a-wall' }]], order: 'one-then-the-other' },
      {
        bothSides: [
          ['warrior-two', { level: 'on-a-chair' }],
          ['side-angle', { level: 'on-a-chair' }],
          ['triangle', { level: 'hand-on-a-chair' }],
        ],
        order: 'one-then-the-other',
      },
      { bothSides: [['pyramid', { level: 'hands-on-a-chair' }]], order: 'one-then-the-other' },
      AT_THE_END,
    ],
  },
];

/**
 * A template of the list.
 *
 * @param id its name in links
 * @returns null when there is none
 */
export const findTemplate = (id: string): FlowTemplate | null =>
  FLOW_TEMPLATES.find((each) => each.id === id) ?? null;

function toStep([id, asked = {}]: TemplateStep, side: Side): NewStep {
  const step = makeStep(id, side);
  if (step === null) throw new Error(`A template names ${id}, which is not there`);
  const { breaths, times, level } = asked;
  const manner: Manner =
    breaths !== undefined
      ? { kind: 'held', breaths }
      : times !== undefined
        ? { kind: 'rhythm', times }
        : step.manner;
  return step.kind === 'pose'
    ? { ...step, manner, level: level ?? FITTING_LEVEL }
    : { ...step, manner };
}

/**
 * A template as a flow, each part on both sides in its order.
 *
 * @param template of the list
 * @param id of the new flow
 * @param findFirst the side that comes first in a part, by its poses: the harder one of this person
 * @returns a flow that can be changed
 */
export function fillTemplate(
  template: FlowTemplate,
  id: string,
  findFirst: (poses: readonly string[]) => Side,
): Flow {
  const steps = template.parts.flatMap((part): readonly NewStep[] => {
    if ('once' in part) return part.once.map((each) => toStep(each, 'right'));
    const first = findFirst(part.bothSides.map(([pose]) => pose));
    const written = part.bothSides.map((each) => toStep(each, first));
    return arrangeSides(written, first, part.order);
  });
  return {
    id,
    name: template.name,
    peak: template.peak,
    minutes: null,
    steps: steps.map((step, i) => ({ ...step, id: String(i + 1) })),
  };
}
