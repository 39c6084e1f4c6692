import { describe, expect, it } from 'vitest';
import { CAUTION_KINDS } from '../../../src/core/cautions/catalogue.ts';
import { findActiveCautions, findStopSigns } from '../../../src/core/cautions/stopSigns.ts';
import type { CautionEntry, Person } from '../../../src/core/person/person.ts';
import { PERSON } from '../../support/people.ts';

const entry = (id: string, changes: Partial<CautionEntry> = {}): CautionEntry => ({
  uid: id,
  id,
  side: null,
  since: null,
  severity: 'mild',
  clearedBy: null,
  clearedAt: null,
  note: '',
  ...changes,
});
const withCautions = (...cautions: CautionEntry[]): Person => ({ ...PERSON, cautions });

describe('stop signs', () => {
  it.each(CAUTION_KINDS.map((kind) => [kind.id, kind.tier] as const))('%s (%s)', (id, tier) => {
    const stops = findStopSigns(withCautions(entry(id)));
    expect(stops).toHaveLength(tier === 'adapt' ? 0 : 1);
    if (tier === 'emergency') expect(stops[0]?.hint).toContain('local emergency number');
    if (tier === 'same-day') expect(stops[0]?.hint).toContain('same day');
    // Any caution can be marked as a stop, and any stop can be cleared, by name and date.
    expect(findStopSigns(withCautions(entry(id, { severity: 'stop' })))).toHaveLength(1);
    const cleared = entry(id, {
      severity: 'stop',
      clearedBy: 'her doctor',
      clearedAt: '2026-11-01',
    });
    expect(findStopSigns(withCautions(cleared))).toHaveLength(0);
    const halfCleared = entry(id, { severity: 'stop', clearedBy: 'her doctor' });
    expect(findStopSigns(withCautions(halfCleared))).toHaveLength(1);
  });

  it('are told most urgent first', () => {
    const stops = findStopSigns(
      withCautions(entry('tingling'), entry('hot-calf'), entry('chest-pain')),
    );
    expect(stops.map((each) => each.path)).toEqual([
      'cautions.chest-pain',
      'cautions.hot-calf',
      'cautions.tingling',
    ]);
  });

  it('keep an id that we do not know, and stop for it only when it says so', () => {
    expect(findStopSigns(withCautions(entry('new-thing')))).toHaveLength(0);
    expect(findStopSigns(withCautions(entry('new-thing', { severity: 'stop' })))).toHaveLength(1);
    expect(findActiveCautions(withCautions(entry('new-thing')))[0]?.kind).toBeNull();
  });

  it('have words of their own for every kind', () => {
    const ids = new Set(CAUTION_KINDS.map((each) => each.id));
    expect(ids.size).toBe(CAUTION_KINDS.length);
    for (const kind of CAUTION_KINDS) {
      expect(kind.ask.endsWith('?'), kind.id).toBe(true);
      expect(kind.advice.endsWith('.'), kind.id).toBe(true);
    }
  });
});
