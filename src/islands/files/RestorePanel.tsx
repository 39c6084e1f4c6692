import { useState, type SubmitEvent } from 'react';
import type { BackupContent } from '../../core/backup/backup.ts';
import { isEncrypted } from '../../core/backup/encryption.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { planRestore, restore, type RestorePlan } from '../../data/backup.ts';
import { openBackupInWorker } from '../../workers/backupClient.ts';
import { CheckField } from '../shared/ui/CheckField.tsx';
import { ProblemList } from '../shared/ProblemList.tsx';
import { sayError } from '../shared/sayError.ts';
import { sayWriteError } from '../shared/sayWriteError.ts';
import { writeDate } from '../shared/writeValue.ts';
import { PlanWords } from './PlanWords.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { FileField } from '../shared/ui/FileField.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { restorePanel as say } from './words.ts';

interface Opened {
  readonly kind: 'open';
  readonly content: BackupContent;
  readonly plans: RestorePlan[];
}

type RestoreState =
  | { readonly kind: 'idle' | 'opening' | 'restoring' }
  /** Encrypted: it waits for its passphrase. */
  | { readonly kind: 'locked'; readonly bytes: Uint8Array }
  | Opened
  | { readonly kind: 'done'; readonly count: number };

interface Trouble {
  readonly words: string;
  readonly problems: readonly Problem[];
}

/** A backup back in: everything, or some of its people; nothing before it is shown what changes. */
export function RestorePanel() {
  const [state, setState] = useState<RestoreState>({ kind: 'idle' });
  const [trouble, setTrouble] = useState<Trouble | null>(null);

  const open = async (bytes: Uint8Array, passphrase: string): Promise<void> => {
    setTrouble(null);
    setState({ kind: 'opening' });
    const read = await openBackupInWorker(bytes, passphrase);
    if (read.ok) {
      setState({ kind: 'open', content: read.value, plans: await planRestore(read.value) });
      return;
    }
    setTrouble({ words: say.backupCannotOpened, problems: read.problems });
    setState(isEncrypted(bytes) ? { kind: 'locked', bytes } : { kind: 'idle' });
  };
  const choose = async (file: File | undefined): Promise<void> => {
    setTrouble(null);
    setState({ kind: 'idle' });
    if (file === undefined) return;
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      if (isEncrypted(bytes)) setState({ kind: 'locked', bytes });
      else await open(bytes, '');
    } catch (error) {
      setTrouble({ words: say.couldNotRead(file.name, sayError(error)), problems: [] });
    }
  };
  const bring = async (from: Opened, ids: ReadonlySet<string>): Promise<void> => {
    setTrouble(null);
    setState({ kind: 'restoring' });
    try {
      await restore(from.content, ids);
      setState({ kind: 'done', count: ids.size });
    } catch (error) {
      setTrouble({ words: say.nothingRestored(sayWriteError(error)), problems: [] });
      // It stays open, to be tried again.
      setState(from);
    }
  };
  return (
    <>
      <FileField
        label={say.backupZipZipAge}
        accept=".zip,.age,application/zip"
        onChoose={(file) => void choose(file)}
      />
      {trouble !== null && (
        <div role="alert">
          <p>{say.nothingChanged(trouble.words)}</p>
          <ProblemList problems={trouble.problems.slice(0, 20)} />
        </div>
      )}
      {state.kind === 'locked' && (
        <Unlock onOpen={(passphrase) => void open(state.bytes, passphrase)} />
      )}
      {state.kind === 'open' && (
        <Plans
          content={state.content}
          plans={state.plans}
          onRestore={(ids) => void bring(state, ids)}
        />
      )}
      <p role="status">
        {state.kind === 'opening' && say.openingChecking}
        {state.kind === 'restoring' && say.restoring}
        {state.kind === 'done' && (
          <>
            {say.restored(state.count, state.count === 1 ? 'person' : 'people')}
            <a href="/">{say.people}</a>
          </>
        )}
      </p>
    </>
  );
}

function Unlock({ onOpen }: { onOpen: (passphrase: string) => void }) {
  const [passphrase, setPassphrase] = useState('');
  return (
    <form
      onSubmit={(event: SubmitEvent) => {
        event.preventDefault();
        onOpen(passphrase);
      }}
    >
      <Field label={say.passphraseBackup}>
        <input
          type="password"
          autoComplete="off"
          value={passphrase}
          onChange={(event) => {
            setPassphrase(event.target.value);
          }}
        />
      </Field>
      <Button type="submit" className="mt-3" disabled={passphrase === ''}>
        {say.open}
      </Button>
    </form>
  );
}

interface PlansProps {
  content: BackupContent;
  plans: readonly RestorePlan[];
  onRestore: (ids: ReadonlySet<string>) => void;
}

/** Who is in the backup, and what each would change. */
function Plans({ content, plans, onRestore }: PlansProps) {
  // Whoever was erased here comes back only when that is said.
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () =>
      new Set(
        plans
          .filter(({ merge }) => merge !== null && merge.erasedAt === null)
          .map(({ personId }) => personId),
      ),
  );
  const toggle = (id: string, isWanted: boolean): void => {
    const next = new Set(chosen);
    if (isWanted) next.add(id);
    else next.delete(id);
    setChosen(next);
  };
  return (
    <div>
      <p>
        {say.backupFromPeopleWho(
          writeDate(content.madeAt),
          content.withPictures ? '' : say.withoutPictures,
        )}
      </p>
      <ul className="grid gap-[0.35rem]">
        {plans.map((plan) => (
          <PlanLine
            key={plan.personId}
            plan={plan}
            isChosen={chosen.has(plan.personId)}
            onToggle={(isWanted) => {
              toggle(plan.personId, isWanted);
            }}
          />
        ))}
      </ul>
      <Button
        className="mt-3"
        disabled={chosen.size === 0}
        onClick={() => {
          onRestore(chosen);
        }}
      >
        {chosen.size === plans.length
          ? say.restoreEverything
          : say.restore(chosen.size, plans.length)}
      </Button>
    </div>
  );
}

interface PlanLineProps {
  plan: RestorePlan;
  isChosen: boolean;
  onToggle: (isWanted: boolean) => void;
}

function PlanLine({ plan, isChosen, onToggle }: PlanLineProps) {
  const { name, merge, problems, removedAt, pictures } = plan;
  return (
    <li>
      <CheckField isChecked={isChosen} isDisabled={merge === null} onChange={onToggle}>
        {name}
        <span className="text-faint">
          {merge === null ? say.cannotRead : merge.isNewPerson ? say.notHereYet : say.alreadyHere}
          {removedAt === null ? '' : say.removed(writeDate(removedAt))}
        </span>
      </CheckField>
      {merge === null ? (
        <ProblemList problems={problems.slice(0, 5)} />
      ) : (
        <details>
          <summary>{say.whatRestored}</summary>
          <PlanWords plan={merge} />
          {pictures > 0 && <p>{say.picturesBackup(pictures)}</p>}
        </details>
      )}
    </li>
  );
}
