import { useEffect, useState } from 'react';
import { writeFlowFile } from '../../core/formats/flowFile.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { Session } from '../../core/sessions/session.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import { changeFlow, removeFlow, saveFlow } from '../../data/flows.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { saveFile } from '../shared/saveFile.ts';
import { useStoredText } from '../shared/useStoredText.tsx';
import { useUnit } from '../shared/useRecord.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { showToast } from '../shared/ui/toasts.ts';
import { AddStep } from './AddStep.tsx';
import { FlowBand } from './FlowBand.tsx';
import { FlowFacts } from './FlowFacts.tsx';
import { StepPanel } from './StepPanel.tsx';
import { useFlowEditor } from './useFlowEditor.ts';
import { useFlowPlan } from './useFlowPlan.ts';
import { flowEditor as say, flowsView } from './words.ts';

interface FlowEditorViewProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  flow: Flow;
  onOpen: (id: string | null) => void;
}

/** One flow to be built: the band, the step that is chosen, and what the whole of it comes to. */
export function FlowEditorView({ record, sessions, flow, onOpen }: FlowEditorViewProps) {
  const personId = record.person.id;
  const unit = useUnit();
  const { plan, isCurrent } = useFlowPlan(record, sessions, flow);
  const { edit, undo, redo, added, told } = useFlowEditor(personId, flow.id);
  const [chosen, setChosen] = useState<string | null>(null);
  const [seen, setSeen] = useState<string | null>(null);
  // What was added just now is what is worked on next.
  if (added !== seen) {
    setSeen(added);
    if (added !== null) setChosen(added);
  }
  const step = flow.steps.find(({ id }) => id === chosen) ?? flow.steps.at(-1) ?? null;
  // A stop sign, or too many steps: nothing is planned, and the reason comes first.
  const isRefused =
    plan !== null && flow.steps.length > 0 && plan.steps.length === 0 && plan.leftOut.length === 0;
  const { write, told: notRemoved } = useWrite();
  useEffect(() => {
    const press = (event: globalThis.KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      if (event.target instanceof HTMLInputElement) return;
      const act = event.shiftKey ? redo : undo;
      if (act === null) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', press);
    return () => {
      window.removeEventListener('keydown', press);
    };
  }, [undo, redo]);
  const remove = (): void => {
    write(async () => {
      await removeFlow(personId, flow.id);
      showToast({
        words: say.removed(flow.name),
        action: {
          words: say.bringBack,
          run: () => {
            write(() => saveFlow(personId, flow), flow);
          },
        },
      });
      onOpen(null);
    });
  };
  const from = step === null ? null : step.kind === 'warm-up' ? null : step.pose;
  const side = step === null || step.kind === 'link' ? 'right' : (step.side ?? 'right');
  return (
    <div>
      <h1 className="sr-only">{flow.name}</h1>
      <div className="flex flex-wrap items-baseline gap-x-5">
        <WordButton
          onClick={() => {
            onOpen(null);
          }}
        >
          {flowsView.allFlows}
        </WordButton>
        <FlowName personId={personId} flow={flow} />
        <span className="text-faint" role="status">
          {isRefused
            ? flowsView.steps(flow.steps.length)
            : plan !== null && isCurrent
              ? say.total(
                  say.minutes(Math.round(plan.seconds.total / 60)),
                  flowsView.steps(flow.steps.length),
                )
              : say.working}
        </span>
        <WordButton disabled={undo === null} onClick={() => undo?.()}>
          {say.undo}
        </WordButton>
        <WordButton disabled={redo === null} onClick={() => redo?.()}>
          {say.redo}
        </WordButton>
        {flow.steps.length > 0 && !isRefused && (
          <a
            className="inline-block min-h-11 px-[0.15rem] decoration-water decoration-2 underline-offset-4"
            href={`/session?id=${encodeURIComponent(personId)}&flow=${encodeURIComponent(flow.id)}`}
          >
            {say.lead}
          </a>
        )}
        {flow.steps.length > 0 && !isRefused && (
          <a
            className="inline-block min-h-11 px-[0.15rem] decoration-water decoration-2 underline-offset-4"
            href={`/paper?id=${encodeURIComponent(personId)}&flow=${encodeURIComponent(flow.id)}`}
          >
            {say.onPaper}
          </a>
        )}
        <WordButton
          onClick={() => {
            saveFile(`${flow.name}.flow.json`, writeFlowFile(flow));
          }}
        >
          {say.save}
        </WordButton>
        <WordButton onClick={remove}>{say.remove}</WordButton>
      </div>
      {told !== null && <div role="alert">{told}</div>}
      {notRemoved}
      {isRefused && <ProblemList problems={plan.problems} />}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-6 tablet:grid-cols-[minmax(0,1fr)_21rem]">
        <FlowBand
          flow={flow}
          plan={plan}
          selected={step?.id ?? null}
          onSelect={setChosen}
          edit={edit}
        />
        <div className="pt-3 tablet:sticky tablet:top-0 tablet:row-span-2 tablet:max-h-screen tablet:self-start tablet:overflow-y-auto tablet:pl-1">
          {step !== null && (
            <StepPanel
              key={step.id}
              record={record}
              sessions={sessions}
              flow={flow}
              plan={plan}
              step={step}
              unit={unit}
              edit={edit}
            />
          )}
          <AddStep
            from={from}
            side={side}
            onAdd={(added) => {
              edit({ kind: 'insert', after: step?.id ?? null, steps: [added] });
            }}
          />
        </div>
        {plan !== null && !isRefused && <FlowFacts plan={plan} unit={unit} edit={edit} />}
      </div>
    </div>
  );
}

/** The name of a flow, stored when its field is left. */
function FlowName({ personId, flow }: { personId: string; flow: Flow }) {
  const { field, told } = useStoredText({
    label: say.name,
    stored: flow.name,
    check: (text) => (text === '' ? say.needsName : null),
    store: async (from, to) => {
      let theirs: string | null = null;
      await changeFlow(personId, flow.id, (now) => {
        theirs = now.name === from ? null : now.name;
        return theirs === null ? { ...now, name: to } : null;
      });
      return theirs;
    },
  });
  return (
    <span className="inline-flex min-w-60 grow flex-wrap items-baseline gap-x-3">
      <input
        {...field}
        aria-label={say.name}
        className="w-auto! grow border-0! bg-transparent! px-0! font-serif text-[1.6rem]!"
      />
      {told}
    </span>
  );
}
