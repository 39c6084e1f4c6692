import { useState, type SubmitEvent } from 'react';
import { CONSENT_WORDS, findAgreementProblem, type Agreement } from '../../core/person/consent.ts';
import { CheckField } from './ui/CheckField.tsx';
import { isMinor, type Person } from '../../core/person/person.ts';
import { saveAgreement, takeBackAgreement } from '../../data/consent.ts';
import { showToast, showUndone } from './ui/toasts.ts';
import { useWrite } from './useWrite.tsx';
import { Field } from './ui/Field.tsx';
import { Button } from './ui/Button.tsx';
import { consentForm as say } from './words.ts';

/** What a person agrees to, said before the first measure is stored. */
export function ConsentForm({ person }: { person: Person }) {
  const [now] = useState(() => new Date().toISOString());
  const [withPictures, setWithPictures] = useState(false);
  const [guardian, setGuardian] = useState(person.intake.guardian);
  const [problem, setProblem] = useState<string | null>(null);
  const { write, told } = useWrite();
  const submit = (event: SubmitEvent): void => {
    event.preventDefault();
    const agreement: Agreement = { at: new Date().toISOString(), withPictures, guardian };
    const found = findAgreementProblem(person, agreement);
    setProblem(found);
    if (found !== null) return;
    const before = person.intake;
    write(async () => {
      await saveAgreement(person.id, agreement);
      showToast({
        words: say.agreementSaved(person.name),
        action: {
          words: say.undo,
          run: () => {
            write(async () => {
              await takeBackAgreement(person.id, before);
              showUndone();
            });
          },
        },
      });
    });
  };
  return (
    <form onSubmit={submit}>
      <p>{say.sayYourOwnWords}</p>
      <blockquote className="my-3 border-l-2 pl-4">
        {CONSENT_WORDS.map((each) => (
          <p key={each}>{each}</p>
        ))}
      </blockquote>
      <CheckField isChecked={withPictures} onChange={setWithPictures}>
        {say.picturesMayKeptToo}
        <span className="text-faint">{say.optional}</span>
      </CheckField>
      <Field
        label={isMinor(person, now) ? say.guardianWhoAgreesToo : say.guardianWhoAgreesTooIfTheyAre}
      >
        <input
          value={guardian}
          autoComplete="off"
          aria-invalid={problem !== null}
          onChange={(event) => {
            setGuardian(event.target.value);
            setProblem(null);
          }}
        />
      </Field>
      {problem !== null && <p role="alert">{problem}</p>}
      <Button type="submit" className="mt-3">
        {say.theyAgree}
      </Button>
      {told}
      <p className="text-faint">
        {say.nothingMeasuredUntilThey}
        <a href="/your-data">{say.whatKeptWhere}</a>
      </p>
    </form>
  );
}
