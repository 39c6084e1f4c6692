import { problem, type Result } from '../problems/problem.ts';

/**
 * A passphrase over a backup, in the open age format (age-encryption.org/v1): any age tool
 * opens it. The package is large and is loaded when it is first needed.
 */
const loadAge = () => import('age-encryption');

/** How every age file begins. */
const BEGINNING = new TextEncoder().encode('age-encryption.org/v1\n');

/**
 * Whether bytes are an age file, by its first line.
 *
 * @param bytes of a backup
 * @returns false for a plain zip
 */
export const isEncrypted = (bytes: Uint8Array): boolean =>
  BEGINNING.every((each, i) => bytes[i] === each);

/**
 *
 * @param bytes to be encrypted
 * @param passphrase as typed
 * @param workFactor base-2 logarithm of scrypt's cost; left out = that of the age tools
 * @returns an age file
 */
export async function encrypt(
  bytes: Uint8Array,
  passphrase: string,
  workFactor?: number,
): Promise<Uint8Array> {
  const { Encrypter } = await loadAge();
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  if (workFactor !== undefined) encrypter.setScryptWorkFactor(workFactor);
  return encrypter.encrypt(bytes);
}

/**
 *
 * @param bytes of the file
 * @param passphrase as typed
 * @returns the content, or the problem `wrong-passphrase` or `encryption-damaged`
 */
export async function decrypt(bytes: Uint8Array, passphrase: string): Promise<Result<Uint8Array>> {
  const { Decrypter } = await loadAge();
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  try {
    return { ok: true, value: await decrypter.decrypt(bytes) };
  } catch (error) {
    const words = error instanceof Error ? error.message : '';
    const isWrong = words.startsWith('no identity matched');
    return {
      ok: false,
      problems: [problem(isWrong ? 'wrong-passphrase' : 'encryption-damaged', '')],
    };
  }
}
