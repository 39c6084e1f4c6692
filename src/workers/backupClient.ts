import { wrap, type Remote } from 'comlink';
import type { BackupContent } from '../core/backup/backup.ts';
import { problem, type Result } from '../core/problems/problem.ts';
import type { BackupWorker } from './backup.worker.ts';

/** Asks a worker of its own, which ends with its answer. */
async function ask<Answer>(
  call: (remote: Remote<BackupWorker>) => Promise<Result<Answer>>,
): Promise<Result<Answer>> {
  const worker = new Worker(new URL('./backup.worker.ts', import.meta.url), { type: 'module' });
  const died = new Promise<Result<Answer>>((resolve) => {
    worker.addEventListener('error', () => {
      resolve({ ok: false, problems: [problem('worker-stopped', '')] });
    });
  });
  try {
    return await Promise.race([call(wrap<BackupWorker>(worker)), died]);
  } finally {
    worker.terminate();
  }
}

/** The file of a backup, read back and found whole. @param passphrase null = not encrypted */
export const makeBackupInWorker = (
  content: BackupContent,
  passphrase: string | null,
): Promise<Result<Uint8Array>> => ask(({ make }) => make(content, passphrase));

/** What a file holds. @param passphrase empty where it is not encrypted */
export const openBackupInWorker = (
  bytes: Uint8Array,
  passphrase: string,
): Promise<Result<BackupContent>> => ask(({ open }) => open(bytes, passphrase));
