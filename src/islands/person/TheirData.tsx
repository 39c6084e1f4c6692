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
import { theirData as say } from './words.ts';

/** What a person agreed to, their own copy, and the ways to be forgotten. */
export function TheirData({ person }: { person: Person }) {
  const { intake } = person;
  const { write, told } = useWrite();
  return (
    <section id="their-data">
      <h2>{say.theirData}</h2>
      {intake.consentToData === null ? (
        <Withdrawn person={person} />
      ) : (
        <p>
          {say.agreed(
            writeDate(intake.consentToData),
            intake.consentWording === null ? '' : say.wording(intake.consentWording),
            intake.guardian === '' ? '' : say.withWord(intake.guardian),
          )}
          <WordButton
            onClick={() => {
              write(() => withdrawAll(person.id));
            }}
          >
            {say.theyWithdrawConsent}
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
        {say.saveTheirOwnCopy}
      </Button>
      <p className="text-faint">{say.pageReadWithCharts}</p>
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
        {wasAgreed ? say.theyWithdrewTheirConsent : say.theyHaveNotAgreed}
      </p>
      <details>
        <summary>{wasAgreed ? say.theyAgreeAgain : say.askThem}</summary>
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
          ? say.picturesNotKeptThey
          : say.picturesMayKeptSince(writeDate(since), count)}{' '}
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
            ? say.theyAgreePictures
            : count === 0
              ? say.theyWithdrawConsent
              : say.theyWithdrawDelete(count === 1 ? say.picture : say.all(count))}
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
          {say.remove}
        </Button>
        <Button
          isPlain
          aria-expanded={isAsking}
          onClick={() => {
            setIsAsking(!isAsking);
          }}
        >
          {say.eraseNow}
        </Button>
      </div>
      <p className="text-faint">{say.removedPersonCanRestored(REMOVED_DAYS)}</p>
      {isAsking && (
        <StopPanel role="alert">
          <p>{say.everyReadingSessionSet(person.name)}</p>
          <div className="my-4 flex flex-wrap gap-3">
            <Button
              onClick={() => {
                write(() => leave(erasePerson(person.id)));
              }}
            >
              {say.eraseAllData(person.name)}
            </Button>
            <Button
              isPlain
              onClick={() => {
                setIsAsking(false);
              }}
            >
              {say.cancel}
            </Button>
          </div>
        </StopPanel>
      )}
      {told}
    </>
  );
}
