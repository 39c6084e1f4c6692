import { expose, transfer } from 'comlink';
import type { BackupContent } from '../core/backup/backup.ts';
import { decrypt, encrypt, isEncrypted } from '../core/backup/encryption.ts';
import { packBackup } from '../core/backup/packBackup.ts';
import { readBackup } from '../core/backup/readBackup.ts';
import { problem, type Result } from '../core/problems/problem.ts';

async function open(bytes: Uint8Array, passphrase: string): Promise<Result<BackupContent>> {
  if (!isEncrypted(bytes)) return readBackup(bytes);
  const opened = await decrypt(bytes, passphrase);
  return opened.ok ? readBackup(opened.value) : opened;
}

/** Packs, encrypts, and reads the file back before it is handed over. */
async function make(
  content: BackupContent,
  passphrase: string | null,
): Promise<Result<Uint8Array>> {
  const packed = await packBackup(content);
  const bytes = passphrase === null ? packed : await encrypt(packed, passphrase);
  const read = await open(bytes, passphrase ?? '');
  if (!read.ok) return read;
  if (JSON.stringify(read.value.stores) !== JSON.stringify(content.stores))
    return { ok: false, problems: [problem('backup-file-damaged', 'stores')] };
  return transfer({ ok: true, value: bytes } as const, [bytes.buffer]);
}

const api = { make, open };

export type BackupWorker = typeof api;

expose(api);
