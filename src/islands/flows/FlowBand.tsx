import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import clsx from 'clsx';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import type { FlowEdit } from '../../core/sequence/editFlow.ts';
import type { Flow, FlowStep } from '../../core/sequence/flow.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import type { PlannedStep } from '../../core/sequence/plannedFlow.ts';
import { FlowFigure, StepMat } from '../shared/FlowFigure.tsx';
import { nameStep, sayManner, sideOfStep } from './stepWords.ts';
import { flowBand as say } from './words.ts';

interface FlowBandProps {
  flow: Flow;
  plan: FlowPlan | null;
  selected: string | null;
  onSelect: (step: string) => void;
  edit: (edit: FlowEdit) => void;
}

/** The flow as a band of small figures on one mat, which are moved by dragging or by keys. */
export function FlowBand({ flow, plan, selected, onSelect, edit }: FlowBandProps) {
  const { steps } = flow;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const band = useRef<HTMLOListElement>(null);
  const focusNext = useRef<string | null>(null);
  useEffect(() => {
    if (focusNext.current === null) return;
    const button = band.current?.querySelector<HTMLElement>(`[data-step="${focusNext.current}"]`);
    focusNext.current = null;
    button?.focus();
  });
  const choose = (step: FlowStep | undefined): void => {
    if (step === undefined) return;
    focusNext.current = step.id;
    onSelect(step.id);
  };
  const move = (from: number, to: number): void => {
    const step = steps[from];
    if (step === undefined || to < 0 || to >= steps.length || to === from) return;
    const after = to > from ? steps[to]!.id : (steps[to - 1]?.id ?? null);
    edit({ kind: 'move', step: step.id, after });
  };
  const press = (event: KeyboardEvent, step: FlowStep, at: number): void => {
    if (event.ctrlKey || event.metaKey) return;
    const act = KEYS[event.key];
    if (act === undefined) return;
    event.preventDefault();
    focusNext.current = step.id;
    if (act === 'next' || act === 'before') {
      const to = at + (act === 'next' ? 1 : -1);
      if (event.altKey) move(at, to);
      else choose(steps[to]);
    } else if (act === 'remove') {
      choose(steps[at + 1] ?? steps[at - 1]);
      edit({ kind: 'remove', step: step.id });
    } else if (act === 'more' || act === 'less') {
      edit(changeCount(step, act === 'more' ? 1 : -1));
    } else edit({ kind: act, step: step.id });
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    const find = (id: unknown): number => steps.findIndex((each) => each.id === id);
    if (over !== null) move(find(active.id), find(over.id));
  };
  if (steps.length === 0) return <p>{say.empty}</p>;
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={steps.map(({ id }) => id)} strategy={rectSortingStrategy}>
        <ol
          ref={band}
          aria-label={say.label}
          className="flex flex-wrap gap-y-4 border-y border-hair py-3 max-tablet:relative max-tablet:flex-nowrap max-tablet:overflow-x-auto"
          data-testid="band"
        >
          {steps.map((step, i) => (
            <BandStep
              key={step.id}
              step={step}
              place={say.place(i + 1, steps.length)}
              plan={plan}
              isSelected={step.id === selected}
              isReachable={step.id === selected || (selected === null && i === 0)}
              onSelect={() => {
                onSelect(step.id);
              }}
              onKey={(event) => {
                press(event, step, i);
              }}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

/** What a key does to the step that has the focus. */
const KEYS: Readonly<
  Record<string, 'next' | 'before' | 'remove' | 'more' | 'less' | 'swap-side' | 'duplicate'>
> = {
  ArrowRight: 'next',
  ArrowDown: 'next',
  ArrowLeft: 'before',
  ArrowUp: 'before',
  Delete: 'remove',
  Backspace: 'remove',
  '+': 'more',
  '-': 'less',
  s: 'swap-side',
  d: 'duplicate',
};

/** One breath or one repeat more, or less. */
export function changeCount({ id, manner }: FlowStep, by: number): FlowEdit {
  switch (manner.kind) {
    case 'held': {
      const breaths = Math.max(1, manner.breaths + by);
      return { kind: 'manner', step: id, manner: { kind: 'held', breaths } };
    }
    case 'rhythm': {
      const times = Math.max(1, manner.times + by);
      return { kind: 'manner', step: id, manner: { kind: 'rhythm', times } };
    }
    case 'passed': {
      const held = { kind: 'held', breaths: 1 + Math.max(0, by) } as const;
      return { kind: 'manner', step: id, manner: held };
    }
  }
}

interface BandStepProps {
  step: FlowStep;
  place: string;
  plan: FlowPlan | null;
  isSelected: boolean;
  isReachable: boolean;
  onSelect: () => void;
  onKey: (event: KeyboardEvent) => void;
}

function BandStep({ step, place, plan, isSelected, isReachable, onSelect, onKey }: BandStepProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  const planned = plan?.steps.find((each) => each.step?.id === step.id) ?? null;
  const between =
    planned === null
      ? []
      : (plan?.steps.filter(({ index, step: own }) => index === planned.index && own === null) ??
        []);
  const isLeftOut = plan?.leftOut.some((each) => each.step.id === step.id) === true;
  const moved =
    transform === null
      ? undefined
      : `translate(${String(transform.x)}px, ${String(transform.y)}px)`;
  const side = sideOfStep(step);
  return (
    <li
      ref={setNodeRef}
      style={{ transform: moved, transition }}
      className={clsx('flex items-start', isDragging && 'relative z-10 bg-paper')}
    >
      {between.map((each, i) => (
        <Between key={`${each.name} ${String(i)}`} step={each} />
      ))}
      <div className="relative">
        <button
          type="button"
          data-step={step.id}
          tabIndex={isReachable ? 0 : -1}
          aria-current={isSelected ? 'step' : undefined}
          className="grid w-[8.4rem] cursor-pointer content-start justify-items-center gap-[0.15rem] rounded-md px-1 pt-1 pb-[0.3rem] text-center leading-tight aria-[current]:bg-mist"
          onClick={onSelect}
          onKeyDown={onKey}
        >
          <span className="flex h-28 w-full items-end justify-center">
            {planned !== null && <FlowFigure step={planned} />}
          </span>
          {planned !== null && plan !== null && (
            <StepMat mat={plan.mat} step={planned} className="w-full" />
          )}
          <span className="font-semibold">{nameStep(step)}</span>
          <span className="text-[0.85rem] text-faint">
            <span className="sr-only">{place}, </span>
            {[side, sayManner(step)].filter(Boolean).join(', ')}
            {isLeftOut && <span className="font-semibold text-ink">, {say.leftOut}</span>}
            {planned !== null && planned.gap.length > 0 && (
              <span className="font-semibold text-ink">, {say.noSetUp}</span>
            )}
          </span>
        </button>
        <span
          {...attributes}
          {...listeners}
          tabIndex={-1}
          role="button"
          aria-label={say.move(nameStep(step))}
          aria-hidden
          className="absolute top-0 right-0 inline-grid min-h-11 min-w-8 cursor-grab touch-none place-items-center text-faint"
        >
          <GripVertical aria-hidden size={16} />
        </span>
      </div>
    </li>
  );
}

/** A pose that is passed through on the way to the next step: smaller, and by name for those who do not see it. */
const Between = ({ step }: { step: PlannedStep }) => (
  <span
    className="flex h-30 w-11 flex-col items-center justify-end opacity-60"
    title={say.passed(step.name)}
  >
    <FlowFigure step={step} size="small" />
    <span aria-hidden>→</span>
    <span className="sr-only">{say.passed(step.name)}</span>
  </span>
);
