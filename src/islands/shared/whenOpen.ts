import { isDatabaseOpen } from '../../data/database.ts';

/**
 * A query of a page's first data, which stays “still loading” when the database does not
 * open: the page then says why, instead of breaking.
 */
export const whenOpen =
  <Data>(query: () => Data | Promise<Data>): (() => Promise<Data | undefined>) =>
  async () => {
    try {
      return await query();
    } catch (error) {
      // What fails with the database open is a fault of ours.
      if (isDatabaseOpen()) throw error;
      return undefined;
    }
  };
