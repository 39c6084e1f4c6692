import { describe, expect, it } from 'vitest';
import { CATALOGUE, type ProblemCode } from '../../../src/core/problems/catalogue.ts';
import { problem } from '../../../src/core/problems/problem.ts';

const codes = Object.keys(CATALOGUE) as ProblemCode[];

describe('the catalogue of problems', () => {
  it.each(codes)('%s says what is wrong and what to do', (code) => {
    const { message, hint } = CATALOGUE[code];
    expect(message.length).toBeGreaterThan(10);
    // A hint that is all a detail is said by who raises it.
    if (!/^\{\w+\}$/.test(hint)) expect(hint.length).toBeGreaterThan(10);
    const names = [...`${message}${hint}`.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
    const details = Object.fromEntries(names.map((name) => [name, `<${name}>`]));
    const made = problem(code, 'here', details);
    expect(`${made.message} ${made.hint}`).not.toMatch(/[{}]|undefined/);
    expect(structuredClone(made)).toEqual(made);
  });

  it('writes lists and an empty path as words', () => {
    expect(
      problem('missing-measure', 'x', { measure: 'Stature', side: '', poses: ['A', 'B'] }).message,
    ).toContain('A, B');
    expect(problem('wrong-shape', '', { text: 'must be an object' }).message).toBe(
      'the input: must be an object.',
    );
  });
});
