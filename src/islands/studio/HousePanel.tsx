import { EVERY_POSE, findSchoolRules } from '../../core/rules/chosenSchools.ts';
import { DEFAULT_RULES } from '../../core/rules/houseRules.ts';
import { SCHOOLS, type School, type SchoolRule } from '../../core/rules/schools.ts';
import { findSchoolPicture, USUAL_BODY } from '../../core/rules/schoolPictures.ts';
import type { Studio } from '../../core/studio/studio.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { Thumbnail } from '../shared/Thumbnail.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { useStudioChange } from './useStudio.ts';
import { housePanel as say } from './words.ts';

const RULES = Object.entries<School>(SCHOOLS) as (readonly [SchoolRule, School])[];
const BODY = { ...USUAL_BODY, revision: 'usual-body' };

/** Every question that schools answer in their own way, with what the house says. */
export function HousePanel({ studio }: { studio: Studio }) {
  const { change, told } = useStudioChange();
  const put = (rule: SchoolRule, option: string | null, words: string): void => {
    change(
      ({ schools }) => ({
        schools: [
          ...schools.filter((each) => each.pose !== EVERY_POSE || each.rule !== rule),
          ...(option === null ? [] : [{ pose: EVERY_POSE, rule, option }]),
        ],
      }),
      words,
    );
  };
  return (
    <>
      <p className="text-faint">{say.intro}</p>
      {told}
      {RULES.map(([rule, school]) => {
        const own = studio.schools.find((each) => each.pose === EVERY_POSE && each.rule === rule);
        const usual = DEFAULT_RULES[rule];
        const differing = studio.schools.filter(
          (each) => each.pose !== EVERY_POSE && each.rule === rule,
        ).length;
        return (
          <fieldset key={rule} className="mb-4 border-t border-hair pt-2" data-testid={rule}>
            <legend className="float-left font-serif text-[1.15rem]">{school.name}</legend>
            <span className="ml-3 text-faint">{differing > 0 && say.inPoses(differing)}</span>
            {own !== undefined && (
              <WordButton
                className="float-right"
                onClick={() => {
                  put(
                    rule,
                    null,
                    say.changed(school.name, say.asUsual(school.options[usual] ?? '')),
                  );
                }}
              >
                {say.reset}
                <span className="sr-only"> {school.name}</span>
              </WordButton>
            )}
            <div className="clear-both flex flex-wrap gap-x-5 gap-y-1">
              {Object.entries(school.options).map(([option, words]) => (
                <label key={option} className="grid w-36 cursor-pointer content-end gap-1">
                  <Picture rule={rule} option={option} />
                  <span className="flex min-h-11 items-center gap-2 leading-[1.2]">
                    <input
                      type="radio"
                      name={rule}
                      checked={(own?.option ?? usual) === option}
                      onChange={() => {
                        put(rule, option, say.changed(school.name, words));
                      }}
                    />
                    {words}
                  </span>
                </label>
              ))}
            </div>
          </fieldset>
        );
      })}
    </>
  );
}

/** What a school means, drawn with a body that is nobody's. */
function Picture({ rule, option }: { rule: SchoolRule; option: string }) {
  const picture = findSchoolPicture(rule);
  const rules = { ...findSchoolRules(rule, option), provisional: true };
  const key = picture === null ? null : `usual-body ${picture.pose} ${rule} ${option}`;
  const answer = useAnswer(key, () =>
    planInWorker(key ?? '', BODY, picture?.pose ?? '', 'right', rules),
  );
  if (picture === null) return null;
  return (
    <span className="flex h-16 items-end">
      {answer?.ok === true && (
        <Thumbnail setUp={answer.value} view={picture.view} className="h-full max-w-full" />
      )}
    </span>
  );
}
