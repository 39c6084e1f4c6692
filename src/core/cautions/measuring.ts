import type { Protocol, Side } from '../measures/protocol.ts';
import type { Person } from '../person/person.ts';

/** Whether a measure may be taken of a person: freely, with care, or not at all. */
export interface MeasuringVerdict {
  readonly verdict: 'free' | 'warned' | 'blocked';
  /** One sentence for each reason. */
  readonly reasons: readonly string[];
}

interface MeasuringRule {
  readonly cautions: readonly string[];
  readonly concerns: (protocol: Protocol) => boolean;
  readonly verdict: 'warned' | 'blocked';
  readonly reason: string;
  /** Only the side of the entry is concerned, when it names one. */
  readonly bySide?: boolean;
}

const oneOf =
  (...ids: readonly string[]) =>
  ({ id }: Protocol): boolean =>
    ids.includes(id);
const faceDown = ({ posture }: Protocol): boolean => posture === 'lying face down';
const onTheBack = ({ posture }: Protocol): boolean => posture === 'lying on the back';
const isRange = ({ unit }: Protocol): boolean => unit === 'deg';

const HIP_REPLACEMENTS = ['hip-replacement', 'hip-replacement-back', 'hip-replacement-front'];

/** Common practice, no source. The first measure is only taken once every stop sign is cleared. */
const RULES: readonly MeasuringRule[] = [
  {
    cautions: ['pregnancy'],
    concerns: faceDown,
    verdict: 'blocked',
    reason: 'No face-down tests in pregnancy.',
  },
  {
    cautions: ['pregnancy'],
    concerns: onTheBack,
    verdict: 'warned',
    reason: 'Late in pregnancy keep the time on the back short, and turn to the side between.',
  },
  {
    cautions: HIP_REPLACEMENTS,
    concerns: oneOf(
      'hip-opening',
      'hip-external-rotation',
      'hip-internal-rotation',
      'seated-rotation-drill',
      'hip-flexion',
      'hip-extension',
      'hip-extension-bent-knee',
      'hip-adduction',
    ),
    verdict: 'blocked',
    reason: 'Not with a replaced hip until that clinic allows it in writing.',
    bySide: true,
  },
  {
    cautions: ['low-bone-density', 'eye-pressure'],
    concerns: oneOf('fingertip-floor'),
    verdict: 'blocked',
    reason: 'No standing fold to the floor.',
  },
  {
    cautions: ['low-bone-density'],
    concerns: oneOf('trunk-rotation', 'trunk-extension', 'trunk-side-bend'),
    verdict: 'warned',
    reason: 'No end of range of the spine: stop well before it.',
  },
  {
    cautions: ['sciatica', 'tingling'],
    concerns: oneOf('straight-leg-raise'),
    verdict: 'blocked',
    reason: 'No leg raise while there are nerve signs.',
    bySide: true,
  },
  {
    cautions: ['dizziness'],
    concerns: oneOf('single-leg-balance'),
    verdict: 'blocked',
    reason: 'No balance test with dizziness.',
  },
  {
    cautions: ['dizziness', 'heart'],
    concerns: oneOf('fingertip-floor'),
    verdict: 'warned',
    reason: 'Rise slowly, by the hands on the thighs.',
  },
  {
    cautions: ['knee-pain'],
    concerns: oneOf('seated-rotation-drill'),
    verdict: 'blocked',
    reason: 'This drill pulls at the inside of the knee.',
    bySide: true,
  },
  {
    cautions: ['knee-pain'],
    concerns: oneOf('knee-flexion', 'hip-external-rotation', 'hip-internal-rotation'),
    verdict: 'warned',
    reason: 'Hold the knee well, and stop before it is felt.',
    bySide: true,
  },
  {
    cautions: ['low-back-ache'],
    concerns: oneOf('trunk-extension', 'fingertip-floor'),
    verdict: 'warned',
    reason: 'Stop before the low back is felt.',
  },
  {
    cautions: ['pelvic-girdle-pain'],
    concerns: oneOf('hip-abduction', 'hip-opening', 'single-leg-balance'),
    verdict: 'warned',
    reason: 'No wide straddle and no weight on one leg beyond what is easy.',
  },
  {
    cautions: ['hip-pinch'],
    concerns: oneOf('hip-flexion', 'hip-internal-rotation', 'hip-adduction'),
    verdict: 'warned',
    reason: 'Stop before the pinch: that is the end of this range.',
    bySide: true,
  },
  {
    cautions: ['numb-feet'],
    concerns: oneOf('single-leg-balance'),
    verdict: 'warned',
    reason: 'Keep a hand on the wall.',
  },
  {
    cautions: ['over-mobile'],
    concerns: isRange,
    verdict: 'warned',
    reason: 'Stop where it becomes firm, not where it ends.',
  },
  {
    cautions: ['guardian-needed'],
    concerns: isRange,
    verdict: 'warned',
    reason: 'With the guardian present, and no end of range.',
  },
];

const ORDER = ['free', 'warned', 'blocked'] as const;

/**
 * What a person's cautions say to one measure on one side.
 *
 * @param protocol how the measure is taken
 * @param side null = a measure without sides; then an entry of either side counts
 * @returns whether it may be taken, with the reasons
 */
export function judgeMeasuring(
  { cautions }: Person,
  protocol: Protocol,
  side: Side | null,
): MeasuringVerdict {
  let verdict: MeasuringVerdict['verdict'] = 'free';
  const reasons: string[] = [];
  for (const rule of RULES) {
    if (!rule.concerns(protocol)) continue;
    const holds = cautions.some((entry) => {
      if (!rule.cautions.includes(entry.id)) return false;
      const elsewhere = entry.side === 'left' || entry.side === 'right' ? entry.side : null;
      return rule.bySide !== true || side === null || elsewhere === null || elsewhere === side;
    });
    if (!holds) continue;
    reasons.push(rule.reason);
    if (ORDER.indexOf(rule.verdict) > ORDER.indexOf(verdict)) ({ verdict } = rule);
  }
  return { verdict, reasons };
}
