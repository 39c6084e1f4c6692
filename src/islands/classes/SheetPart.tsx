import { useDeferredValue, useMemo, useState } from 'react';
import { describePose, type PoseSheet } from '../../core/classes/classSheet.ts';
import { listClassRows, writeClassCsv, type ClassTableRow } from '../../core/formats/classCsv.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { saveFile } from '../shared/saveFile.ts';
import { Button } from '../shared/ui/Button.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { SearchField } from '../shared/ui/SearchField.tsx';
import type { ClassPartProps } from './classPart.ts';
import { makeCards, makeContent, sayWhen } from './classPaper.ts';
import { makeClassCuePages } from '../cues/gatherCues.ts';
import { sessionsOf } from './useClassMembers.ts';
import { PoseTabs } from './PoseTabs.tsx';
import { classView, sheetPart as say } from './words.ts';

const list = new Intl.ListFormat(undefined, { type: 'conjunction' });

/** The sheet of a class: on screen, on paper, and as one table. */
export function SheetPart(props: ClassPartProps) {
  const { yogaClass, pose, onPose, shared, unit, plan } = props;
  const rows = useMemo(() => listClassRows(shared.sheet), [shared.sheet]);
  if (pose === null) return <p>{classView.nobody}</p>;
  const sheet = describePose(shared.sheet, pose, unit);
  return (
    <div>
      <PoseTabs poses={yogaClass.poses} pose={pose} onPose={onPose} />
      {(plan.isWorking || shared.answer === null) && <p role="status">{say.wait}</p>}
      <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-10 max-tablet:grid-cols-[minmax(0,1fr)]">
        <PoseOnSheet sheet={sheet} />
        <PaperButtons {...props} />
      </div>
      <ClassTable rows={rows} unit={unit} />
    </div>
  );
}

