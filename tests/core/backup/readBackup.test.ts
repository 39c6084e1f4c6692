import { readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020.js';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import type { BackupContent, Manifest } from '../../../src/core/backup/backup.ts';
import { decrypt, encrypt, isEncrypted } from '../../../src/core/backup/encryption.ts';
import { isBackupDue } from '../../../src/core/backup/isBackupDue.ts';
import { packBackup } from '../../../src/core/backup/packBackup.ts';
import { readBackup } from '../../../src/core/backup/readBackup.ts';

const PATH = 'pictures/1.jpeg';
const content: BackupContent = {
  madeAt: '2026-11-30T09:00:00.000Z',
  withPictures: true,
  stores: {
    people: [{ id: 'ada', person: { name: 'Ada' } }],
    readings: [],
    pictures: [{ id: 'p', personId: 'ada', type: 'image/jpeg', path: PATH }],
  },
  pictures: new Map([[PATH, new Uint8Array([255, 216, 1])]]),
};

type Files = Record<string, Uint8Array>;

/** A backup with some of its files changed, and what reading it says. */
async function readChanged(change: (files: Files) => void): Promise<readonly string[]> {
  const files: Files = unzipSync(await packBackup(content));
  change(files);
  const read = await readBackup(zipSync(files));
  return read.ok ? [] : read.problems.map(({ code, path }) => `${code} ${path}`.trim());
}

const changeManifest = (
  files: Files,
  change: (manifest: Record<string, unknown>) => void,
): void => {
  const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as Record<string, unknown>;
  change(manifest);
  files['manifest.json'] = strToU8(JSON.stringify(manifest));
};

describe('a backup file', () => {
  it('comes back as it was packed, and keeps to its schema', async () => {
    const packed = await packBackup(content);
    expect(await readBackup(packed)).toEqual({ ok: true, value: content });
    const schema = JSON.parse(readFileSync('docs/formats/backup.schema.json', 'utf8')) as object;
    const manifest = JSON.parse(strFromU8(unzipSync(packed)['manifest.json']!)) as Manifest;
    expect(new Ajv2020().validate(schema, manifest)).toBe(true);
    // SHA-256 of the bytes ff d8 01, by `printf '\xff\xd8\x01' | sha256sum`.
    expect(manifest.files.find(({ path }) => path === PATH)?.sha256).toBe(
      'df2fec7a8910ce9bb0c3ab7e3de0ad9c5d3a69297128440e2a3a9a17c61a144f',
    );
    expect(manifest.counts).toEqual({ people: 1, readings: 0, pictures: 1 });
  });

  it('is refused by name when a part is missing, damaged or not counted', async () => {
    expect(await readChanged((files) => Reflect.deleteProperty(files, PATH))).toEqual([
      `backup-file-missing ${PATH}`,
    ]);
    expect(
      await readChanged((files) => {
        files['stores/people.json'] = strToU8('[]');
      }),
    ).toEqual(['backup-file-damaged stores/people.json']);
    const uncounted = (files: Files): void => {
      changeManifest(files, (manifest) => {
        manifest['counts'] = { people: 2, readings: 0, pictures: 1 };
      });
    };
    expect(await readChanged(uncounted)).toEqual(['backup-file-damaged stores/people.json']);
    const unlisted = (files: Files): void => {
      changeManifest(files, (manifest) => {
        manifest['files'] = [];
      });
    };
    expect(await readChanged(unlisted)).toEqual(['backup-file-missing stores/people.json']);
  });

  it('is refused when it is of a newer version, of another kind, or no zip', async () => {
    const newer = (files: Files): void => {
      changeManifest(files, (manifest) => {
        manifest['version'] = 2;
      });
    };
    expect(await readChanged(newer)).toEqual(['newer-version version']);
    const other = (files: Files): void => {
      changeManifest(files, (manifest) => {
        manifest['format'] = 'some.other';
      });
    };
    expect(await readChanged(other)).toEqual(['wrong-format format']);
    expect(await readChanged((files) => delete files['manifest.json'])).toEqual(['not-a-backup']);
    const cut = (await packBackup(content)).slice(0, 200);
    for (const bytes of [cut, new Uint8Array(), strToU8('{"format":"stillwater.person"}')]) {
      const read = await readBackup(bytes);
      expect(read.ok || read.problems[0]!.code).toBe('not-a-backup');
    }
  });

  it('is refused when it would unpack to more than two gigabytes', async () => {
    const packed = await packBackup(content);
    const view = new DataView(packed.buffer);
    // The size in the first central entry, by the zip format (APPNOTE 4.3.12): offset 24.
    const first = packed.findIndex(
      (_, i) => view.getUint32(Math.min(i, packed.length - 4)) === 0x504b0102,
    );
    view.setUint32(first + 24, 0xfffffffe, true);
    const read = await readBackup(packed);
    expect(read.ok || read.problems[0]!.code).toBe('backup-too-large');
  });
});

/** Cheap, for tests: the cost changes nothing else. */
const FACTOR = 4;
const PASSPHRASE = 'seven quiet herons wade';
const SECRET = strToU8('what was measured');

describe('a passphrase', () => {
  it('opens what it encrypted, and no other does', async () => {
    const sealed = await encrypt(SECRET, PASSPHRASE, FACTOR);
    expect(isEncrypted(sealed)).toBe(true);
    expect(isEncrypted(SECRET)).toBe(false);
    expect(await decrypt(sealed, PASSPHRASE)).toEqual({ ok: true, value: SECRET });
    const wrong = await decrypt(sealed, 'seven quiet herons');
    expect(wrong.ok || wrong.problems[0]!.code).toBe('wrong-passphrase');
    const damaged = sealed.slice();
    damaged[damaged.length - 1]! ^= 1;
    const read = await decrypt(damaged, PASSPHRASE);
    expect(read.ok || read.problems[0]!.code).toBe('encryption-damaged');
  });

  it('is understood by a second implementation of age (rage, in Rust)', async () => {
    // The package asks whether it runs in a window.
    Object.assign(globalThis, { Window: { [Symbol.hasInstance]: () => true } });
    const rage = await import('@kanru/rage-wasm');
    const packed = await packBackup(content);
    const sealed = await encrypt(packed, PASSPHRASE, FACTOR);
    const opened = await rage.decrypt_with_user_passphrase(PASSPHRASE, sealed);
    expect(await readBackup(opened)).toEqual({ ok: true, value: content });
  });
});

describe('the reminder to back up', () => {
  const span = { oldest: '2026-11-01T09:00:00Z', newest: '2026-11-20T09:00:00Z' };
  it.each([
    ['nothing is kept', null, null, false],
    ['never backed up, data of nineteen days', null, span, true],
    ['backed up six days before the newest', '2026-11-14T09:00:00Z', span, false],
    ['backed up eight days before the newest', '2026-11-12T09:00:00Z', span, true],
    ['backed up since', '2026-11-25T09:00:00Z', span, false],
  ])('%s', (_, madeAt, of, isDue) => {
    expect(isBackupDue(madeAt, of, 7)).toBe(isDue);
  });
});
