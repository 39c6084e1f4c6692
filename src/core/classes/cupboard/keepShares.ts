import type { Choice, ClassNeed } from './needs.ts';
import type { ClassShare } from './shareCupboard.ts';

/** What is out already: by need, what somebody has, in words. */
export type KeptShares = Readonly<Record<string, string>>;

const keyOf = ({ member, pose, setting }: ClassNeed): string => `${member} ${pose} ${setting}`;

const nameOf = ({ piles }: Choice): string =>
  piles.map(({ side, name }) => `${side} ${name ?? ''}`).join(', ');

/**
 * A way of sharing, to be kept while the class is taught.
 *
 * @param shares of everyone
 * @returns by need
 */
export const toKept = (shares: readonly ClassShare[]): KeptShares =>
  Object.fromEntries(shares.map(({ need, choice }) => [keyOf(need), nameOf(choice)]));

/**
 * Needs of which those that are settled have no choice any more: a latecomer is served from what is
 * left, and nobody has to give anything back.
 *
 * @param needs of everyone who is there now
 * @param kept how it was shared
 * @returns in the same order; what somebody has that is not a choice any more is chosen again
 */
export const keepShares = (needs: readonly ClassNeed[], kept: KeptShares): readonly ClassNeed[] =>
  needs.map((need) => {
    const name = kept[keyOf(need)];
    const choice =
      name === undefined ? undefined : need.choices.find((each) => nameOf(each) === name);
    return choice === undefined ? need : { ...need, choices: [choice] };
  });
