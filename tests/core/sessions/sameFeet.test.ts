import { describe, expect, it } from 'vitest';
import type { LoggedHold } from '../../../src/core/sessions/readSession.ts';
import { findNextOnSameFeet } from '../../../src/core/sessions/sameFeet.ts';

const hold = (id: string, side: 'left' | 'right', stance: number, at: string | null = null) =>
  ({
    plan: {
      id,
      side,
      settings: [
        { id: 'stance-length', value: stance },
        { id: 'back-foot-angle', value: 75 },
      ],
    },
    at,
  }) as unknown as LoggedHold;

describe('holds on the same feet', () => {
  const holds = [
    hold('a', 'right', 101),
    hold('b', 'right', 101),
    hold('c', 'right', 101, '2026-12-01T09:00:00Z'),
    hold('d', 'right', 101),
    hold('e', 'left', 101),
    hold('f', 'right', 101),
  ];
  const nextOf = (index: number, of = holds) =>
    findNextOnSameFeet(of, of[index]!).map(({ plan }) => plan.id);

  it('go on until the side changes, without those that are logged', () => {
    expect(nextOf(0)).toEqual(['b', 'd']);
    expect(nextOf(3)).toEqual([]);
    expect(nextOf(5)).toEqual([]);
  });

  it('end where the stance is another one', () => {
    expect(nextOf(0, [holds[0]!, hold('b', 'right', 96), hold('c', 'right', 101)])).toEqual([]);
  });
});
