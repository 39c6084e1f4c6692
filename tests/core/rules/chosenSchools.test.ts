import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { findChosenRules, resolveRules } from '../../../src/core/rules/chosenSchools.ts';
import { DEFAULT_RULES } from '../../../src/core/rules/houseRules.ts';
import { findSchool } from '../../../src/core/rules/schools.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const AT = '2026-11-25T10:00:00Z';
const school = (pose: string, rule: string, option: string) => ({
  pose,
  rule,
  option,
  reason: 'steadier',
  at: AT,
});
const { person } = recordOf(REFERENCE);

describe('schools chosen for a person', () => {
  it('hold for their pose alone, over the defaults and under what is asked', () => {
    const own = { ...person, schools: [school('triangle', 'stance', 'leg-length')] };
    expect(resolveRules(own, 'triangle', {}).stance).toBe('leg-length');
    expect(resolveRules(own, 'warrior-two', {}).stance).toBe(DEFAULT_RULES.stance);
    expect(resolveRules(own, 'triangle', { stance: 'wrists' }).stance).toBe('wrists');
  });

  it('three feet bring their own number', () => {
    const own = { ...person, schools: [school('triangle', 'stance', 'fixed')] };
    expect(findChosenRules(own, 'triangle')).toEqual({ stance: 'fixed', fixedStanceCm: 91 });
  });

  it('that are not known change nothing, whatever a file says', () => {
    const strange = [
      school('triangle', 'stance', 'by-the-moon'),
      school('triangle', 'limitMarginSem', '0'),
      school('triangle', '__proto__', 'x'),
    ];
    expect(findChosenRules({ ...person, schools: strange }, 'triangle')).toEqual({});
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
