import { strFromU8, unzipSync } from 'fflate';
import backupSchema from '../../../docs/formats/backup.schema.json' with { type: 'json' };
import { joiFromSchema } from '../formats/joiFromSchema.ts';
import { findFormatProblem, readJson } from '../formats/personFile.ts';
import { findShapeProblems } from '../formats/validate.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import {
  BACKUP_FORMAT,
  BACKUP_VERSION,
  calcSha256,
  MANIFEST,
  PICTURES,
  storePath,
  type BackupContent,
  type Manifest,
  type PictureEntry,
  type BackupRow,
} from './backup.ts';

const schema = joiFromSchema(backupSchema);

/** Unpacked, more than this is no backup of ours but a trap. Our choice. */
const MOST_BYTES = 2 ** 31;

const refuseBackup = (...problems: readonly Problem[]): Result<never> => ({ ok: false, problems });

function unpack(bytes: Uint8Array): Result<Readonly<Record<string, Uint8Array>>> {
  let size = 0;
  try {
    const files = unzipSync(bytes, {
      filter: ({ originalSize }) => {
        size += originalSize;
        return size <= MOST_BYTES;
      },
    });
    return size <= MOST_BYTES
      ? { ok: true, value: files }
      : refuseBackup(problem('backup-too-large', ''));
  } catch {
    return refuseBackup(problem('not-a-backup', ''));
  }
}

function readManifest(files: Readonly<Record<string, Uint8Array>>): Result<Manifest> {
  const bytes = files[MANIFEST];
  if (bytes === undefined) return refuseBackup(problem('not-a-backup', ''));
  const json = readJson(strFromU8(bytes));
  if (!json.ok) return json;
  const wrongFormat = findFormatProblem(json.value, BACKUP_FORMAT, BACKUP_VERSION);
  if (wrongFormat !== null) return refuseBackup(wrongFormat);
  const shape = findShapeProblems(schema, json.value);
  return shape.length > 0
    ? { ok: false, problems: shape }
    : { ok: true, value: json.value as Manifest };
}

/** Whether every file is there, and as it was when the backup was made. */
async function findDamage(
  files: Readonly<Record<string, Uint8Array>>,
  manifest: Manifest,
): Promise<readonly Problem[]> {
  const checks = manifest.files.map(async ({ path, bytes, sha256 }) => {
    const file = files[path];
    if (file === undefined) return problem('backup-file-missing', path);
    const isSame = file.byteLength === bytes && (await calcSha256(file)) === sha256;
    return isSame ? null : problem('backup-file-damaged', path);
  });
  return (await Promise.all(checks)).filter((each) => each !== null);
}

const isRow = (value: unknown): value is BackupRow =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What every row has by which it is found again. */
const KEYS: Readonly<Record<string, readonly string[]>> = {
  people: ['id'],
  readings: ['personId', 'id'],
  setUps: ['personId', 'id'],
  sessions: ['personId', 'id'],
  frozenSetUps: ['personId', 'sessionId', 'hold'],
  appointments: ['personId', 'id'],
  flows: ['personId', 'id'],
  classes: ['id', 'name'],
  pictures: ['id', 'personId', 'type', 'path'],
  stamps: ['personId', 'path', 'stamp'],
  clock: ['id', 'last'],
  undo: ['id', 'personId'],
  settings: ['key'],
};

function readRows(bytes: Uint8Array, store: string, count: number): Result<readonly BackupRow[]> {
  const path = storePath(store);
  const json = readJson(strFromU8(bytes));
  if (!json.ok) return refuseBackup(problem('backup-file-damaged', path));
  const rows = json.value;
  const keys = KEYS[store] ?? [];
  const isGood =
    Array.isArray(rows) &&
    rows.length === count &&
    rows.every((row) => isRow(row) && keys.every((key) => typeof row[key] === 'string'));
  return isGood
    ? { ok: true, value: rows as readonly BackupRow[] }
    : refuseBackup(problem('backup-file-damaged', path));
}

/**
 * Reads a backup that is not, or no longer, encrypted, and checks it against its own counts
 * and sums.
 *
 * @param bytes of the file
 * @returns what it holds, or problems: `not-a-backup`, `backup-too-large`, `wrong-format`,
 *   `newer-version`, `wrong-shape`, `backup-file-missing`, `backup-file-damaged`
 */
export async function readBackup(bytes: Uint8Array): Promise<Result<BackupContent>> {
  const unpacked = unpack(bytes);
  if (!unpacked.ok) return unpacked;
  const files = unpacked.value;
  const read = readManifest(files);
  if (!read.ok) return read;
  const manifest = read.value;
  const damage = await findDamage(files, manifest);
  if (damage.length > 0) return refuseBackup(...damage);
  const listed = new Set(manifest.files.map(({ path }) => path));
  const stores: Record<string, readonly BackupRow[]> = {};
  for (const [store, count] of Object.entries(manifest.counts)) {
    const path = storePath(store);
    // What is not in the manifest was not checked.
    if (!listed.has(path)) return refuseBackup(problem('backup-file-missing', path));
    const rows = readRows(files[path]!, store, count);
    if (!rows.ok) return rows;
    stores[store] = rows.value;
  }
  const pictures = new Map<string, Uint8Array>();
  for (const { path } of (stores[PICTURES] ?? []) as unknown as readonly PictureEntry[]) {
    if (!listed.has(path)) return refuseBackup(problem('backup-file-missing', path));
    pictures.set(path, files[path]!);
  }
  const { madeAt, withPictures } = manifest;
  return { ok: true, value: { madeAt, withPictures, stores, pictures } };
}
