import { useState } from 'react';
import { toKept } from '../../core/classes/cupboard/keepShares.ts';
import { toNeedy, type Choice, type ClassNeed } from '../../core/classes/cupboard/needs.ts';
import type { ClassShare } from '../../core/classes/cupboard/shareCupboard.ts';
import { findChairs, type Help } from '../../core/classes/cupboard/wallPlaces.ts';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { isFirmUnderHand, type PropItem } from '../../core/props/propList.ts';
import { makeBlocks } from '../../core/studio/readItem.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { changeClass } from '../../data/classes.ts';
import { listShoppingInWorker, shareCupboardInWorker } from '../../workers/classClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { ItemForm } from '../studio/ItemForm.tsx';
import type { ClassPartProps } from './classPart.ts';
import { PoseTabs } from './PoseTabs.tsx';
import { classView, propsPart as say } from './words.ts';

/** What is lent in most often, to begin with. */
const LENT_BLOCKS = 10;

const list = new Intl.ListFormat(undefined, { type: 'conjunction' });

/** One cupboard for the whole class: who gets what in each pose, and what is missing. */
export function PropsPart(props: ClassPartProps) {
  const { yogaClass, pose, onPose } = props;
  if (pose === null) return <p>{classView.nobody}</p>;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,22rem)] gap-x-12 gap-y-6 max-tablet:grid-cols-[minmax(0,1fr)]">
      <div>
        <PoseTabs poses={yogaClass.poses} pose={pose} onPose={onPose} />
        <Sharing {...props} pose={pose} />
      </div>
      <div>
        <Summary {...props} />
        <LentPanel yogaClass={yogaClass} unit={props.unit} />
      </div>
    </div>
  );
}

const writeCm = (cm: number, unit: LengthUnit): string => writeLength(metresFromCm(cm), unit, 1);

/** Both sides in one text where they say the same. */
const bothSides = (words: readonly (readonly [side: string, text: string])[]): string =>
  new Set(words.map(([, text]) => text)).size === 1
    ? words[0]![1]
    : words.map(([side, text]) => `${side} ${text}`).join(', ');

const describeNeed = ({ setting, sides }: ClassNeed, unit: LengthUnit): string =>
  `${setting.replaceAll('-', ' ')} ${bothSides(
    sides.map(({ side, neededCm }) => [side, writeCm(neededCm, unit)] as const),
  )}`;

const describeChoice = ({ piles }: Choice): string =>
  bothSides(piles.map(({ side, name }) => [side, name ?? say.nothing] as const));

