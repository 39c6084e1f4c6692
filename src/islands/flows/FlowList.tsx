import { useState } from 'react';
import { readFlowFile } from '../../core/formats/flowFile.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { Problem } from '../../core/problems/problem.ts';
import type { Session } from '../../core/sessions/session.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import { FLOW_TEMPLATES } from '../../core/sequence/templates.ts';
import { saveFlow } from '../../data/flows.ts';
import { startFromTemplateInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { FileField } from '../shared/ui/FileField.tsx';
import { TowardPeak } from './TowardPeak.tsx';
import { flowsView as say } from './words.ts';

interface FlowListProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  flows: readonly Flow[];
  onOpen: (id: string) => void;
}

/** The flows of a person, and ways to begin another one. */
export function FlowList({ record, sessions, flows, onOpen }: FlowListProps) {
  const { id: personId, name } = record.person;
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { write, told } = useWrite();
  const add = (flow: Flow): void => {
    write(async () => {
      await saveFlow(personId, flow);
      onOpen(flow.id);
    }, flow);
  };
  const begin = async (template: string): Promise<void> => {
    const id = crypto.randomUUID();
    const filled = await startFromTemplateInWorker(record, sessions, template, id);
    if (!filled.ok) setProblems(filled.problems);
    else if (filled.value !== null) add(filled.value);
  };
  const openFile = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    const read = readFlowFile(await file.text());
    setProblems(read.ok ? [] : read.problems);
    // A file may come in twice: each time it is a flow of its own.
    if (read.ok) add({ ...read.value, id: crypto.randomUUID() });
  };
  return (
    <div className="max-w-[62rem]">
      <h1>{say.title}</h1>
      {flows.length === 0 ? (
        <p>{say.none}</p>
      ) : (
        <ul aria-label={say.yours(name)} className="mb-6">
          {flows.map(({ id, name: words, steps }) => (
            <li key={id} className="border-b border-hair">
              <a
                className="flex min-h-14 items-center gap-4 text-[1.15rem] no-underline hover:wave"
                href={`/flows?id=${encodeURIComponent(personId)}&flow=${encodeURIComponent(id)}`}
                onClick={(event) => {
                  event.preventDefault();
                  onOpen(id);
                }}
              >
                <span className="font-serif">{words}</span>
                <span className="ml-auto text-base text-faint">{say.steps(steps.length)}</span>
              </a>
            </li>
          ))}
        </ul>
      )}
      <h2>{say.begin}</h2>
      <ul>
        <li>
          <WordButton
            onClick={() => {
              const empty = { peak: null, minutes: null, steps: [] };
              add({ id: crypto.randomUUID(), name: say.newFlow, ...empty });
            }}
          >
            {say.empty}
          </WordButton>
        </li>
        {FLOW_TEMPLATES.map(({ id, name: words, about }) => (
          <li key={id}>
            <WordButton onClick={() => void begin(id)}>{words}</WordButton>{' '}
            <span className="text-faint">{about}</span>
          </li>
        ))}
      </ul>
      <TowardPeak record={record} sessions={sessions} onTake={add} />
      {told}
      <div className="mt-6 max-w-96">
        <FileField
          label={say.open}
          accept=".json,application/json"
          onChoose={(file) => void openFile(file)}
        />
      </div>
      {problems.length > 0 && (
        <div role="alert">
          <p className="font-bold">{say.fileCannotOpened}</p>
          <ProblemList problems={problems.slice(0, 10)} />
        </div>
      )}
    </div>
  );
}
