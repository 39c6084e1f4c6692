import { useEffect, useRef, useState, type ReactNode } from 'react';
import { sayWriteError } from './sayWriteError.ts';
import { saveFile } from './saveFile.ts';
import { WordButton } from './ui/Button.tsx';
import { useStoredText as say } from './words.ts';

type StoredState =
  | { readonly kind: 'idle' | 'saving' | 'saved' }
  | { readonly kind: 'wrong'; readonly words: string }
  | { readonly kind: 'failed'; readonly words: string }
  /** Another tab has stored something else meanwhile. */
  | { readonly kind: 'differs'; readonly theirs: string };

/** A refusal may pass: it is tried again after this long. */
export const AGAIN_MS = 5_000;

interface StoredText {
  /** What a file of it is called when it cannot be stored. */
  readonly label: string;
  /** What is stored now. */
  readonly stored: string;
  /** Stores a text over the one it was read from; answers what is stored instead, if it differs. */
  readonly store: (from: string, to: string) => Promise<string | null>;
  /** What is wrong with a text, in a sentence; null = it can be stored. */
  readonly check?: ((text: string) => string | null) | undefined;
}

/**
 * A text that is stored when its field is left. What is typed stays in the field until it
 * is stored, and “saved” is said only then. A field that is not being edited shows what is
 * stored now; one that is writes only over the text it was read from.
 *
 * @returns what the field is given, and what to show beside it
 */
export function useStoredText({ label, stored, store, check }: StoredText): {
  readonly field: {
    readonly value: string;
    readonly 'aria-invalid': boolean;
    readonly onBlur: () => void;
    readonly onChange: (event: { readonly target: { readonly value: string } }) => void;
  };
  readonly told: ReactNode;
} {
  const [draft, setDraft] = useState<{ readonly text: string; readonly from: string } | null>(null);
  const [state, setState] = useState<StoredState>({ kind: 'idle' });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(
    () => () => {
      clearTimeout(timer.current);
    },
    [],
  );

  const write = async (from: string, text: string): Promise<void> => {
    clearTimeout(timer.current);
    setState({ kind: 'saving' });
    try {
      const theirs = await store(from, text);
      if (theirs !== null) {
        setState({ kind: 'differs', theirs });
        return;
      }
      // What was typed while it was written stays.
      setDraft((now) => (now?.text.trim() === text ? null : now));
      setState({ kind: 'saved' });
    } catch (error) {
      setState({ kind: 'failed', words: sayWriteError(error) });
      timer.current = setTimeout(() => void write(from, text), AGAIN_MS);
    }
  };
  const leave = (): void => {
    if (draft === null) return;
    const text = draft.text.trim();
    const words = check?.(text) ?? null;
    if (words !== null) setState({ kind: 'wrong', words });
    else if (text === draft.from) {
      setDraft(null);
      setState({ kind: 'idle' });
    } else void write(draft.from, text);
  };
  return {
    field: {
      value: draft?.text ?? stored,
      'aria-invalid': state.kind === 'wrong' || state.kind === 'failed',
      onBlur: leave,
      onChange: ({ target }) => {
        setDraft((now) => ({ text: target.value, from: now?.from ?? stored }));
        setState({ kind: 'idle' });
      },
    },
    told: (
      <Told
        label={label}
        state={state}
        text={draft?.text ?? stored}
        onAgain={() => void write(draft?.from ?? stored, (draft?.text ?? stored).trim())}
        onKeepOwn={() => {
          if (state.kind === 'differs' && draft !== null)
            void write(state.theirs, draft.text.trim());
        }}
        onTakeTheirs={() => {
          setDraft(null);
          setState({ kind: 'idle' });
        }}
      />
    ),
  };
}

interface ToldProps {
  label: string;
  state: StoredState;
  text: string;
  onAgain: () => void;
  onKeepOwn: () => void;
  onTakeTheirs: () => void;
}

/** What became of a text, beside its field. */
function Told({ label, state, text, onAgain, onKeepOwn, onTakeTheirs }: ToldProps) {
  if (state.kind === 'wrong') return <span role="alert">{state.words}</span>;
  if (state.kind === 'failed')
    return (
      <span role="alert">
        {say.notSavedTryingAgain(state.words)}
        <WordButton onClick={onAgain}>{say.tryNow}</WordButton>{' '}
        <WordButton
          onClick={() => {
            saveFile(`${label}.txt`, text, 'text/plain');
          }}
        >
          {say.saveAsFile}
        </WordButton>
      </span>
    );
  if (state.kind === 'differs')
    return (
      <span role="alert">
        {say.notSavedEnteredElsewhere(state.theirs)}
        <WordButton onClick={onKeepOwn}>{say.keepMine}</WordButton>{' '}
        <WordButton onClick={onTakeTheirs}>{say.takeOther}</WordButton>
      </span>
    );
  return (
    <span role="status" className="text-faint">
      {state.kind === 'saved' ? 'saved' : ''}
    </span>
  );
}
