import Papa from 'papaparse';
import { describePose, findGroupValue, type PlannedClass } from '../classes/classSheet.ts';
import { SIDES } from '../measures/protocol.ts';
import { getValue } from '../setup/setUp.ts';
import { FORMULA_CELL } from './csvCells.ts';

/** One row of a class’s table: a person, a pose and a side. */
export interface ClassTableRow {
  readonly name: string;
  readonly pose: string;
  readonly side: string;
  readonly version: string;
  readonly stanceCm: number | null;
  readonly backFootDeg: number | null;
  readonly handCm: number | null;
  /** The number of their group, cm or degrees; null = their own. */
  readonly group: number | null;
  readonly props: string;
  /** The wall, a lying version, or '' . */
  readonly help: string;
  readonly keepFrom: string;
  readonly estimate: string;
}

const FIELDS = [
  'name',
  'pose',
  'side',
  'version',
  'stanceCm',
  'backFootDeg',
  'handCm',
  'group',
  'props',
  'help',
  'keepFrom',
  'estimate',
] as const satisfies readonly (keyof ClassTableRow)[];

/**
 * A class as one table: people by poses, a row for each side. Nothing about health, age or weight is
 * in it.
 *
 * @param plan the class as it is worked out
 * @returns rows in the order of the poses, then of the people
 */
export function listClassRows(plan: PlannedClass): readonly ClassTableRow[] {
  return plan.poses.flatMap((pose) => {
    const { name: poseName, keepFrom } = describePose(plan, pose, 'cm');
    const setting = plan.instructions.find((each) => each.pose === pose)?.setting;
    return plan.members.flatMap(({ id, name, isGuest }): ClassTableRow[] => {
      const planned = plan.planned.find((each) => each.member === id && each.pose === pose);
      if (planned === undefined) return [];
      const help = plan.helps.find((each) => each.member === id && each.pose === pose);
      const common = {
        name,
        pose: poseName,
        help: help === undefined ? '' : help.kind === 'lying' ? help.form : help.kind,
        estimate: isGuest ? 'yes' : '',
      };
      if (planned.pairs.length === 0) {
        const isKept = keepFrom.some((each) => each.name === name);
        const none = { side: '', version: '', stanceCm: null, backFootDeg: null, handCm: null };
        return [{ ...common, ...none, group: null, props: '', keepFrom: isKept ? 'yes' : '' }];
      }
      return SIDES.toReversed().flatMap((side): ClassTableRow[] => {
        const setUp = planned.pairs.find((each) => each.plan.side === side)?.setUp;
        if (setUp === undefined) return [];
        const props = plan.shares
          .filter(({ need }) => need.member === id && need.pose === pose)
          .flatMap(({ choice }) =>
            choice.piles.flatMap((pile) => (pile.side === side ? (pile.name ?? []) : [])),
          );
        return [
          {
            ...common,
            side,
            version: setUp.level ?? 'usual',
            stanceCm: getValue(setUp, 'stance-length'),
            backFootDeg: getValue(setUp, 'back-foot-angle'),
            handCm: getValue(setUp, 'hand-height'),
            group: setting === undefined ? null : findGroupValue(planned.pairs, side, setting),
            props: props.join('; '),
            keepFrom: '',
          },
        ];
      });
    });
  });
}

/**
 * The table of a class as a file.
 *
 * @param rows see {@link listClassRows}
 * @returns the text of a table
 */
export function writeClassCsv(rows: readonly ClassTableRow[]): string {
  const table = {
    fields: [...FIELDS],
    data: rows.map((row) => FIELDS.map((field) => row[field] ?? '')),
  };
  return `${Papa.unparse(table, { escapeFormulae: FORMULA_CELL })}\r\n`;
}
