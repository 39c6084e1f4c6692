import { expect, it } from 'vitest';
import { tryBodies } from '../../long/bodies.ts';

it('every reader of files answers 1,000 mutated ones in words and throws at none', async () => {
  expect((await tryBodies(0, 1_000, 2026, null)).failed).toEqual([]);
});
