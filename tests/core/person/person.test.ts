import { describe, expect, it } from 'vitest';
import { findChanges } from '../../../src/core/person/history.ts';
import { findNotDone, noteNotDone } from '../../../src/core/person/notDone.ts';
import { completePerson, isMinor, type NotDone } from '../../../src/core/person/person.ts';
import { PERSON, recordOf } from '../../support/people.ts';

const AT = '2026-11-20T10:00:00Z';

describe('what a person told', () => {
  it('is kept as changes with their date, cautions by what they say', () => {
    const after = {
      ...PERSON,
      experience: 'seasoned' as const,
      intake: { ...PERSON.intake, hurts: 'left knee on stairs' },
      cautions: [
        {
          uid: 'one',
          id: 'knee-pain',
          side: 'left' as const,
          since: null,
          severity: 'mild' as const,
          clearedBy: null,
          clearedAt: null,
          note: '',
        },
      ],
    };
    expect(findChanges(PERSON, after, AT)).toEqual([
      { at: AT, field: 'experience', from: 'steady', to: 'seasoned' },
      { at: AT, field: 'hurts', from: '', to: 'left knee on stairs' },
      { at: AT, field: 'caution knee-pain', from: '', to: 'mild, left' },
    ]);
    expect(findChanges(after, PERSON, AT).at(-1)).toMatchObject({ from: 'mild, left', to: '' });
    expect(findChanges(PERSON, PERSON, AT)).toEqual([]);
  });

  it('keeps what private notes were before', () => {
    const noted = { ...PERSON, notes: 'shy' };
    expect(findChanges(PERSON, noted, AT)).toEqual([
      { at: AT, field: 'notes', from: '', to: 'shy' },
    ]);
    expect(findChanges(noted, PERSON, AT)[0]).toMatchObject({ from: 'shy', to: '' });
  });

  it('may be left out of a file', () => {
    const person = completePerson({ id: 'a', name: 'Ada', experience: 'new' });
    expect(person.intake.consentToData).toBeNull();
    expect(person.history).toEqual([]);
    expect(completePerson({ ...person, intake: { hurts: 'hip' } }).intake).toMatchObject({
      hurts: 'hip',
      guardian: '',
    });
  });

  it('tells who is under 18 by the year', () => {
    expect(isMinor({ ...PERSON, birthYear: 2010 }, AT)).toBe(true);
    expect(isMinor({ ...PERSON, birthYear: 2008 }, AT)).toBe(false);
    expect(isMinor({ ...PERSON, birthYear: null }, AT)).toBe(false);
  });
});

describe('a test that was not taken', () => {
  const entry: NotDone = {
    measure: 'hip-flexion',
    side: 'left',
    reason: 'declined',
    at: AT,
    note: '',
  };
  const reading = recordOf({ 'hip-flexion': 110 }).readings;

  it('keeps its reason until a reading comes after it', () => {
    const record = { person: { ...PERSON, notDone: [entry] }, readings: reading };
    expect(findNotDone(record, 'hip-flexion', 'left')?.reason).toBe('declined');
    expect(findNotDone(record, 'hip-flexion', 'right')).toBeNull();
    const later = reading.map((each) => ({ ...each, takenAt: '2026-11-21T10:00:00Z' }));
    expect(findNotDone({ ...record, readings: later }, 'hip-flexion', 'left')).toBeNull();
  });

  it('has one reason at a time', () => {
    const pain = { ...entry, reason: 'pain' as const };
    expect(noteNotDone([entry], pain)).toEqual([pain]);
  });
});
