import { StopPanel } from '../shared/ui/StopPanel.tsx';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Person } from '../../core/person/person.ts';
import { agreeToPictures, withdrawAll, withdrawPictures } from '../../data/consent.ts';
import { erasePerson, REMOVED_DAYS } from '../../data/erasing.ts';
import { removePerson } from '../../data/people.ts';
import { countPicturesOf } from '../../data/pictures.ts';
import { ConsentForm } from '../shared/ConsentForm.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { saveOwnCopy } from './saveOwnCopy.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';

/** What a person agreed to, their own copy, and the ways to be forgotten. */
export function TheirData({ person }: { person: Person }) {
  const { intake } = person;
  const { write, told } = useWrite();
  return (
    <section id="their-data">
      <h2>Their data</h2>
      {intake.consentToData === null ? (
        <Withdrawn person={person} />
      ) : (
        <p>
          Agreed on {writeDate(intake.consentToData)}
          {intake.consentWording === null ? '' : ` (wording of ${intake.consentWording})`}
          {intake.guardian === '' ? '' : `, with ${intake.guardian}`}.{' '}
          <WordButton
            onClick={() => {
              write(() => withdrawAll(person.id));
            }}
          >
            They withdraw it
          </WordButton>
        </p>
      )}
      <Pictures person={person} />
      <Button
        isPlain
        onClick={() => {
          write(() => saveOwnCopy(person.id));
        }}
      >
        Save their own copy
      </Button>
      <p className="text-faint">
        A page to read, with charts, pictures and your notes, and the person file. It is not
        encrypted.
      </p>
      {told}
      <Erasure person={person} />
    </section>
  );
}

function Withdrawn({ person }: { person: Person }) {
  const wasAgreed = person.history.some(({ field, to }) => field === 'consentToData' && to === '');
  return (
    <>
      <p className="font-semibold">
        {wasAgreed
          ? 'They withdrew their consent. Give them their own copy if they want one, then erase them below.'
          : 'They have not agreed yet that anything is kept.'}
      </p>
      <details>
        <summary>{wasAgreed ? 'They agree again' : 'Ask them'}</summary>
        <ConsentForm person={person} />
      </details>
    </>
  );
}

function Pictures({ person }: { person: Person }) {
  const count = useLiveQuery(() => countPicturesOf(person.id), [person.id]) ?? 0;
  const { write, told } = useWrite();
  const since = person.intake.consentToPictures;
  return (
    <>
      <p>
        {since === null
          ? 'Pictures are not kept: they have not agreed to it.'
          : `Pictures may be kept, since ${writeDate(since)}; ${String(count)} here.`}{' '}
        <WordButton
          onClick={() => {
            write(() =>
              since === null
                ? agreeToPictures(person.id, new Date().toISOString())
                : withdrawPictures(person.id),
            );
          }}
        >
          {since === null
            ? 'They agree to pictures'
            : count === 0
              ? 'They withdraw it'
              : `They withdraw it: delete ${count === 1 ? 'the picture' : `all ${String(count)}`}`}
        </WordButton>
      </p>
      {told}
    </>
  );
}

/** Removing, which can be undone for a while, and erasing, which cannot. */
function Erasure({ person }: { person: Person }) {
  const [isAsking, setIsAsking] = useState(false);
  const { write, told } = useWrite();
  const leave = async (action: Promise<void>): Promise<void> => {
    await action;
    window.location.href = '/';
  };
  return (
    <>
      <div className="my-4 flex flex-wrap gap-3">
        <Button
          isPlain
          onClick={() => {
            write(() => leave(removePerson(person.id)));
          }}
        >
          Remove
        </Button>
        <Button
          isPlain
          aria-expanded={isAsking}
          onClick={() => {
            setIsAsking(!isAsking);
          }}
        >
          Erase now
        </Button>
      </div>
      <p className="text-faint">
        Someone removed can be brought back for {REMOVED_DAYS} days; then everything of theirs is
        erased automatically.
      </p>
      {isAsking && (
        <StopPanel role="alert">
          <p>
            Every reading, session, set-up, picture and note of {person.name} goes from this browser
            now, and cannot be brought back. Backups and files that you saved are not changed:
            delete them too.
          </p>
          <div className="my-4 flex flex-wrap gap-3">
            <Button
              onClick={() => {
                write(() => leave(erasePerson(person.id)));
              }}
            >
              Erase everything of {person.name}
            </Button>
            <Button
              isPlain
              onClick={() => {
                setIsAsking(false);
              }}
            >
              Leave it
            </Button>
          </div>
        </StopPanel>
      )}
      {told}
    </>
  );
}
