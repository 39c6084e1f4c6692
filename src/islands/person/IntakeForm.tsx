import { isMinor, type Person } from '../../core/person/person.ts';
import type { PersonAnswer } from '../../data/people.ts';
import { SavedField } from '../shared/SavedField.tsx';
import { intakeForm as say } from './words.ts';

const QUESTIONS: readonly {
  readonly field: 'hurts' | 'operations' | 'wishes';
  readonly words: string;
}[] = [
  { field: 'hurts', words: say.whatHurtsWhen },
  { field: 'operations', words: say.anyOperationsFracturesWhen },
  { field: 'wishes', words: say.whatTheyHopingFor },
];

const answerOf = (field: 'hurts' | 'operations' | 'wishes' | 'guardian'): PersonAnswer => ({
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
  return (
    <div>
      {QUESTIONS.map(({ field, words }) => (
        <SavedField
          key={field}
          label={words}
          person={person}
          answer={INTAKE_ANSWERS[field]}
          rows={2}
        />
      ))}
      {isMinor(person, new Date().toISOString()) && (
        <SavedField
          label={say.underGuardianWhoPresent}
          person={person}
          answer={INTAKE_ANSWERS.guardian}
        />
      )}
      <p className="text-faint">{say.allAnswersOptionalChanges}</p>
    </div>
  );
}
