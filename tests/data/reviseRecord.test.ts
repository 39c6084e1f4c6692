import { describe, expect, it } from 'vitest';
import { reviseRecord } from '../../src/data/reviseRecord.ts';
import { PERSON, recordOf, REFERENCE } from '../support/people.ts';

describe('the revision of a loaded record', () => {
  it('stays, with the record itself, while an equal one is loaded again', () => {
    const first = reviseRecord('record', recordOf(REFERENCE));
    expect(reviseRecord('record', recordOf(REFERENCE))).toBe(first);
  });

  it('changes with any reading and any answer, and never comes again', () => {
    const first = reviseRecord('record', recordOf(REFERENCE));
    const measured = reviseRecord('record', recordOf({ ...REFERENCE, stature: 171 }));
    const noted = reviseRecord('record', recordOf(REFERENCE, { notes: 'tired' }));
    const back = reviseRecord('record', recordOf(REFERENCE));
    const revisions = [first, measured, noted, back].map(({ revision }) => revision);
    expect(new Set(revisions).size).toBe(4);
  });

  it('is counted for each person and each query', () => {
    const one = reviseRecord('record', recordOf(REFERENCE));
    const other = reviseRecord('record', recordOf(REFERENCE, { ...PERSON, id: 'other' }));
    const held = reviseRecord('with held', { ...recordOf(REFERENCE), held: [] });
    expect(new Set([one, other, held].map(({ revision }) => revision)).size).toBe(3);
    expect(reviseRecord('record', recordOf(REFERENCE))).toBe(one);
  });
});
