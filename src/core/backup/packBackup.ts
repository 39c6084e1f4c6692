import { strToU8, zipSync, type Zippable } from 'fflate';
import {
  BACKUP_FORMAT,
  BACKUP_VERSION,
  calcSha256,
  MANIFEST,
  storePath,
  type BackupContent,
  type Manifest,
} from './backup.ts';

const toJson = (value: unknown): Uint8Array => strToU8(`${JSON.stringify(value, null, 1)}\n`);

/**
 * Packs everything into one zip, with the counts and sums by which it can be checked.
 *
 * @param content every store with its rows
 * @returns the bytes of a zip
 */
export async function packBackup(content: BackupContent): Promise<Uint8Array> {
  const { madeAt, withPictures, stores, pictures } = content;
  const packed = new Map<string, Uint8Array>([
    ...Object.entries(stores).map(([store, rows]) => [storePath(store), toJson(rows)] as const),
    ...pictures,
  ]);
  const manifest: Manifest = {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    madeAt,
    withPictures,
    counts: Object.fromEntries(Object.entries(stores).map(([store, rows]) => [store, rows.length])),
    files: await Promise.all(
      [...packed].map(async ([path, bytes]) => ({
        path,
        bytes: bytes.byteLength,
        sha256: await calcSha256(bytes),
      })),
    ),
  };
  const files: Zippable = { [MANIFEST]: toJson(manifest) };
  // Pictures are compressed already.
  for (const [path, bytes] of packed) files[path] = [bytes, { level: pictures.has(path) ? 0 : 6 }];
  return zipSync(files, { mtime: madeAt });
}
