import { findCautionKind } from '../../core/cautions/catalogue.ts';

const FIELD_WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  birthYear: 'year of birth',
  sexForReference: 'reference bands',
  bodyMassKg: 'body mass, kg',
  experience: 'experience',
  notes: 'private notes',
  cautionsAskedAt: 'stop signs last asked',
  consentToData: 'agrees to numbers being kept',
  consentToPictures: 'agrees to pictures being kept',
  consentWording: 'wording agreed to',
  guardian: 'guardian',
  hurts: 'what hurts',
  operations: 'what was operated on',
  wishes: 'what they come for',
};

/** The name of an answer as its history gives it. */
export function nameField(field: string): string {
  const [, caution] = /^caution (.+)$/.exec(field) ?? [];
  if (caution !== undefined) return findCautionKind(caution)?.name ?? caution;
  return FIELD_WORDS[field] ?? field;
}
