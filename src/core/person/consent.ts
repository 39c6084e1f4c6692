import { isMinor, type Intake, type Person } from './person.ts';

/** The wording that is agreed to. A change of the words is a new version. */
const CONSENT_WORDING = '2026-11';

/** What is said, or read, before the first measure is stored. */
export const CONSENT_WORDS: readonly string[] = [
  'I measure how far your joints turn and how long your legs are, and note what hurts and what you were told to avoid. From that I set up poses for you.',
  'It is kept on this device only. Nobody else sees it unless I hand it on, or a backup of it, and you may ask to whom.',
  'You can see all of it, take a copy, have it corrected, or have it erased, whenever you like and without a reason. Saying no costs you nothing.',
];

/** What was agreed, and by whom for someone under 18. */
export interface Agreement {
  /** ISO date. */
  readonly at: string;
  readonly withPictures: boolean;
  /** Empty = nobody else has to agree. */
  readonly guardian: string;
}

/**
 * Whether someone has agreed that what is measured is kept, and has not withdrawn it.
 *
 * @returns false when it was never asked
 */
export const isAgreed = ({ intake }: Person): boolean => intake.consentToData !== null;

/**
 * What is wrong with an agreement, in a sentence; null = it can be stored.
 *
 * @param person with answers and cautions
 * @returns words for the teacher
 */
export const findAgreementProblem = (person: Person, { at, guardian }: Agreement): string | null =>
  isMinor(person, at) && guardian.trim() === ''
    ? 'Guardian: nobody is named. Under 18 an adult who is responsible agrees too.'
    : null;

/**
 * The answers that say so.
 *
 * @returns a changed copy of the intake
 */
export const agree = ({ intake }: Person, { at, withPictures, guardian }: Agreement): Intake => ({
  ...intake,
  consentToData: at,
  consentToPictures: withPictures ? at : null,
  consentWording: CONSENT_WORDING,
  guardian: guardian.trim() === '' ? intake.guardian : guardian.trim(),
});
