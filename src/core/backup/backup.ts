/**
 * A backup: a zip of `manifest.json`, one JSON list a store under `stores/`, and each picture
 * as a file of its own under `pictures/`. Described in docs/formats/backup.schema.json.
 */

export const BACKUP_FORMAT = 'stillwater.backup';
export const BACKUP_VERSION = 1;

export const MANIFEST = 'manifest.json';

/**
 * Where a store's rows stand in the zip.
 *
 * @param store which store
 * @returns a path inside the zip
 */
export const storePath = (store: string): string => `stores/${store}.json`;

export const PICTURES = 'pictures';

interface BackupFile {
  readonly path: string;
  readonly bytes: number;
  /** Hexadecimal. */
  readonly sha256: string;
}

export interface Manifest {
  readonly format: typeof BACKUP_FORMAT;
  readonly version: typeof BACKUP_VERSION;
  /** ISO date and time. */
  readonly madeAt: string;
  readonly withPictures: boolean;
  /** How many rows each store holds. */
  readonly counts: Readonly<Record<string, number>>;
  /** Every other file of the zip. */
  readonly files: readonly BackupFile[];
}

/** A picture's row as it stands in a backup, with the file that holds the picture. */
export interface PictureEntry {
  readonly id: string;
  readonly personId: string;
  /** Its media type, such as `image/jpeg`. */
  readonly type: string;
  readonly path: string;
}

export type BackupRow = Readonly<Record<string, unknown>>;

/** All that a backup holds. */
export interface BackupContent {
  readonly madeAt: string;
  readonly withPictures: boolean;
  readonly stores: Readonly<Record<string, readonly BackupRow[]>>;
  /** The pictures' bytes by their path. */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
}

/**
 * The SHA-256 of some bytes.
 *
 * @param bytes any
 * @returns 64 hexadecimal digits
 */
export async function calcSha256(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>);
  return [...new Uint8Array(digest)].map((each) => each.toString(16).padStart(2, '0')).join('');
}
