/**
 * Called now and then while something long is worked out.
 *
 * @param done how much is done: solves, repeats or schools
 * @param all how much there is
 */
export type OnProgress = (done: number, all: number) => void;

/**
 * For those who need not know.
 *
 * @returns nothing
 */
export const ignoreProgress: OnProgress = () => undefined;
