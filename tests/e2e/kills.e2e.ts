import { expect, test } from '@playwright/test';
import { tryKills } from '../long/kills.ts';

test('eight kills over measuring, session, import and backup tear nothing and lose nothing confirmed', async ({
  baseURL,
}) => {
  test.setTimeout(600_000);
  expect((await tryKills(0, 8, 20_261_130, baseURL!)).failed).toEqual([]);
});
