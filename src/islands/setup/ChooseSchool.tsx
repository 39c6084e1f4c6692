import { useState } from 'react';
import type { ChosenSchool } from '../../core/person/person.ts';
import type { SchoolSetUp } from '../../core/whatIf/compareSchools.ts';
import { Button } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { ChosenSchools, sayOption, sayRule } from './ChosenSchools.tsx';
import type { PlanRequest } from './usePlanned.ts';
import { useSchoolChange } from './useSchoolChange.ts';
import { schoolsView as say } from './words.ts';

interface ChooseSchoolProps {
  request: PlanRequest;
  /** Those that differ from what is done now. */
  schools: readonly SchoolSetUp[];
  onLook: (school: string) => void;
}

/** A school as one text, for lists and links. */
export const keyOfSchool = ({ rule, option }: Pick<ChosenSchool, 'rule' | 'option'>): string =>
  `${rule} ${option}`;

/**
 * A school chosen for this person and pose, with its reason; from then on every plan follows it. One
 * that cannot be held is asked about first, and what was there before can be brought back.
 */
export function ChooseSchool({ request, schools, onLook }: ChooseSchoolProps) {
  const { record, poseId } = request;
  const { person } = record;
  const { change, told } = useSchoolChange(person);
  const [doubtful, setDoubtful] = useState<ChosenSchool | null>(null);

  const choose = (own: ChosenSchool): void => {
    setDoubtful(null);
    const { rule, option } = own;
    change(own, own, say.chosen(sayRule(rule, option), sayOption(rule, option), person.name));
  };

  const ask = (form: FormData): void => {
    const picked = schools.find((each) => keyOfSchool(each) === form.get('school'));
    const reason = form.get('reason');
    if (picked === undefined) return;
    const own: ChosenSchool = {
      pose: poseId,
      rule: picked.rule,
      option: picked.option,
      reason: typeof reason === 'string' ? reason.trim() : '',
      at: new Date().toISOString(),
    };
    if (picked.setUp.status === 'failed') setDoubtful(own);
    else choose(own);
  };

  return (
    <>
      <ChosenSchools person={person} poseId={poseId} />
      {told}
      <form
        className="mb-4 flex flex-wrap items-end gap-x-4 *:[button]:mb-[0.7rem] *:[label]:flex-[1_1_14rem]"
        onSubmit={(event) => {
          event.preventDefault();
          ask(new FormData(event.currentTarget));
        }}
      >
        <Field label={say.forPersonPose}>
          <select name="school">
            {schools.map((each) => (
              <option key={keyOfSchool(each)} value={keyOfSchool(each)}>
                {sayRule(each.rule, each.option)} {sayOption(each.rule, each.option)}
                {each.setUp.status === 'failed' ? say.cannotBeHeld : ''}
              </option>
            ))}
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
                sayRule(doubtful.rule, doubtful.option),
                sayOption(doubtful.rule, doubtful.option),
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
                onLook(keyOfSchool(doubtful));
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
