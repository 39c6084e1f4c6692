import { useState } from 'react';
import { nameSetting, writeSetting } from '../../core/classes/classSheet.ts';
import { CLASS_SETTINGS, type ClassSetting } from '../../core/classes/lossOnGrid.ts';
import type { InstructionAsked } from '../../core/classes/ownPlaces.ts';
import type { ClassGroups, ClassPlace } from '../../core/classes/planSettings.ts';
import { listSameFeet } from '../../core/classes/sameFeet.ts';
import { MOST_SETTINGS } from '../../core/classes/shareSettings.ts';
import type { Instruction } from '../../core/classes/yogaClass.ts';
import { FITTING_LEVEL } from '../../core/poses/level.ts';
import { getValue } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { changeClass } from '../../data/classes.ts';
import { namePose } from '../shared/poseWords.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { Slider } from '../shared/ui/Slider.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { Working } from '../shared/ui/Working.tsx';
import type { ClassPartProps } from './classPart.ts';
import { useClassGroups } from './useClassGroups.ts';
import { groupsPanel as say, SETTING_CHOICES } from './words.ts';

const percent = new Intl.NumberFormat(undefined, { style: 'percent', maximumFractionDigits: 0 });
const list = new Intl.ListFormat(undefined, { type: 'conjunction' });

/** Less than this share of the depth is nothing. */
const NOTHING = 0.005;

/** Few instructions for many bodies: one to four numbers that serve the class in one pose. */
export function GroupsPanel({
  yogaClass,
  state,
  plan,
  pose,
  unit,
}: ClassPartProps & { pose: string }) {
  const { id, poses, instructions } = yogaClass;
  const setUps = plan.planned
    .filter((each) => each.pose === pose)
    .flatMap(({ pairs }) => pairs.map(({ setUp }) => setUp));
  const settings = CLASS_SETTINGS.filter((each) =>
    setUps.some((setUp) => getValue(setUp, each) !== null),
  );
  const inUse = instructions.find((each) => each.pose === pose) ?? null;
  const [chosen, setChosen] = useState<ClassSetting | null>(inUse?.setting ?? null);
  const [count, setCount] = useState(2);
  const setting = chosen ?? settings[0] ?? null;
  const sameFeet = setting === 'hand-height' ? [pose] : listSameFeet(poses, pose);
  const asked: InstructionAsked = {
    poses: sameFeet,
    level: FITTING_LEVEL,
    setting: setting ?? 'stance-length',
    rules: {},
  };
  // Every set-up of the class comes first: the groups wait.
  const { groups, done, all, isWorking, stop, start } = useClassGroups(
    state.members,
    asked,
    setting !== null && !plan.isWorking,
  );
  const { write, told: refusal } = useWrite();
  const shown = groups?.[count - 1] ?? null;
  const use = (next: ClassGroups | null): void => {
    const places = (next?.places ?? []).flatMap(({ person, sides, value }) =>
      value === null ? [] : sides.map((side) => ({ member: person, side, value })),
    );
    write(() =>
      changeClass(id, (now) => ({
        instructions: [
          ...now.instructions.filter((each) => !sameFeet.includes(each.pose)),
          ...(next === null || setting === null
            ? []
            : sameFeet.map((each): Instruction => ({ pose: each, setting, places }))),
        ],
      })),
    );
  };
  if (setting === null)
    return plan.isWorking ? null : <p className="text-faint">{say.noSetting}</p>;
  return (
    <section className="mb-4 rounded-md bg-mist px-4 pt-1 pb-3" data-testid="groups">
      <h2>{say.title}</h2>
      {sameFeet.length > 1 && <p>{say.sameFeet(list.format(sameFeet.map(namePose)))}</p>}
      {refusal}
      <div className="flex flex-wrap items-end gap-x-8 [&_select]:w-auto">
        <SelectField
          label={say.what}
          value={setting}
          options={settings.map((each) => [each, SETTING_CHOICES[each]] as const)}
          onChange={(value) => {
            setChosen(value as ClassSetting);
          }}
        />
        <label className="mb-[0.7rem] grid text-[0.95rem] text-faint">
          {say.count}
          <span className="flex items-center gap-3">
            <Slider
              min={1}
              max={MOST_SETTINGS}
              step={1}
              value={count}
              aria-valuetext={String(count)}
              onChange={(event) => {
                setCount(Number(event.target.value));
              }}
            />
            <output className="font-serif text-[1.4rem] text-ink">{count}</output>
          </span>
        </label>
      </div>
      {isWorking && !plan.isWorking && (
        <Working words={say.working(done, all)} done={done} all={all} onStop={stop} />
      )}
      {groups === null && !isWorking && !plan.isWorking && (
        <WordButton onClick={start}>{say.workOut}</WordButton>
      )}
      {shown !== null && (
        <Groups groups={shown} setting={setting} unit={unit} state={state}>
          <Button
            isPlain
            disabled={shown.values.length === 0}
            onClick={() => {
              use(shown);
            }}
          >
            {say.take}
          </Button>
        </Groups>
      )}
      {inUse !== null && (
        <p role="status">
          {say.taken}{' '}
          <strong>
            {list.format(
              [...new Set(inUse.places.map(({ value }) => value))]
                .toSorted((a, b) => a - b)
                .map((value) => writeSetting(inUse.setting, value, unit)),
            )}
          </strong>{' '}
          <WordButton
            onClick={() => {
              use(null);
            }}
          >
            {say.release}
          </WordButton>
        </p>
      )}
    </section>
  );
}

