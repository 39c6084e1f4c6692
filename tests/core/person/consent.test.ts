import { describe, expect, it } from 'vitest';
import { agree, findAgreementProblem, isAgreed } from '../../../src/core/person/consent.ts';
import { PERSON } from '../../support/people.ts';

const AT = '2026-11-30T09:00:00Z';
const young = { ...PERSON, birthYear: 2010 };

describe('an agreement', () => {
  it('keeps its date, its wording and the guardian; pictures only if they were agreed to', () => {
    expect(isAgreed({ ...PERSON, intake: { ...PERSON.intake, consentToData: null } })).toBe(false);
    const intake = agree(PERSON, { at: AT, withPictures: false, guardian: ' Kai Marsh ' });
    expect(isAgreed({ ...PERSON, intake })).toBe(true);
    expect(intake).toMatchObject({
      consentToData: AT,
      consentToPictures: null,
      consentWording: '2026-11',
      guardian: 'Kai Marsh',
    });
    const both = agree(PERSON, { at: AT, withPictures: true, guardian: '' });
    expect(both.consentToPictures).toBe(AT);
  });

  it('needs a guardian’s name under 18, and nobody else’s', () => {
    const alone = { at: AT, withPictures: false, guardian: ' ' };
    expect(findAgreementProblem(young, alone)).toMatch(/^Guardian: nobody is named\./);
    expect(findAgreementProblem(young, { ...alone, guardian: 'Kai' })).toBeNull();
    expect(findAgreementProblem(PERSON, alone)).toBeNull();
  });
});
