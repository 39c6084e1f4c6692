import { expect, type Page } from '@playwright/test';

/** How a browser refuses to store: there is no room, or the transaction is broken off. */
export type Refusal = 'full' | 'aborted';

const WORDS: Readonly<Record<Refusal, RegExp>> = {
  full: /no room left/,
  aborted: /broke off the writing/,
};

/** From now on the browser refuses to store anything, until it is let again. */
export const refuse = (page: Page, how: Refusal): Promise<void> =>
  page.evaluate((way) => {
    // eslint-disable-next-line @typescript-eslint/unbound-method -- called with its store below
    const { put, add, delete: remove } = IDBObjectStore.prototype;
    Object.assign(window, { stored: { put, add, delete: remove } });
    const refused = <Parameters extends unknown[]>(
      own: (this: IDBObjectStore, ...parameters: Parameters) => IDBRequest,
    ) =>
      function (this: IDBObjectStore, ...parameters: Parameters) {
        if (way === 'full') throw new DOMException('full', 'QuotaExceededError');
        const request = own.apply(this, parameters);
        this.transaction.abort();
        return request;
      };
    Object.assign(IDBObjectStore.prototype, {
      put: refused(put),
      add: refused(add),
      // A full store still lets go of what it has.
      ...(way === 'aborted' ? { delete: refused(remove) } : {}),
    });
  }, how);

export const letAgain = (page: Page): Promise<void> =>
  page.evaluate(() => {
    Object.assign(IDBObjectStore.prototype, (window as unknown as { stored: object }).stored);
  });

export const expectRefusal = async (page: Page, how: Refusal, name: string): Promise<void> => {
  await expect(page.getByRole('alert').filter({ hasText: WORDS[how] }).first(), name).toBeVisible();
};