const writeLost = ({ lost, lostDepth }: ClassPlace): string =>
  lost < NOTHING
    ? say.nothing
    : lostDepth === null
      ? percent.format(lost)
      : `${lostDepth.toFixed(1)}° (${percent.format(lost)})`;

/** Numbers large, what they cost, and who has their own. */
function Groups({
  groups: { values, worst, places },
  setting,
  unit,
  state,
  children,
}: {
  groups: ClassGroups;
  setting: ClassSetting;
  unit: LengthUnit;
  state: ClassPartProps['state'];
  children: React.ReactNode;
}) {
  const write = (value: number): string => writeSetting(setting, value, unit);
  const nameOf = ({ person, sides }: ClassPlace): string => {
    const name = state.members.find(({ id }) => id === person)?.name ?? person;
    return sides.length === 1 ? say.side(name, sides[0]!) : name;
  };
  const most = places.reduce<ClassPlace | null>(
    (found, each) => ((found?.lost ?? -1) < each.lost ? each : found),
    null,
  );
  const own = (isLeftOut: boolean): string =>
    list.format(
      places
        .filter((each) => each.value === null && each.isLeftOut === isLeftOut)
        .map((each) => say.own(nameOf(each), write(each.own))),
    );
  const [leftOut, alone] = [own(true), own(false)];
  return (
    <div data-testid="group-values">
      <p className="mb-1 font-serif text-[2.2rem] leading-tight lining-nums">
        {values.length === 0 ? (
          <span className="text-[1.2rem]">{say.noShared}</span>
        ) : (
          values.map(write).join(' · ')
        )}
      </p>
      <p>
        {worst < NOTHING
          ? say.nobodyLoses
          : say.worst(
              percent.format(worst),
              most?.lostDepth == null ? '' : `${most.lostDepth.toFixed(0)}°`,
            )}
        {leftOut !== '' && ` ${say.leftOut} ${leftOut}.`}
        {alone !== '' && ` ${say.only} ${alone}.`}
      </p>
      <div className="my-2 flex flex-wrap gap-3">{children}</div>
      <details>
        <summary>{say.costs}</summary>
        <Table look="list">
          <TableHead columns={say.columns} />
          <tbody>
            {places.map((each) => (
              <tr key={`${each.person} ${each.sides.join(' ')}`}>
                <th scope="row" className="font-normal">
                  {nameOf(each)}
                </th>
                <td>{write(each.own)}</td>
                <td>
                  {each.value === null ? nameSetting(setting) + ' of their own' : write(each.value)}
                </td>
                <td>{writeLost(each)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </details>
    </div>
  );
}
