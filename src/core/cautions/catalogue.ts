/**
 * Stop signs and conditions, asked before the first measure. Common practice, no
 * source; the tool makes no diagnosis, and local rules for teachers come first.
 */
export type Tier = 'emergency' | 'same-day' | 'send-on' | 'adapt';

export interface CautionKind {
  readonly id: string;
  readonly tier: Tier;
  /** Asked of the person, in their words. */
  readonly ask: string;
  /** Named on cards and in set-ups. */
  readonly name: string;
  /** What a teacher does about it. */
  readonly advice: string;
  readonly sided: boolean;
}

const EMERGENCY = 'Stop the session and call the local emergency number now.';
const SAME_DAY = 'No practice today. Advise medical help the same day.';
const SEND_ON = 'No set-up until a doctor or physiotherapist has cleared it.';

const kind = (
  tier: Tier,
  id: string,
  name: string,
  ask: string,
  advice: string,
  sided = false,
): CautionKind => ({ id, tier, name, ask, advice, sided });

export const CAUTION_KINDS: readonly CautionKind[] = [
  kind(
    'emergency',
    'chest-pain',
    'Chest pain or breathless at rest',
    'Chest pain, or short of breath while resting?',
    EMERGENCY,
  ),
  kind('emergency', 'fainting', 'Fainting', 'Fainted, or feeling faint?', EMERGENCY),
  kind(
    'emergency',
    'sudden-headache',
    'Sudden severe headache',
    'A sudden, severe headache?',
    EMERGENCY,
  ),
  kind(
    'emergency',
    'stroke-signs',
    'Drooping face, weak arm, slurred speech',
    'A drooping face, a weak arm or slurred speech?',
    EMERGENCY,
  ),
  kind(
    'emergency',
    'saddle-numbness',
    'Numb between the legs, new bladder or bowel trouble',
    'Numb between the legs, or new bladder or bowel trouble?',
    EMERGENCY,
  ),
  kind(
    'emergency',
    'foot-drop',
    'A foot that will not lift',
    'A foot that will not lift?',
    EMERGENCY,
  ),
  kind(
    'emergency',
    'pregnancy-emergency',
    'Bleeding, fluid loss or contractions in pregnancy',
    'Pregnant, with bleeding, fluid loss or contractions?',
    EMERGENCY,
  ),
  kind('same-day', 'hot-calf', 'Hot, swollen calf', 'A hot, swollen calf?', SAME_DAY, true),
  kind(
    'same-day',
    'hot-joint',
    'Hot, red joint with fever',
    'A hot, red joint with fever?',
    SAME_DAY,
    true,
  ),
  kind(
    'same-day',
    'cannot-bear-weight',
    'Cannot bear weight',
    'A leg that cannot bear weight?',
    SAME_DAY,
    true,
  ),
  kind('same-day', 'sight-change', 'Sudden change of sight', 'A sudden change of sight?', SAME_DAY),
  kind(
    'send-on',
    'sharp-joint-pain',
    'Sharp or catching joint pain',
    'Sharp or catching pain in a joint?',
    SEND_ON,
    true,
  ),
  kind(
    'send-on',
    'night-pain',
    'Pain at night or at rest',
    'Pain at night or at rest?',
    SEND_ON,
    true,
  ),
  kind(
    'send-on',
    'tingling',
    'Tingling or numbness',
    'Tingling or numbness in a leg?',
    SEND_ON,
    true,
  ),
  kind(
    'send-on',
    'knee-gives-way',
    'A knee that locks or gives way',
    'A knee that locks, swells or gives way?',
    SEND_ON,
    true,
  ),
  kind('send-on', 'pain-after-fall', 'Pain after a fall', 'Pain since a fall?', SEND_ON, true),
  kind(
    'send-on',
    'lasting-pain',
    'Pain for over two weeks',
    'Any pain for more than two weeks?',
    SEND_ON,
    true,
  ),
  kind(
    'send-on',
    'surgery',
    'Surgery, fracture or disc trouble',
    'An operation, fracture or disc trouble that is not cleared yet?',
    SEND_ON,
    true,
  ),
  kind(
    'send-on',
    'hip-replacement',
    'Hip replacement',
    'A hip replacement?',
    'Only within that clinic’s own written limits.',
    true,
  ),
  kind(
    'send-on',
    'pregnancy',
    'Pregnancy',
    'Pregnant?',
    'Only with medical advice; then a slightly shorter and wider stance, a wall at hand, short of the end of range.',
  ),
  kind(
    'send-on',
    'heart',
    'Heart or blood-pressure condition',
    'A heart or blood-pressure condition?',
    'Only with medical advice; then rise slowly, no breath holding, head not below the heart.',
  ),
  kind(
    'send-on',
    'eye-pressure',
    'Raised eye pressure',
    'Raised pressure in an eye?',
    'Only with medical advice; then the head stays above the heart.',
  ),
  kind(
    'send-on',
    'low-bone-density',
    'Low bone density',
    'Low bone density?',
    'Only with medical advice; then no rounded loaded folds, no end-range twist, a wall always.',
  ),
  kind(
    'adapt',
    'knee-pain',
    'Sore knee',
    'A sore knee?',
    'Less bend, a pad, and no drift inward; the knee is never twisted.',
    true,
  ),
  kind(
    'send-on',
    'hip-replacement-back',
    'Hip replacement, back approach',
    'A hip replaced from the back?',
    'Only within that clinic’s own written limits.',
    true,
  ),
  kind(
    'send-on',
    'hip-replacement-front',
    'Hip replacement, front approach',
    'A hip replaced from the front?',
    'Only within that clinic’s own written limits.',
    true,
  ),
  kind(
    'adapt',
    'painful-kneeling',
    'Painful kneeling',
    'Does kneeling hurt, or was a knee operated on?',
    'No poses on the knee.',
    true,
  ),
  kind(
    'adapt',
    'pelvic-girdle-pain',
    'Pubic or back-pelvis pain',
    'Pain at the pubic bone or the back of the pelvis?',
    'No wide straddle, long lunge or one-leg pose.',
  ),
  kind(
    'adapt',
    'guardian-needed',
    'Under 18, or cannot say what hurts',
    'Under 18, or unable to say what hurts?',
    'A guardian is present; no end-range work.',
  ),
  kind(
    'adapt',
    'hip-pinch',
    'Pinch at the front of the hip',
    'A pinch or click at the front of a hip?',
    'Less fold, less turning in and crossing.',
    true,
  ),
  kind(
    'adapt',
    'sciatica',
    'Sciatica',
    'Pain that runs down the back of the leg?',
    'No leg raise as a test; folds only as far as nothing is felt below the knee.',
    true,
  ),
  kind(
    'adapt',
    'low-back-ache',
    'Sore low back',
    'A sore low back?',
    'No rounding, a higher hand, let the pelvis give a little in twists.',
  ),
  kind(
    'adapt',
    'dizziness',
    'Dizziness',
    'Dizzy at times?',
    'Rise slowly; turn the head slowly, or not; a wall at hand.',
  ),
  kind(
    'adapt',
    'over-mobile',
    'Over-mobile joints',
    'Very bendy joints that over-straighten?',
    'Stop well short of the end of range, knees soft.',
  ),
  kind(
    'adapt',
    'numb-feet',
    'Numb or diabetic feet',
    'Numb feet?',
    'Look at the skin; no hard block under them.',
  ),
];

const byId = new Map(CAUTION_KINDS.map((each) => [each.id, each]));

/**
 * The kind of a caution.
 *
 * @param id as in a person file
 * @returns null when it is none that we know
 * @example
 * findCautionKind('pregnancy').tier // → "send-on"
 */
export const findCautionKind = (id: string): CautionKind | null => byId.get(id) ?? null;
