import { describe, expect, it } from 'vitest';
import { planSetUp } from '../../src/core/setup/planSetUp.ts';
import { LatestContext } from '../../src/workers/latestContext.ts';
import { contextOf, recordOf, REFERENCE, STIFF } from '../support/people.ts';

describe('the person whom a worker was asked about last', () => {
  it('keeps one context for every copy of one revision, and plans by the newest revision', () => {
    const latest = new LatestContext();
    const first = { ...recordOf(REFERENCE), revision: '1' };
    const context = latest.of(first);
    // A worker gets a copy with every question.
    expect(latest.of(structuredClone(first))).toBe(context);
    const second = latest.of({ ...recordOf(STIFF), revision: '2' });
    expect(second).not.toBe(context);
    expect(planSetUp(second, 'triangle', 'right')).toEqual(
      planSetUp(contextOf(STIFF), 'triangle', 'right'),
    );
    // One is kept, not all.
    expect(latest.of(first)).not.toBe(context);
  });
});
