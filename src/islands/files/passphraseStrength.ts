/** How easily a passphrase is guessed, from 0 (at once) to 4, and what to say of it. */
const WORDS = [
  'Guessed at once.',
  'Easily guessed: use four or more words that have nothing to do with each other.',
  'Could be guessed with some effort: add another word or two.',
  'Hard to guess.',
  'Very hard to guess.',
] as const;

/** A hint in words. The estimator brings long lists of common passwords: loaded when needed. */
export async function sayStrength(passphrase: string): Promise<string> {
  const [{ ZxcvbnFactory }, common] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ]);
  const { score } = new ZxcvbnFactory({
    dictionary: common.dictionary,
    graphs: common.adjacencyGraphs,
  }).check(passphrase);
  return WORDS[score];
}
