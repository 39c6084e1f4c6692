import { dequal } from 'dequal';
import { useRef, useState } from 'react';
import { editFlow, type FlowEdit } from '../../core/sequence/editFlow.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import { changeFlow } from '../../data/flows.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { flowEditor as say } from './words.ts';

/** A change as it was stored, to be undone or done again. */
interface Done {
  readonly before: Flow;
  readonly after: Flow;
}

export interface FlowEditor {
  readonly edit: (edit: FlowEdit) => void;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
  /** The step that the last change added; null = it added none. */
  readonly added: string | null;
  /** What to show where a write was refused, or an undo came too late. */
  readonly told: React.ReactNode;
}

const findAdded = ({ before, after }: Done): string | null =>
  after.steps.find(({ id }) => !before.steps.some((each) => each.id === id))?.id ?? null;

/**
 * Changes of one flow. Each is made to the flow as it is stored at that moment, so that two
 * tabs lose nothing of each other; an undo that would take back what another tab did is not done.
 */
export function useFlowEditor(personId: string, id: string): FlowEditor {
  const past = useRef<Done[]>([]);
  const future = useRef<Done[]>([]);
  const [can, setCan] = useState({ undo: false, redo: false });
  const [added, setAdded] = useState<string | null>(null);
  const [isLate, setIsLate] = useState(false);
  const { write, told } = useWrite();

  const show = (): void => {
    setCan({ undo: past.current.length > 0, redo: future.current.length > 0 });
  };
  const edit = (change: FlowEdit): void => {
    write(async () => {
      const done = await changeFlow(personId, id, (flow) => editFlow(flow, change));
      if (done === null) return;
      past.current.push(done);
      future.current = [];
      setAdded(findAdded(done));
      setIsLate(false);
      show();
    }, change);
  };
  /** Puts one state in the place of another, where that is still what is stored. */
  const step = (
    way: 'undo' | 'redo',
    swap: (done: Done) => readonly [now: Flow, then: Flow],
  ): void => {
    write(async () => {
      const [from, to] =
        way === 'undo' ? [past.current, future.current] : [future.current, past.current];
      const done = from.at(-1);
      if (done === undefined) return;
      const [now, then] = swap(done);
      const changed = await changeFlow(personId, id, (flow) => (dequal(flow, now) ? then : null));
      from.pop();
      if (changed === null) from.length = 0;
      else to.push(done);
      setIsLate(changed === null);
      setAdded(null);
      show();
    });
  };
  return {
    edit,
    undo: can.undo
      ? () => {
          step('undo', ({ before, after }) => [after, before]);
        }
      : null,
    redo: can.redo
      ? () => {
          step('redo', ({ before, after }) => [before, after]);
        }
      : null,
    added,
    told: isLate ? say.changedElsewhere : told,
  };
}
