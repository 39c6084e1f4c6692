import { useState } from 'react';
import { readPersonFile, type PersonFile } from '../../core/formats/personFile.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { importFile, planImport, type ImportPlan } from '../../data/merging.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { sayError } from '../shared/sayError.ts';
import { sayWriteError } from '../shared/sayWriteError.ts';
import { PlanWords } from './PlanWords.tsx';
import { FileField } from '../shared/ui/FileField.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { importPanel as say } from './words.ts';

interface Waiting {
  readonly file: PersonFile;
  readonly plan: ImportPlan;
  readonly warnings: readonly Problem[];
}

/** A person file is merged with what is here, once it was shown what that changes. */
export function ImportPanel() {
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [failed, setFailed] = useState('');
  const [done, setDone] = useState<PersonFile | null>(null);

  const choose = async (chosen: File | undefined): Promise<void> => {
    setWaiting(null);
    setProblems([]);
    setFailed('');
    setDone(null);
    if (chosen === undefined) return;
    try {
      const read = readPersonFile(await chosen.text(), new Date().toISOString());
      if (!read.ok) {
        setProblems(read.problems);
        return;
      }
      const { file, warnings } = read.value;
      setWaiting({ file, warnings, plan: await planImport(file) });
    } catch (error) {
      setFailed(say.couldNotRead(chosen.name, sayError(error)));
    }
  };
  const accept = async ({ file }: Waiting): Promise<void> => {
    try {
      await importFile(file);
      setFailed('');
      setWaiting(null);
      setDone(file);
    } catch (error) {
      setFailed(say.couldNotSaved(sayWriteError(error)));
    }
  };

  return (
    <>
      <FileField
        label={say.personFileJson}
        accept=".json,application/json"
        onChoose={(file) => void choose(file)}
      />
      {(problems.length > 0 || failed !== '') && (
        <div role="alert">
          <h2>{say.fileCannotImported}</h2>
          <p>{say.nothingChanged(failed)}</p>
          <ProblemList problems={problems.slice(0, 20)} />
          {problems.length > 20 && <p>{say.more(problems.length - 20)}</p>}
        </div>
      )}
      {waiting !== null && (
        <div>
          <h2>{waiting.file.person.name}</h2>
          <PlanWords plan={waiting.plan} />
          <ProblemList problems={waiting.warnings.slice(0, 10)} />
          <div className="my-4 flex flex-wrap gap-3">
            <Button onClick={() => void accept(waiting)}>
              {waiting.plan.erasedAt === null ? say.importWord : say.importAnyway}
            </Button>
            <Button
              isPlain
              onClick={() => {
                setWaiting(null);
              }}
            >
              {say.cancel}
            </Button>
          </div>
        </div>
      )}
      {done !== null && (
        <p role="status">
          {say.imported(done.person.name)}
          <a href={`/person?id=${encodeURIComponent(done.person.id)}`}>{say.open}</a>
        </p>
      )}
    </>
  );
}