/** One pose as it stands on its page. */
function PoseOnSheet({ sheet }: { sheet: PoseSheet }) {
  const { name, groups, lines, layOut, keepFrom, notPlanned } = sheet;
  return (
    <article aria-label={name} data-testid="pose-sheet">
      {groups.length === 0 ? (
        <p>{say.noGroups}</p>
      ) : (
        <dl className="mb-3 flex flex-wrap gap-x-10 gap-y-2">
          {groups.map(({ value, names }) => (
            <div key={value}>
              <dt className="font-serif text-[2.2rem] leading-tight lining-nums">{value}</dt>
              <dd className="max-w-72">{list.format(names)}</dd>
            </div>
          ))}
        </dl>
      )}
      {layOut.length > 0 && (
        <p>
          <strong>{say.layOut}</strong>{' '}
          {layOut.map((each) => `${String(each.count)} × ${each.name.toLowerCase()}`).join(', ')}
        </p>
      )}
      {keepFrom.length > 0 && (
        <p>
          <strong>{say.keepFrom}</strong>{' '}
          {keepFrom.map((each) => say.instead(each.name, each.instead)).join('; ')}
        </p>
      )}
      {notPlanned.length > 0 && (
        <p>
          <strong>{say.byEye}</strong> {list.format(notPlanned)}
        </p>
      )}
      {lines.length > 0 && (
        <>
          <h2>{say.exceptions}</h2>
          <ul className="*:border-b *:border-hair *:py-1">
            {lines.map(({ member, words, marks }) => (
              <li key={member.id}>
                <strong>{member.name}</strong> {[...words, marks].filter(Boolean).join(', ')}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="mt-3 text-faint">{say.notes}</p>
    </article>
  );
}

/** Everything that goes onto paper or into a file. */
function PaperButtons({ yogaClass, shared, unit, state }: ClassPartProps) {
  const [isMaking, setIsMaking] = useState(false);
  const { name } = yogaClass;
  const paper = state.studio.paper === 'Letter' ? 'letter' : 'a4';
  const save = async (kind: 'sheet' | 'handover' | 'cards' | 'cues'): Promise<void> => {
    setIsMaking(true);
    try {
      // The writer of PDF is large: it is fetched when it is asked for.
      const [{ writePdf }, { drawClassPages, drawHandover }] = await Promise.all([
        import('../../core/paper/pdf.ts'),
        import('../../core/paper/classPages.ts'),
      ]);
      const content = makeContent(shared.sheet, name, sayWhen(yogaClass), unit);
      const pages =
        kind === 'cards'
          ? makeCards(shared.sheet, unit, paper)
          : kind === 'cues'
            ? await makeClassCuePages(yogaClass.poses, sessionsOf(state), name, paper)
            : kind === 'sheet'
              ? drawClassPages(content, paper)
              : drawHandover(content, paper);
      const bytes = await writePdf(pages, `${name}, ${kind}`);
      saveFile(`${name}, ${kind}.pdf`, new Uint8Array(bytes), 'application/pdf');
    } finally {
      setIsMaking(false);
    }
  };
  return (
    <div className="flex flex-col items-start gap-3 print:hidden">
      <Button onClick={() => void save('sheet')}>{say.pdf}</Button>
      <Button isPlain onClick={() => void save('handover')}>
        {say.handover}
      </Button>
      <Button isPlain onClick={() => void save('cards')}>
        {say.cards}
      </Button>
      <Button isPlain onClick={() => void save('cues')}>
        {say.cues}
      </Button>
      <Button
        isPlain
        onClick={() => {
          saveFile(`${name}.csv`, writeClassCsv(listClassRows(shared.sheet)), 'text/csv');
        }}
      >
        {say.csv}
      </Button>
      <span role="status" className="text-faint">
        {isMaking ? say.making : ''}
      </span>
    </div>
  );
}

type Column = readonly [
  words: string,
  read: (row: ClassTableRow, unit: LengthUnit) => string,
  sort: (row: ClassTableRow) => string | number,
];

const writeCm = (cm: number | null, unit: LengthUnit): string =>
  cm === null ? '' : writeLength(metresFromCm(cm), unit, 1);

const COLUMNS: readonly Column[] = [
  ['Name', ({ name }) => name, ({ name }) => name],
  ['Pose', ({ pose }) => pose, ({ pose }) => pose],
  ['Side', ({ side }) => side, ({ side }) => side],
  ['Version', ({ version }) => version.replaceAll('-', ' '), ({ version }) => version],
  ['Stance', ({ stanceCm }, unit) => writeCm(stanceCm, unit), ({ stanceCm }) => stanceCm ?? -1],
  [
    'Back foot',
    ({ backFootDeg }) => (backFootDeg === null ? '' : `${String(Math.round(backFootDeg))}°`),
    ({ backFootDeg }) => backFootDeg ?? -1,
  ],
  ['Hand', ({ handCm }, unit) => writeCm(handCm, unit), ({ handCm }) => handCm ?? -1],
  [
    'Props',
    ({ props, help, keepFrom }) =>
      [props, help, keepFrom === '' ? '' : 'keep from'].filter(Boolean).join(', '),
    ({ props }) => props,
  ],
];

/** The whole class as one table, sorted and narrowed down. */
function ClassTable({ rows, unit }: { rows: readonly ClassTableRow[]; unit: LengthUnit }) {
  const [filter, setFilter] = useState('');
  const [sort, setSort] = useState<{ readonly column: number; readonly isDown: boolean } | null>(
    null,
  );
  const wanted = useDeferredValue(filter.trim().toLocaleLowerCase());
  const shown = useMemo(() => {
    const found = rows.filter((row) =>
      COLUMNS.some(([, read]) => read(row, unit).toLocaleLowerCase().includes(wanted)),
    );
    if (sort === null) return found;
    const by = COLUMNS[sort.column]![2];
    const compare = (a: ClassTableRow, b: ClassTableRow): number => {
      const [x, y] = [by(a), by(b)];
      return typeof x === 'number' && typeof y === 'number'
        ? x - y
        : String(x).localeCompare(String(y));
    };
    return found.toSorted((a, b) => (sort.isDown ? compare(b, a) : compare(a, b)));
  }, [rows, unit, wanted, sort]);
  return (
    <section className="mt-6 print:hidden">
      <h2>{say.table}</h2>
      <div className="max-w-80">
        <SearchField label={say.filter} value={filter} onChange={setFilter} />
      </div>
      <div className="overflow-x-auto">
        <Table look="list" data-testid="class-table">
          <thead>
            <tr>
              {COLUMNS.map(([words], i) => (
                <th
                  key={words}
                  scope="col"
                  aria-sort={
                    sort?.column === i ? (sort.isDown ? 'descending' : 'ascending') : 'none'
                  }
                >
                  <button
                    type="button"
                    className="min-h-11 cursor-pointer"
                    aria-label={say.sortBy(words)}
                    onClick={() => {
                      setSort({ column: i, isDown: sort?.column === i && !sort.isDown });
                    }}
                  >
                    {words} {sort?.column === i ? (sort.isDown ? '↓' : '↑') : ''}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <tr key={`${row.name} ${row.pose} ${row.side}`}>
                {COLUMNS.map(([words, read]) => (
                  <td key={words}>{read(row, unit)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
      {shown.length === 0 && rows.length > 0 && <p role="status">{say.noRows}</p>}
    </section>
  );
}