/** What everybody gets in one pose. */
function Sharing({ state, shared, pose, unit, plan }: ClassPartProps & { pose: string }) {
  const { answer, sheet } = shared;
  if (answer === null) return <p role="status">{plan.isWorking ? say.wait : say.sharing}</p>;
  if (!answer.ok) return <ProblemList problems={answer.problems} />;
  const nameOf = (id: string): string => state.members.find((each) => each.id === id)?.name ?? id;
  const shares = sheet.shares.filter(({ need }) => need.pose === pose);
  const helps = sheet.helps.filter((each) => each.pose === pose);
  const chairs = new Set(state.cupboard.filter(({ kind }) => kind === 'chair').map(({ id }) => id));
  const onChairs = findChairs(shares, pose, chairs).map(nameOf);
  return (
    <div data-testid="sharing">
      <h2>{say.title}</h2>
      <Helps helps={helps} nameOf={nameOf} wallM={state.studio.wallM} />
      {onChairs.length > 0 && (
        <p>
          <strong>{say.chairs}</strong> {list.format(onChairs)}
        </p>
      )}
      {shares.length === 0 ? (
        <p>{say.nobody}</p>
      ) : (
        <Table look="list">
          <TableHead columns={say.columns} />
          <tbody>
            {shares.map(({ need, choice }) => (
              <tr key={`${need.member} ${need.setting}`}>
                <th scope="row" className="font-normal">
                  {nameOf(need.member)}
                </th>
                <td>{describeNeed(need, unit)}</td>
                <td>{choice.isServing ? describeChoice(choice) : say.nothing}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </div>
  );
}

/** Who goes to the wall, and who takes another version. */
function Helps({
  helps,
  nameOf,
  wallM,
}: {
  helps: readonly Help[];
  nameOf: (id: string) => string;
  wallM: number;
}) {
  const of = (kind: Help['kind']): readonly Help[] => helps.filter((each) => each.kind === kind);
  const [wall, lying, shallower] = [of('wall'), of('lying'), of('shallower')];
  return (
    <>
      {wall.length > 0 && (
        <p>
          <strong>{say.atWall}</strong>{' '}
          {list.format(
            wall.map(({ member, isPlanned }) =>
              isPlanned ? say.planned(nameOf(member)) : nameOf(member),
            ),
          )}
          . {say.wallLength(`${String(wallM)} m`)}
        </p>
      )}
      {lying.length > 0 && (
        <p>
          <strong>{say.lying}</strong>{' '}
          {list.format(lying.map(({ member, form }) => say.lyingForm(nameOf(member), form)))}.
        </p>
      )}
      {shallower.length > 0 && (
        <p>
          <strong>{say.shallower}</strong>{' '}
          {list.format(shallower.map(({ member }) => nameOf(member)))}.
        </p>
      )}
    </>
  );
}

/** How many people are left without something in some pose. */
const countWithout = (shares: readonly ClassShare[]): number =>
  new Set(shares.filter(({ choice }) => !choice.isServing).map(({ need }) => need.member)).size;

/** How well the cupboard serves the class in all its poses, and what it lacks. */
function Summary({ yogaClass, state, plan, shared }: ClassPartProps) {
  const { answer, sheet } = shared;
  const { write, told } = useWrite();
  const needy = plan.planned.map(toNeedy);
  const without = countWithout(sheet.shares);
  const key = answer?.ok === true && without > 0 ? JSON.stringify([needy, state.cupboard]) : null;
  const shopping = useAnswer(key, () =>
    listShoppingInWorker(needy, yogaClass.poses, state.cupboard),
  );
  if (answer?.ok !== true) return null;
  const { gapDeg } = answer.value;
  const { run, id } = yogaClass;
  const again = async (): Promise<void> => {
    const present = needy.filter(({ member }) => run?.present.includes(member) === true);
    const found = await shareCupboardInWorker(present, yogaClass.poses, state.cupboard, {});
    if (!found.ok) return;
    await changeClass(id, (now) =>
      now.run === null ? {} : { run: { ...now.run, kept: toKept(found.value.shares) } },
    );
  };
  return (
    <section data-testid="cupboard-summary">
      <h2>{without === 0 ? say.everyone : say.without(without)}</h2>
      {state.cupboard.every(({ count }) => count === 0) ? (
        <p role="alert">{say.empty}</p>
      ) : (
        !state.cupboard.some((each) => each.count > 0 && isFirmUnderHand(each)) && (
          <p role="alert">{say.noStand}</p>
        )
      )}
      <p className="text-faint">{gapDeg > 0 ? say.gap(gapDeg.toFixed(1)) : say.proven}</p>
      {without > 0 && shopping === null && <p role="status">{say.looking}</p>}
      {shopping?.ok === true && shopping.value.items.length > 0 && (
        <p data-testid="shopping">
          {((items: string) =>
            shopping.value.stillWithout === 0
              ? say.shopping(items)
              : say.shoppingSome(items, shopping.value.stillWithout))(
            list.format(shopping.value.items.map(({ count, name }) => say.more(count, name))),
          )}
        </p>
      )}
      {run !== null && (
        <p>
          {say.kept}{' '}
          <WordButton
            onClick={() => {
              write(again);
            }}
          >
            {say.again}
          </WordButton>
        </p>
      )}
      {told}
      <p>
        <a href="/studio">{say.studio}</a>
      </p>
    </section>
  );
}

/** What comes from outside for the hour. */
function LentPanel({ yogaClass: { id, lent }, unit }: { yogaClass: YogaClass; unit: LengthUnit }) {
  const [open, setOpen] = useState<PropItem | null>(null);
  const { write, told } = useWrite();
  const put = (item: PropItem): void => {
    setOpen(null);
    write(
      () =>
        changeClass(id, (now) => ({
          lent: [...now.lent.filter((each) => each.id !== item.id), item],
        })),
      item,
    );
  };
  return (
    <section>
      <h2>{say.lent}</h2>
      <p className="text-faint">{say.lentNote}</p>
      <ul className="*:border-b *:border-hair" data-testid="lent">
        {lent.map((item) => (
          <li key={item.id} className="flex items-baseline gap-3">
            <strong>
              {item.name} × {item.count}
            </strong>
            <WordButton
              className="ml-auto"
              onClick={() => {
                write(() =>
                  changeClass(id, (now) => ({
                    lent: now.lent.filter((each) => each.id !== item.id),
                  })),
                );
              }}
            >
              {say.giveBack}
              <span className="sr-only"> {item.name}</span>
            </WordButton>
          </li>
        ))}
      </ul>
      {told}
      {open === null ? (
        <Button
          className="my-3"
          isPlain
          onClick={() => {
            setOpen(makeBlocks(crypto.randomUUID(), say.blocks, LENT_BLOCKS));
          }}
        >
          {say.lend}
        </Button>
      ) : (
        <ItemForm
          item={open}
          unit={unit}
          onSave={put}
          onCancel={() => {
            setOpen(null);
          }}
        />
      )}
    </section>
  );
}
