import { problem, type Problem, type Result } from '../problems/problem.ts';
import { isFirmUnderHand, mayBearHand, type PropItem, type PropKind } from '../props/propList.ts';
import { cmFromMetres, metresFromCm } from '../units/brands.ts';
import { readLength, writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { toHundredths } from '../units/rounding.ts';
import { findCupboardProblems } from './cupboard.ts';

/** A thing of the cupboard as it is typed; fields that its kind does not have stay empty. */
export interface ItemDraft {
  readonly id: string;
  readonly kind: PropKind;
  readonly name: string;
  readonly count: string;
  /** One height, or a block's three: “7.5, 15, 23”. */
  readonly heights: string;
  readonly length: string;
  readonly width: string;
  readonly rail: string;
  readonly depth: string;
  readonly isFirm: boolean;
}

/**
 * Blocks of the usual size, to be corrected by whoever enters them.
 *
 * @param id of the new thing
 * @param name '' = not named yet
 * @param count how many
 * @returns with the three usual heights
 */
export const makeBlocks = (id: string, name: string, count: number): PropItem => ({
  id,
  kind: 'block',
  name,
  heightsCm: [7.5, 15, 23],
  lengthCm: null,
  count,
});

/** Fields that only some kinds have. */
export type ItemField = 'heights' | 'length' | 'width' | 'rail' | 'depth' | 'isFirm';

/** Thickness of what is lain on or held rather than stood on, cm. */
const THIN_CM: Partial<Record<PropKind, number>> = { strap: 0.3, mat: 0.5 };
const MOST = 200;

/**
 * Whether a thing of this kind has a field.
 *
 * @param kind of the thing
 * @param field of the draft
 * @returns false where the field has nothing to say
 */
export function hasField(kind: PropKind, field: ItemField): boolean {
  switch (field) {
    case 'heights':
      return THIN_CM[kind] === undefined;
    case 'length':
      return kind === 'strap' || kind === 'mat';
    case 'width':
      return kind === 'mat';
    case 'rail':
    case 'depth':
      return kind === 'chair';
    case 'isFirm':
      return mayBearHand(kind);
  }
}

/**
 * A thing as it stands in the fields of a form.
 *
 * @param item of the cupboard
 * @param unit centimetres or inches
 * @returns text for every field
 */
export function toDraft(item: PropItem, unit: LengthUnit): ItemDraft {
  const write = (cm: number | null | undefined): string =>
    cm == null ? '' : writeLength(metresFromCm(cm), unit, 1);
  const { id, kind, name, count, heightsCm, lengthCm, widthCm, railCm, depthCm } = item;
  return {
    id,
    kind,
    name,
    count: String(count),
    heights: hasField(kind, 'heights') ? heightsCm.map(write).join(', ') : '',
    length: write(lengthCm),
    width: write(widthCm),
    rail: write(railCm),
    depth: write(depthCm),
    isFirm: isFirmUnderHand(item),
  };
}

/**
 * Reads what was typed of a thing.
 *
 * @param draft the fields
 * @param unit of a number without one
 * @returns the thing, or every problem with the field's name as its path
 */
export function readItem(draft: ItemDraft, unit: LengthUnit): Result<PropItem> {
  const problems: Problem[] = [];
  const read = (text: string, path: string): number => {
    const length = readLength(text, unit, path);
    if (length.ok) return toHundredths(cmFromMetres(length.value));
    problems.push(...length.problems);
    return 0;
  };
  const readWhere = (field: 'length' | 'width' | 'rail' | 'depth', path: string): number | null =>
    hasField(draft.kind, field) && draft[field].trim() !== '' ? read(draft[field], path) : null;
  const { id, kind, name } = draft;
  const count = Number(draft.count);
  if (!Number.isInteger(count) || count < 0 || count > MOST || draft.count.trim() === '')
    problems.push(problem('not-a-count', 'How many', { text: draft.count, most: MOST }));
  if (name.trim() === '') problems.push(problem('name-missing', 'Name'));
  const heightsCm =
    THIN_CM[kind] === undefined
      ? draft.heights.split(/[,;]/).map((text) => read(text, 'Height'))
      : [THIN_CM[kind]];
  const lengthCm = readWhere('length', 'Length');
  const widthCm = readWhere('width', 'Width');
  const railCm = readWhere('rail', 'Rail');
  const depthCm = readWhere('depth', 'Seat depth');
  const item: PropItem = {
    id,
    kind,
    name: name.trim(),
    heightsCm: heightsCm.toSorted((a, b) => a - b),
    lengthCm,
    count,
    ...(hasField(kind, 'isFirm') ? { isFirm: draft.isFirm } : {}),
    ...(widthCm === null ? {} : { widthCm }),
    ...(railCm === null ? {} : { railCm }),
    ...(depthCm === null ? {} : { depthCm }),
  };
  if (problems.length > 0) return { ok: false, problems };
  const found = findCupboardProblems([item], '').map((each) => ({ ...each, path: '' }));
  return found.length > 0 ? { ok: false, problems: found } : { ok: true, value: item };
}
