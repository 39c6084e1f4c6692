import { describe, expect, it } from 'vitest';
import { checkPersonFile } from '../../../src/core/formats/personFile.ts';
import { upgradePersonFile, upgradeSession } from '../../../src/core/formats/upgradePerson.ts';
import { PERSON } from '../../support/people.ts';

const NOW = '2026-11-29T10:00:00Z';
const kept = {
  id: 'k1',
  pose: 'pyramid',
  level: null,
  side: 'left',
  keptAt: '2026-11-20T10:00:00Z',
  rules: { heelLine: 'two-fist-rails', pyramidStance: 'long' },
  moved: null,
  reason: '',
  settings: [],
};
const first = {
  format: 'stillwater.person',
  version: 1,
  person: {
    ...PERSON,
    schools: [
      { pose: 'pyramid', rule: 'pyramidStance', option: 'long', reason: '', at: kept.keptAt },
    ],
  },
  readings: [],
  setUps: [kept],
};

describe('a person file of the first version', () => {
  it('comes up with plain names, and with the version of the rules it was made by', () => {
    const read = checkPersonFile(first, NOW);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { setUps, person } = read.value.file;
    expect(setUps[0]!.rules).toEqual({ heelLine: 'two-fists', pyramidStance: 'leg-length' });
    expect(setUps[0]!.rulesVersion).toBe(1);
    expect(person.schools[0]!.option).toBe('leg-length');
  });

  it('keeps what a file of today means by the same word', () => {
    const today = { ...first, version: 3, setUps: [{ ...kept, rules: { pyramidStance: 'long' } }] };
    expect(upgradePersonFile(today)).toBe(today);
    const read = checkPersonFile(today, NOW);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(read.value.file.setUps[0]!.rules).toEqual({ pyramidStance: 'long' });
  });

  it('renames error signs wherever they were logged', () => {
    const session = {
      holds: [],
      entries: [
        { kind: 'error', hold: '1', error: 'tightrope', isSeen: true },
        { kind: 'note', hold: '1', change: { errors: ['toes-in', 'heel-floats'] } },
        { kind: 'note', hold: '1', change: { breath: 'easy' } },
      ],
    };
    expect(upgradeSession(session)).toMatchObject({
      entries: [
        { error: 'heels-in-line' },
        { change: { errors: ['feet-turned-in', 'heel-floats'] } },
        { change: { breath: 'easy' } },
      ],
    });
    expect(upgradeSession('not a session')).toBe('not a session');
  });
});
