import { describe, expect, it } from 'vitest';
import { calcMeasureValue, findThirdReadingNote } from '../../../src/core/measures/measureValue.ts';
import { calcStandardError } from '../../../src/core/measures/readingErrors.ts';
import { isStale } from '../../../src/core/measures/staleness.ts';
import type { Reading } from '../../../src/core/measures/reading.ts';

function raise(value: number, changes: Partial<Reading> = {}): Reading {
  return {
    id: `r${String(value)}${changes.takenAt ?? ''}`,
    measure: 'straight-leg-raise',
    side: 'left',
    value,
    unit: 'deg',
    raw: null,
    instrument: 'inclinometer',
    posture: null,
    state: 'cold',
    takenAt: '2026-11-02T09:10:00Z',
    note: '',
    ...changes,
  };
}

const valueOf = (...readings: Reading[]) =>
  calcMeasureValue(readings, 'straight-leg-raise', 'left');

describe('readings into a value', () => {
  it('has none without readings', () => {
    expect(valueOf()).toBeNull();
    expect(valueOf(raise(60, { side: 'right' }))).toBeNull();
  });

  it('averages two and takes the middle of three', () => {
    expect(valueOf(raise(60), raise(64))?.value).toBe(62);
    expect(valueOf(raise(60), raise(64), raise(61))?.value).toBe(61);
  });

  it('carries error² = between² + within² / n, worked by hand', () => {
    // Ranges: 2.0° between days, 2.5° within a sitting.
    expect(calcStandardError('range', 1)).toBeCloseTo(Math.sqrt(4 + 6.25), 9);
    expect(calcStandardError('range', 2)).toBeCloseTo(Math.sqrt(4 + 3.125), 9);
    expect(calcStandardError('range', 3)).toBeCloseTo(Math.sqrt(4 + 6.25 / 2.2), 9);
    expect(calcStandardError('length', 2)).toBeCloseTo(Math.sqrt(0.09 + 0.045), 9);
  });

  it('asks for a third reading when two differ by more than 5°', () => {
    const close = valueOf(raise(60), raise(65))!;
    const far = valueOf(raise(60), raise(66))!;
    expect(findThirdReadingNote(close)).toBeNull();
    expect(findThirdReadingNote(far)?.message).toContain('6.0');
  });

  it('uses the latest sitting only', () => {
    const before = raise(50, { takenAt: '2026-09-02T09:00:00Z' });
    expect(valueOf(before, raise(60), raise(62))?.value).toBe(61);
  });

  it('pools one posture only; where none was noted, the protocol’s own was meant', () => {
    const later = { takenAt: '2026-11-02T09:20:00Z' };
    const lying = raise(64, { ...later, posture: 'lying on the back' });
    expect(valueOf(raise(60), lying)!.value).toBe(62);
    const seated = raise(64, { ...later, posture: 'seated' });
    expect(valueOf(raise(60), seated)!.value).toBe(64);
  });

  it('leaves out what is simulated or set aside', () => {
    const later = { takenAt: '2026-11-02T09:20:00Z' };
    const aside = { setAside: { reason: 'slipped', at: '2026-11-02T09:30:00Z' } };
    expect(valueOf(raise(60), raise(8, { ...later, isSimulated: true }))!.value).toBe(60);
    expect(valueOf(raise(60), raise(8, { ...later, ...aside }))!.value).toBe(60);
  });

  it('never pools cold with warm', () => {
    const warm = raise(70, { state: 'warm', takenAt: '2026-11-02T09:40:00Z' });
    const value = valueOf(raise(60), warm)!;
    expect(value.value).toBe(70);
    expect(value.readingIds).toHaveLength(1);
  });

  it('counts a range as cold where neither was noted', () => {
    const later = { takenAt: '2026-11-02T09:20:00Z' };
    const value = valueOf(raise(60), raise(64, { ...later, state: null }))!;
    expect(value.value).toBe(62);
    expect(value.state).toBe('cold');
  });

  it('does not depend on the order of readings', () => {
    const readings = [raise(60), raise(62), raise(70, { takenAt: '2026-09-01T08:00:00Z' })];
    expect(valueOf(...readings)).toEqual(valueOf(...readings.reverse()));
  });
});

describe('staleness', () => {
  it('lets ranges age 8 weeks and lengths 2 years, half a year under 18', () => {
    const now = '2026-11-25T00:00:00Z';
    expect(isStale('hip-opening', '2026-10-01T00:00:00Z', now, 1990)).toBe(false);
    expect(isStale('hip-opening', '2026-09-01T00:00:00Z', now, 1990)).toBe(true);
    expect(isStale('leg-length', '2025-01-01T00:00:00Z', now, 1990)).toBe(false);
    expect(isStale('leg-length', '2024-10-01T00:00:00Z', now, null)).toBe(true);
    expect(isStale('leg-length', '2026-03-01T00:00:00Z', now, 2012)).toBe(true);
  });
});
