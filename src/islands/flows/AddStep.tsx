import { useId, useState } from 'react';
import type { Side } from '../../core/measures/protocol.ts';
import { ANY_POSES, findAnyPose } from '../../core/poses/anyPose.ts';
import { WARM_UPS } from '../../core/poses/warmUps/index.ts';
import { makeStep, type NewStep } from '../../core/sequence/editFlow.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { stepPanel as say } from './words.ts';

interface AddStepProps {
  /** The pose before; null = it is the first. */
  from: string | null;
  side: Side;
  onAdd: (step: NewStep) => void;
}

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .toLowerCase();

interface Entry {
  readonly id: string;
  readonly name: string;
}

const GROUPS: readonly { readonly words: string; readonly entries: readonly Entry[] }[] = [
  { words: say.group.standing, entries: ANY_POSES.filter(({ kind }) => kind === 'standing') },
  { words: say.group.linking, entries: ANY_POSES.filter(({ kind }) => kind === 'linking') },
  { words: say.group.lying, entries: ANY_POSES.filter(({ kind }) => kind === 'lying') },
  { words: say.group.warmUp, entries: WARM_UPS },
];

/** What may follow at once, then everything else, by name. */
export function AddStep({ from, side, onAdd }: AddStepProps) {
  const [sought, setSought] = useState('');
  const field = useId();
  const follows = from === null ? [] : (findAnyPose(from)?.transitions ?? []);
  const matches = ({ name }: Entry): boolean => plain(name).includes(plain(sought));
  const first = follows.flatMap(({ to }) => findAnyPose(to) ?? []).filter(matches);
  const add = (id: string): void => {
    const step = makeStep(id, side);
    if (step !== null) onAdd(step);
    setSought('');
  };
  const list = (entries: readonly Entry[]) => (
    <ul className="flex flex-wrap gap-x-4">
      {entries.map(({ id, name }) => (
        <li key={id}>
          <WordButton
            onClick={() => {
              add(id);
            }}
          >
            {name}
          </WordButton>
        </li>
      ))}
    </ul>
  );
  return (
    <section data-testid="add">
      <h2 id={field}>{from === null ? say.addFirst : say.add}</h2>
      <input
        type="search"
        aria-labelledby={field}
        placeholder={say.find}
        value={sought}
        data-add
        onChange={(event) => {
          setSought(event.target.value);
        }}
        onKeyDown={(event) => {
          const found = [...first, ...GROUPS.flatMap(({ entries }) => entries).filter(matches)][0];
          if (event.key === 'Enter' && sought !== '' && found !== undefined) add(found.id);
        }}
      />
      {first.length > 0 && (
        <>
          <p className="mt-2 mb-0 font-serif text-faint italic">{say.mayFollow}</p>
          {list(first)}
        </>
      )}
      {GROUPS.map(({ words, entries }) => {
        const found = entries.filter(
          (each) => matches(each) && !first.some(({ id }) => id === each.id),
        );
        return found.length === 0 ? null : (
          <div key={words}>
            <p className="mt-2 mb-0 font-serif text-faint italic">{words}</p>
            {list(found)}
          </div>
        );
      })}
    </section>
  );
}
