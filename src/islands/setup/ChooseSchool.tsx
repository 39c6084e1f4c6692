import { useState } from 'react';
import type { ChosenSchool } from '../../core/person/person.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { EVERY_POSE } from '../../core/rules/chosenSchools.ts';
import type { SchoolSetUp } from '../../core/whatIf/compareSchools.ts';
import { Button } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { ChosenSchools, sayOption, sayRule } from './ChosenSchools.tsx';
import type { PlanRequest } from './usePlanned.ts';
import { useSchoolChange } from './useSchoolChange.ts';
import { schoolsView as say } from './words.ts';

interface ChooseSchoolProps {
  request: PlanRequest;
  pose: PoseDefinition;
  /** Those that differ from what is done now. */
  schools: readonly SchoolSetUp[];
  onLook: (school: string) => void;
}

/** A school, and whose it is: a person's, or the house's (null). */
interface Choice {
  readonly school: ChosenSchool;
  readonly personId: string | null;
}

/** A school as one text, for lists and links. */
export const keyOfSchool = ({ rule, option }: Pick<ChosenSchool, 'rule' | 'option'>): string =>
  `${rule} ${option}`;

/**
 * A school chosen for a person or a pose, with its reason; from then on every plan follows it. One
 * that cannot be held is asked about first, and what was there before can be brought back.
 */
export function ChooseSchool({ request, pose, schools, onLook }: ChooseSchoolProps) {
  const { record } = request;
  const { person } = record;
  const { change, told } = useSchoolChange();
  const [doubtful, setDoubtful] = useState<Choice | null>(null);

  const choose = ({ school, personId }: Choice): void => {
    setDoubtful(null);
    const { pose: where, rule, option } = school;
    const whom =
      personId === null
        ? say.housePose
        : where === EVERY_POSE
          ? say.person(person.name)
          : person.name;
    const words = say.chosen(sayRule(rule, option), sayOption(rule, option), whom);
    change({ personId, pose: where, rule }, school, words);
  };

  const ask = (form: FormData): void => {
    const picked = schools.find((each) => keyOfSchool(each) === form.get('school'));
    const reason = form.get('reason');
    if (picked === undefined) return;
    const school: ChosenSchool = {
      pose: form.get('whom') === 'person' ? EVERY_POSE : pose.id,
      rule: picked.rule,
      option: picked.option,
      reason: typeof reason === 'string' ? reason.trim() : '',
      at: new Date().toISOString(),
    };
    const choice = { school, personId: form.get('whom') === 'house-pose' ? null : person.id };
    if (picked.setUp.status === 'failed') setDoubtful(choice);
    else choose(choice);
  };

  return (
    <>
      <ChosenSchools record={record} pose={pose} />
      {told}
      <form
        className="mb-4 flex flex-wrap items-end gap-x-4 *:[button]:mb-[0.7rem] *:[label]:flex-[1_1_14rem]"
        onSubmit={(event) => {
          event.preventDefault();
          ask(new FormData(event.currentTarget));
        }}
      >
        <Field label={say.school}>
          <select name="school">
            {schools.map((each) => (
              <option key={keyOfSchool(each)} value={keyOfSchool(each)}>
                {sayRule(each.rule, each.option)} {sayOption(each.rule, each.option)}
                {each.setUp.status === 'failed' ? say.cannotBeHeld : ''}
              </option>
            ))}
          </select>
        </Field>
        <Field label={say.forWhom}>
          <select name="whom">
            <option value="person-pose">{say.personPose(person.name)}</option>
            <option value="person">{say.person(person.name)}</option>
            <option value="house-pose">{say.housePose}</option>
          </select>
        </Field>
        <Field label={say.because}>
          <input name="reason" autoComplete="off" />
        </Field>
        <Button type="submit" isPlain>
          {say.choose}
        </Button>
      </form>
      {doubtful !== null && (
        <div role="alert" className="mb-4">
          <p>
            <strong>
              {say.cannotBeHeldYet(
                sayRule(doubtful.school.rule, doubtful.school.option),
                sayOption(doubtful.school.rule, doubtful.school.option),
              )}
            </strong>
          </p>
          <div className="flex flex-wrap gap-3">
            <Button
              isPlain
              onClick={() => {
                setDoubtful(null);
              }}
            >
              {say.doNotChoose}
            </Button>
            <Button
              isPlain
              onClick={() => {
                onLook(keyOfSchool(doubtful.school));
              }}
            >
              {say.lookFirst}
            </Button>
            <Button
              isPlain
              onClick={() => {
                choose(doubtful);
              }}
            >
              {say.chooseAnyway}
            </Button>
          </div>
        </div>
      )}
    </>
  );
}
