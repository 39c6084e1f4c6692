import { findCautionKind } from '../cautions/catalogue.ts';
import { getProtocol, isMeasureId } from '../measures/protocols/index.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import { isAnswer, nameAnswer } from './cellPaths.ts';
import type { Cell, PersonCells } from './cells.ts';

/** One answer or record, as it is and as it will be, or as it stays and what the file says. */
export interface MergeLine {
  /** Of an answer its name; of a record its kind and its own words. */
  readonly what: string;
  readonly from: string;
  readonly to: string;
}

/** What a merge would do, before it does it. */
export interface MergePlan {
  readonly isNewPerson: boolean;
  /** How many records of each kind come in. */
  readonly added: Readonly<Record<string, number>>;
  readonly changes: readonly MergeLine[];
  /** What differs in the file, but is not later there: it stays as it is here. */
  readonly stays: readonly MergeLine[];
  /** Records of the file that were removed here: they stay removed. */
  readonly staysRemoved: number;
  readonly same: number;
}

const kindOf = (path: string): string => path.slice(0, path.indexOf('/'));

interface Recorded {
  readonly measure?: string;
  readonly pose?: string;
  readonly side?: string | null;
  readonly value?: number;
  readonly unit?: string;
  readonly id?: string;
  readonly severity?: string;
  readonly clearedBy?: string | null;
  readonly note?: string;
  readonly reason?: string;
  readonly option?: string;
  readonly start?: string;
  readonly plannedAt?: string;
  readonly name?: string;
}

/** A record in a few words that distinguish it from another. */
function sayRecord(kind: string, record: Recorded): string {
  const { clearedBy } = record;
  const cleared =
    clearedBy === undefined ? '' : clearedBy === null ? 'not cleared' : `cleared by ${clearedBy}`;
  const unit = record.unit === 'deg' ? '°' : ` ${record.unit ?? ''}`;
  const value = record.value === undefined ? '' : `${String(record.value)}${unit}`;
  const parts: Readonly<Record<string, readonly (string | null | undefined)[]>> = {
    reading: [value, record.note],
    caution: [record.severity, record.side, cleared, record.note],
    'not-done': [record.reason, record.note],
    school: [record.option, record.reason],
    appointment: [record.start, record.note],
    flow: [record.name],
    session: [record.plannedAt],
  };
  return (parts[kind] ?? []).filter((each) => each != null && each !== '').join(', ');
}

const KIND_WORDS: Readonly<Record<string, string>> = {
  reading: 'reading',
  caution: 'caution',
  'not-done': 'test not taken',
  school: 'school',
  appointment: 'appointment',
  flow: 'flow',
  session: 'session',
  hold: 'planned hold',
  'set-up': 'set-up',
};

function nameSubject(kind: string, { measure, pose, id = '' }: Recorded): string {
  if (measure !== undefined) return isMeasureId(measure) ? getProtocol(measure).name : measure;
  if (pose !== undefined) return (findPose(pose) ?? findLyingPose(pose))?.name ?? pose;
  return kind === 'caution' ? (findCautionKind(id)?.name ?? id) : '';
}

/** `reading: Straight-leg raise, left`. */
function nameRecord(kind: string, record: Recorded): string {
  const subject = [nameSubject(kind, record), record.side ?? ''].filter((each) => each !== '');
  const words = KIND_WORDS[kind] ?? kind;
  return subject.length === 0 ? words : `${words}: ${subject.join(', ')}`;
}

const sayAnswer = (value: unknown): string =>
  value === null ? '' : typeof value === 'string' ? value : JSON.stringify(value);

function sayMergeLine(path: string, from: Cell, to: Cell): MergeLine {
  const values = [from, to].map(({ json }) =>
    json === null ? null : (JSON.parse(json) as unknown),
  );
  if (isAnswer(path)) {
    const [old, now] = values.map(sayAnswer);
    return { what: nameAnswer(path), from: old!, to: now! };
  }
  const kind = kindOf(path);
  const records = values.map((each) => each as Recorded | null);
  const [old, now] = records.map((each) => (each === null ? 'removed' : sayRecord(kind, each)));
  const known = records.find((each) => each !== null);
  return { what: known == null ? kind : nameRecord(kind, known), from: old!, to: now! };
}

/**
 * What comes of a merge for one person.
 *
 * @param here null = nobody of this id is here
 * @param file the person as the file has them
 * @param merged both made one
 * @returns what is new, changed, kept and removed
 */
export function describeMerge(
  here: PersonCells | null,
  file: PersonCells,
  merged: PersonCells,
): MergePlan {
  const added: Record<string, number> = {};
  const changes: MergeLine[] = [];
  const stays: MergeLine[] = [];
  let staysRemoved = 0;
  let same = 0;
  for (const [path, theirs] of file.cells) {
    const own = here?.cells.get(path);
    const now = merged.cells.get(path)!;
    if (own === undefined) {
      if (theirs.json !== null) added[kindOf(path)] = (added[kindOf(path)] ?? 0) + 1;
    } else if (own.json === theirs.json) same += 1;
    else if (now.json !== own.json) changes.push(sayMergeLine(path, own, now));
    else if (own.json === null) staysRemoved += 1;
    else if (theirs.json !== null || kindOf(path) !== 'hold')
      stays.push(sayMergeLine(path, own, theirs));
  }
  const known = here?.log ?? new Set<string>();
  const fresh = [...file.log].filter((line) => !known.has(line)).length;
  if (fresh > 0) added['log'] = fresh;
  return { isNewPerson: here === null, added, changes, stays, staysRemoved, same };
}
