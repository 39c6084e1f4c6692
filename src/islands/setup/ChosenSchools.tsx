import type { PersonRecord } from '../../core/person/person.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { findChoices, SCHOOL_SOURCES, type SchoolSource } from '../../core/rules/chosenSchools.ts';
import { findSchool } from '../../core/rules/schools.ts';
import { findOpenRules } from '../../core/whatIf/compareSchools.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { useSchoolChange } from './useSchoolChange.ts';
import { chosenSchools as say } from './words.ts';

export const sayOption = (rule: string, option: string): string =>
  findSchool(rule, option)?.words ?? option.replaceAll('-', ' ');
export const sayRule = (rule: string, option: string): string =>
  findSchool(rule, option)?.name ?? rule;

interface ChosenSchoolsProps {
  record: PersonRecord;
  pose: PoseDefinition | LyingPose;
}

/** Every school that was chosen for this pose, by whom, the later winning; each can be left here. */
export function ChosenSchools({ record, pose }: ChosenSchoolsProps) {
  const { change, told } = useSchoolChange();
  const open: ReadonlySet<string> = new Set('starts' in pose ? findOpenRules(pose).keys() : []);
  const chosen = SCHOOL_SOURCES.flatMap((source) =>
    findChoices(record, pose.id, source)
      .filter(({ rule }) => open.has(rule) || source.endsWith('pose'))
      .map((choice) => ({ ...choice, source })),
  );
  if (chosen.length === 0) return null;
  const { id, name } = record.person;
  const isOverruled = (at: number): boolean =>
    chosen.slice(at + 1).some(({ rule }) => rule === chosen[at]?.rule);
  return (
    <ul className="grid gap-[0.35rem]" data-testid="chosen-schools">
      {told !== null && <li>{told}</li>}
      {chosen.map(({ pose: where, rule, option, source, reason = '' }, i) => (
        <li key={`${source} ${rule}`} className={isOverruled(i) ? 'text-faint' : undefined}>
          {say.line(
            sayWho(source, name),
            sayRule(rule, option).toLowerCase(),
            sayOption(rule, option),
            reason === '' ? '.' : say.because(reason),
          )}
          {isOverruled(i) && say.overruled}
          {source === 'house' ? (
            <a href="/studio">{say.inStudio}</a>
          ) : (
            <WordButton
              onClick={() => {
                const personId = source.startsWith('house') ? null : id;
                change({ personId, pose: where, rule }, null, say.removed(sayRule(rule, option)));
              }}
            >
              {say.remove}
            </WordButton>
          )}
        </li>
      ))}
    </ul>
  );
}

function sayWho(source: SchoolSource, person: string): string {
  switch (source) {
    case 'house':
      return say.everybody;
    case 'house-pose':
      return say.everybodyInPose;
    case 'person':
      return say.personEverywhere(person);
    case 'person-pose':
      return say.person(person);
  }
}
