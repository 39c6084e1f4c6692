import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState, type SubmitEvent } from 'react';
import type { Problem } from '../../core/problems/problem.ts';
import { collectBackup } from '../../data/backup.ts';
import { countPictures } from '../../data/pictures.ts';
import { setBackedUpAt, setBackupDays } from '../../data/settings.ts';
import { makeBackupInWorker } from '../../workers/backupClient.ts';
import { CheckField } from '../shared/ui/CheckField.tsx';
import { ProblemList } from '../shared/ProblemList.tsx';
import { sayError } from '../shared/sayError.ts';
import { saveFile } from '../shared/saveFile.ts';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { writeBytes } from '../shared/storage.ts';
import { useBackup } from '../shared/useBackup.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { sayStrength } from './passphraseStrength.ts';
import { Button } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { backupPanel as say } from './words.ts';

/** Our choice: what is shorter is guessed by trying. */
const FEWEST_LETTERS = 8;

const DAYS: readonly (readonly [string, string])[] = [
  ['1', say.day],
  ['7', '7 days'],
  ['14', '14 days'],
  ['30', '30 days'],
];

type BackupState =
  | { readonly kind: 'idle' | 'working' }
  | { readonly kind: 'done'; readonly words: string }
  | { readonly kind: 'failed'; readonly words: string; readonly problems: readonly Problem[] };

/** Everything in one file, encrypted unless that is switched off, and read back before it is done. */
export function BackupPanel() {
  const pictures = useLiveQuery(countPictures, []) ?? 0;
  const [isEncrypted, setIsEncrypted] = useState(true);
  const [withPictures, setWithPictures] = useState(true);
  const [passphrase, setPassphrase] = useState('');
  const [state, setState] = useState<BackupState>({ kind: 'idle' });
  const { write, told } = useWrite();

  const back = async (): Promise<void> => {
    if (isEncrypted && passphrase.length < FEWEST_LETTERS) {
      const words = say.passphraseFewerThanLetters(FEWEST_LETTERS);
      setState({ kind: 'failed', words, problems: [] });
      return;
    }
    setState({ kind: 'working' });
    try {
      const content = await collectBackup(withPictures);
      const made = await makeBackupInWorker(content, isEncrypted ? passphrase : null);
      if (!made.ok) {
        const words = say.backupCouldNotRead;
        setState({ kind: 'failed', words, problems: made.problems });
        return;
      }
      const name = `stillwater-${content.madeAt.slice(0, 10)}.zip${isEncrypted ? '.age' : ''}`;
      saveFile(name, made.value as Uint8Array<ArrayBuffer>, 'application/octet-stream');
      write(() => setBackedUpAt(content.madeAt));
      const people = content.stores['people']?.length ?? 0;
      setState({
        kind: 'done',
        words: say.doneReadBackComplete(
          name,
          people,
          people === 1 ? 'person' : 'people',
          writeBytes(made.value.byteLength),
        ),
      });
    } catch (error) {
      setState({ kind: 'failed', words: say.noBackupMade(sayError(error)), problems: [] });
    }
  };

  return (
    <form
      onSubmit={(event: SubmitEvent) => {
        event.preventDefault();
        void back();
      }}
    >
      <LastBackup />
      <CheckField isChecked={isEncrypted} onChange={setIsEncrypted}>
        {say.encryptWithPassphrase}
      </CheckField>
      {isEncrypted ? (
        <Passphrase value={passphrase} onChange={setPassphrase} />
      ) : (
        <p className="font-semibold">{say.anyoneWhoHasFile}</p>
      )}
      <CheckField isChecked={withPictures} onChange={setWithPictures}>
        {say.withPictures}
        <span className="text-faint">{say.kept(pictures)}</span>
      </CheckField>
      <Button type="submit" className="mt-3" disabled={state.kind === 'working'}>
        {say.backUpEverything}
      </Button>
      <p role="status">
        {state.kind === 'working' && say.packingChecking}
        {state.kind === 'done' && state.words}
      </p>
      {told}
      {state.kind === 'failed' && (
        <div role="alert">
          <p>{state.words}</p>
          <ProblemList problems={state.problems} />
        </div>
      )}
      <ReminderDays />
    </form>
  );
}

/** The date of the last backup, and whether it is time for one. */
function LastBackup() {
  const backup = useBackup();
  if (backup === undefined) return null;
  const { madeAt, isDue } = backup;
  return (
    <p className={isDue ? 'font-semibold' : ''}>
      {madeAt === null ? say.noBackupYet : say.lastBackup(writeDate(madeAt))}
      {isDue && madeAt !== null && say.thereNewerData}
    </p>
  );
}

/** After how long without a backup there is a reminder. */
function ReminderDays() {
  const backup = useBackup();
  const { write, told } = useWrite();
  if (backup === undefined) return null;
  return (
    <>
      <SelectField
        label={say.remindMeWhenThere}
        value={String(backup.days)}
        options={DAYS}
        onChange={(value) => {
          write(() => setBackupDays(Number(value)));
        }}
      />
      {told}
    </>
  );
}

function Passphrase({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  const [isShown, setIsShown] = useState(false);
  const [strength, setStrength] = useState('');
  useEffect(() => {
    if (value === '') return;
    let isWanted = true;
    void sayStrength(value).then((words) => {
      if (isWanted) setStrength(words);
    });
    return () => {
      isWanted = false;
    };
  }, [value]);
  return (
    <>
      <Field label={say.passphrase}>
        <input
          type={isShown ? 'text' : 'password'}
          value={value}
          autoComplete="new-password"
          aria-describedby="passphrase-hint"
          onChange={(event) => {
            onChange(event.target.value);
          }}
        />
      </Field>
      <CheckField isChecked={isShown} onChange={setIsShown}>
        {say.showWhatIType}
      </CheckField>
      <p id="passphrase-hint" className="text-faint">
        {say.ifLostNobodyCan(value === '' ? say.fourWordsMoreNobody : strength)}
      </p>
    </>
  );
}
