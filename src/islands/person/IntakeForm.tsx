import { isMinor, type Intake, type Person } from '../../core/person/person.ts';
import { changePerson, type Answer } from '../../data/people.ts';
import { SavedField } from '../shared/SavedField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { writeDate } from '../shared/words.ts';

const QUESTIONS: readonly {
  readonly field: 'hurts' | 'operations' | 'wishes';
  readonly words: string;
}[] = [
  { field: 'hurts', words: 'What hurts, and when?' },
  { field: 'operations', words: 'What was operated on or broken, and when?' },
  { field: 'wishes', words: 'What do they come for?' },
];

const answerOf = (field: 'hurts' | 'operations' | 'wishes' | 'guardian'): Answer => ({
  read: ({ intake }) => intake[field],
  write: ({ intake }, text) => ({ intake: { ...intake, [field]: text } }),
});

const INTAKE_ANSWERS = {
  hurts: answerOf('hurts'),
  operations: answerOf('operations'),
  wishes: answerOf('wishes'),
  guardian: answerOf('guardian'),
};

/** The first meeting's open questions; each may be left out. */
export function IntakeForm({ person }: { person: Person }) {
  const { intake } = person;
  const { write, told } = useWrite();
  const save = (changes: Partial<Intake>): void => {
    write(() => changePerson(person.id, (now) => ({ intake: { ...now.intake, ...changes } })));
  };
  return (
    <div className="about">
      {QUESTIONS.map(({ field, words }) => (
        <SavedField
          key={field}
          label={words}
          person={person}
          answer={INTAKE_ANSWERS[field]}
          rows={2}
        />
      ))}
      <Consent
        words="agrees that what is measured is kept"
        since={intake.consentToData}
        onChange={(consentToData) => {
          save({ consentToData });
        }}
      />
      <Consent
        words="agrees that pictures are kept in this browser"
        since={intake.consentToPictures}
        onChange={(consentToPictures) => {
          save({ consentToPictures });
        }}
      />
      {isMinor(person, new Date().toISOString()) && (
        <SavedField
          label="Under 18: the guardian who is present"
          person={person}
          answer={INTAKE_ANSWERS.guardian}
        />
      )}
      {told}
      <p className="quiet">Every answer may be left out. Changes are kept with their date.</p>
    </div>
  );
}

interface ConsentProps {
  words: string;
  since: string | null;
  onChange: (since: string | null) => void;
}

function Consent({ words, since, onChange }: ConsentProps) {
  return (
    <label className="check">
      <input
        type="checkbox"
        checked={since !== null}
        onChange={(event) => {
          onChange(event.target.checked ? new Date().toISOString() : null);
        }}
      />{' '}
      <span>
        {words}
        {since !== null && <span className="quiet">, {writeDate(since)}</span>}
      </span>
    </label>
  );
}
