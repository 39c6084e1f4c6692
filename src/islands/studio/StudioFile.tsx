import { useState } from 'react';
import { readStudioFile, writeStudioFile } from '../../core/formats/studioFile.ts';
import type { Problem } from '../../core/problems/problem.ts';
import type { Studio } from '../../core/studio/studio.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { saveFile } from '../shared/saveFile.ts';
import { sayError } from '../shared/sayError.ts';
import { Button } from '../shared/ui/Button.tsx';
import { FileField } from '../shared/ui/FileField.tsx';
import { useStudioChange } from './useStudio.ts';
import { studioFile as say } from './words.ts';

const MOST_SHOWN = 20;

/** The studio as a file, out and in; nothing comes in before it is shown what it replaces. */
export function StudioFile({ studio }: { studio: Studio }) {
  const { change, told } = useStudioChange();
  const [waiting, setWaiting] = useState<Studio | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [failed, setFailed] = useState('');
  const choose = async (file: File | undefined): Promise<void> => {
    setWaiting(null);
    setProblems([]);
    setFailed('');
    if (file === undefined) return;
    try {
      const read = readStudioFile(await file.text());
      if (read.ok) setWaiting(read.value);
      else setProblems(read.problems);
    } catch (error) {
      setFailed(say.couldNotRead(file.name, sayError(error)));
    }
  };
  return (
    <>
      {told}
      <Button
        isPlain
        className="mb-3"
        onClick={() => {
          saveFile('studio.json', writeStudioFile(studio));
        }}
      >
        {say.export}
      </Button>
      <FileField
        label={say.file}
        accept=".json,application/json"
        onChoose={(file) => void choose(file)}
      />
      {(problems.length > 0 || failed !== '') && (
        <div role="alert">
          <h3>{say.cannot}</h3>
          <p>
            {failed} {say.nothingChanged}
          </p>
          <ProblemList problems={problems.slice(0, MOST_SHOWN)} />
        </div>
      )}
      {waiting !== null && (
        <div>
          <p>{say.would(waiting.cupboard.length, waiting.schools.length)}</p>
          <div className="my-4 flex flex-wrap gap-3">
            <Button
              onClick={() => {
                change(() => waiting, say.imported);
                setWaiting(null);
              }}
            >
              {say.import}
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
    </>
  );
}
