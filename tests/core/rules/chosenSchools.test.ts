import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import {
  findChoices,
  findChosenRules,
  resolveRules,
  SCHOOL_SOURCES,
} from '../../../src/core/rules/chosenSchools.ts';
import { DEFAULT_RULES } from '../../../src/core/rules/houseRules.ts';
import { findSchool } from '../../../src/core/rules/schools.ts';
import type { PersonRecord } from '../../../src/core/person/person.ts';
import { USUAL_STUDIO } from '../../../src/core/studio/studio.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const AT = '2026-11-25T10:00:00Z';
const school = (pose: string, rule: string, option: string) => ({
  pose,
  rule,
  option,
  reason: 'steadier',
  at: AT,
});
const record = recordOf(REFERENCE);
const withSchools = (...schools: ReturnType<typeof school>[]): PersonRecord => ({
  ...record,
  person: { ...record.person, schools },
});

describe('schools chosen for a person', () => {
  it('hold for their pose alone, over the defaults and under what is asked', () => {
    const own = withSchools(school('triangle', 'stance', 'leg-length'));
    expect(resolveRules(own, 'triangle', {}).stance).toBe('leg-length');
    expect(resolveRules(own, 'warrior-two', {}).stance).toBe(DEFAULT_RULES.stance);
    expect(resolveRules(own, 'triangle', { stance: 'wrists' }).stance).toBe('wrists');
  });

  it('win over the house, a pose over every pose, and each says where it comes from', () => {
    const pick = (pose: string, option: string) => ({ pose, rule: 'openHeelLine', option });
    const house = (...schools: ReturnType<typeof pick>[]) => ({ ...USUAL_STUDIO, schools });
    const heelLine = (from: PersonRecord): string =>
      resolveRules(from, 'triangle', {}).openHeelLine;
    const source = (from: PersonRecord) =>
      SCHOOL_SOURCES.findLast((each) => findChoices(from, 'triangle', each).length > 0) ?? null;
    expect([heelLine(record), source(record)]).toEqual(['heel-to-arch', null]);

    const everybody = { ...record, studio: house(pick('*', 'heel-to-heel')) };
    expect([heelLine(everybody), source(everybody)]).toEqual(['heel-to-heel', 'house']);
    expect(resolveRules(everybody, 'warrior-two', {}).openHeelLine).toBe('heel-to-heel');

    const studio = house(pick('*', 'heel-to-heel'), pick('triangle', 'hip-width'));
    const inPose = { ...record, studio };
    expect([heelLine(inPose), source(inPose)]).toEqual(['hip-width', 'house-pose']);
    expect(resolveRules(inPose, 'warrior-two', {}).openHeelLine).toBe('heel-to-heel');

    const own = { ...withSchools(school('*', 'openHeelLine', 'heel-to-arch')), studio };
    expect([heelLine(own), source(own)]).toEqual(['heel-to-arch', 'person']);

    const both = [
      school('*', 'openHeelLine', 'heel-to-arch'),
      school('triangle', 'openHeelLine', 'heel-to-heel'),
    ];
    const inOwnPose = { ...withSchools(...both), studio };
    expect([heelLine(inOwnPose), source(inOwnPose)]).toEqual(['heel-to-heel', 'person-pose']);
    // What is asked for one set-up wins over all of them.
    expect(resolveRules(inOwnPose, 'triangle', { openHeelLine: 'hip-width' }).openHeelLine).toBe(
      'hip-width',
    );
  });

  it('three feet bring their own number', () => {
    const own = withSchools(school('triangle', 'stance', 'fixed'));
    expect(findChosenRules(own, 'triangle')).toEqual({ stance: 'fixed', fixedStanceCm: 91 });
  });

  it('that are not known change nothing, whatever a file says', () => {
    const strange = [
      school('triangle', 'stance', 'by-the-moon'),
      school('triangle', 'limitMarginSem', '0'),
      school('triangle', '__proto__', 'x'),
    ];
    expect(findChosenRules(withSchools(...strange), 'triangle')).toEqual({});
  });

  it('have words for every option that a pose leaves open', () => {
    const asked = new Set<string>();
    const visit = (value: unknown): void => {
      if (typeof value !== 'object' || value === null) return;
      if ('rule' in value && 'options' in value) {
        for (const option of Object.keys(value.options as object)) {
          asked.add(`${String(value.rule)} ${option}`);
        }
      }
      Object.values(value).forEach(visit);
    };
    POSES.forEach(visit);
    expect(asked.size).toBeGreaterThan(15);
    for (const pair of asked) {
      const [rule = '', option = ''] = pair.split(' ');
      expect(findSchool(rule, option), pair).not.toBeNull();
    }
  });
});
