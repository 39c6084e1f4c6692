import { findStyle, SCREEN, toSvgAttributes } from '../../core/drawing/styles.ts';
import { useState } from 'react';
import { drawSchools, LETTERS } from '../../core/drawing/schools.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { SCHOOLS } from '../../core/rules/schools.ts';
import type { SchoolSetUp } from '../../core/whatIf/compareSchools.ts';
import { nameJoint } from '../../core/setup/jointReport.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { compareSchoolsInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { useLongAnswer } from '../shared/useLongAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { ChooseSchool, keyOfSchool } from './ChooseSchool.tsx';
import { sayOption, sayRule } from './ChosenSchools.tsx';
import { writeNumber } from './sayNumber.ts';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { Working } from '../shared/ui/Working.tsx';
import { schoolsView as say } from './words.ts';

interface SchoolsViewProps {
  request: PlanRequest;
  pose: PoseDefinition;
  /** Shows a school on the sheet without choosing it, as `rule option`. */
  onLook: (school: string) => void;
}

/** The order of the trade's disagreements, as rules/schools.ts has it. */
const RULES = Object.keys(SCHOOLS);

/** The line style of a school, in the key beside its name. */
const keyLine = (letter: string) =>
  toSvgAttributes(
    { ...findStyle({ kind: 'line', role: `school-${letter}`, points: [] }), width: 2 },
    SCREEN,
  );

/** The teacher's own way once and first, then what departs from it, rule by rule. */
function inOrder(schools: readonly SchoolSetUp[]): readonly SchoolSetUp[] {
  const [own] = schools;
  if (own === undefined) return [];
  const { rules } = own.setUp.provenance;
  const others = schools
    .filter(({ rule, option }) => rules[rule] !== option)
    .sort((a, b) => RULES.indexOf(a.rule) - RULES.indexOf(b.rule));
  return [own, ...others];
}

/** What each school would set for this person, on one mat and in one table; one can be chosen. */
export function SchoolsView({ request, pose, onLook }: SchoolsViewProps) {
  const unit = useUnit();
  const [marked, setMarked] = useState<readonly string[] | null>(null);
  const { record, poseId, side, rules, level } = request;
  const answer = useLongAnswer(
    findRequestKey(request),
    (watch) => compareSchoolsInWorker(record, poseId, side, rules, level, watch),
    'itself',
  );
  if (answer.kind === 'not-asked')
    return <WordButton onClick={answer.ask}>{say.workOutSchools}</WordButton>;
  if (answer.kind === 'working') {
    const { done, all, stop } = answer;
    return <Working words={say.schoolsDone(done, all)} done={done} all={all} onStop={stop} />;
  }
  const { result } = answer;
  if (!result.ok) return <ProblemList problems={result.problems} />;
  const schools = inOrder(result.value);
  if (schools.length === 0) return <p>{say.schoolsAgreePose}</p>;
  const held = schools.filter(({ setUp }) => setUp.status !== 'failed').map(keyOfSchool);
  const shown = (marked ?? held.slice(0, LETTERS.length)).filter((key) => held.includes(key));
  const drawn = schools.filter((each) => shown.includes(keyOfSchool(each)));
  const drawing = drawSchools(
    pose,
    drawn.map(({ setUp }) => setUp),
    { unit, labelMm: 5.3 },
  );
  const letterOf = (school: SchoolSetUp): string => {
    const at = drawn.indexOf(school);
    return at < 0 ? '' : (LETTERS[at] ?? '');
  };
  return (
    <>
      {drawing !== null && <SheetDrawing drawing={drawing} size="small" />}
      <div className="overflow-x-auto">
        <Table
          look="values"
          className="[&_td]:align-top [&_td]:text-[0.9rem] [&_td]:whitespace-normal! [&_td:last-child]:min-w-40! [&_th]:align-top [&_th]:text-[0.9rem] [&_th]:whitespace-normal!"
        >
          <caption className="sr-only">{say.compareSchoolsUpFour}</caption>
          <TableHead columns={['drawn', 'school', 'stance', 'pelvis', 'limiting joint']} />
          <tbody>
            {schools.map((each) => (
              <SchoolRow
                key={keyOfSchool(each)}
                isOwn={each === schools[0]}
                school={each}
                letter={letterOf(each)}
                unit={unit}
                isShown={shown.includes(keyOfSchool(each))}
                isFull={shown.length >= LETTERS.length}
                onLook={() => {
                  onLook(keyOfSchool(each));
                }}
                onShow={(isShown) => {
                  const key = keyOfSchool(each);
                  setMarked(isShown ? [...shown, key] : shown.filter((other) => other !== key));
                }}
              />
            ))}
          </tbody>
        </Table>
      </div>
      <ChooseSchool request={request} pose={pose} schools={schools.slice(1)} onLook={onLook} />
    </>
  );
}

interface SchoolRowProps {
  isOwn: boolean;
  school: SchoolSetUp;
  letter: string;
  unit: LengthUnit;
  isShown: boolean;
  isFull: boolean;
  onLook: () => void;
  onShow: (isShown: boolean) => void;
}

function SchoolRow({
  isOwn,
  school,
  letter,
  unit,
  isShown,
  isFull,
  onLook,
  onShow,
}: SchoolRowProps) {
  const { rule, option, setUp, atPlannedDepth } = school;
  const isHeld = setUp.status !== 'failed';
  const words = isOwn ? say.asChosen : `${sayRule(rule, option)} ${sayOption(rule, option)}`;
  const { limiting } = setUp;
  return (
    <>
      <tr>
        <td>
          <label className="flex min-h-11 cursor-pointer items-center gap-[0.6rem]">
            <input
              type="checkbox"
              aria-label={say.draw(words)}
              checked={isShown}
              disabled={!isHeld || (isFull && !isShown)}
              onChange={(event) => {
                onShow(event.target.checked);
              }}
            />
            {letter !== '' && (
              <svg viewBox="0 0 30 8" width="30" height="8" aria-hidden>
                <polyline {...keyLine(letter)} points="1,4 29,4" />
              </svg>
            )}
            <strong>{letter}</strong>
          </label>
        </td>
        <th scope="row">
          {words}{' '}
          {!isOwn && (
            <WordButton className="font-normal" onClick={onLook}>
              {say.look}
              <span className="sr-only">: {words}</span>
            </WordButton>
          )}
        </th>
        <td>{sayValue(setUp, 'stance-length', unit)}</td>
        <td>{sayValue(setUp, 'pelvis-short-of-square', unit)}</td>
        <td>
          {limiting === null
            ? say.cannotHeld
            : say.margin(nameJoint(limiting, setUp), Math.round(limiting.toSpareDeg ?? 0))}
        </td>
      </tr>
      {atPlannedDepth !== null && (
        <tr className="[&_td]:text-faint">
          <td />
          <td colSpan={4}>{say.yourDepth(atPlannedDepth.sentence)}</td>
        </tr>
      )}
    </>
  );
}

function sayValue(
  { settings }: SetUp,
  id: 'stance-length' | 'pelvis-short-of-square',
  unit: LengthUnit,
): string {
  const found = settings.find((each) => each.id === id);
  if (found === undefined) return '–';
  // A number and its unit stay on one line.
  return writeNumber(Math.abs(found.value), found.unit, unit).replace(' ', '\u00a0');
}
