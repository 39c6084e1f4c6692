import { describe, expect, it } from 'vitest';
import { CAUTION_KINDS } from '../../../src/core/cautions/catalogue.ts';
import { judgeMeasuring } from '../../../src/core/cautions/measuring.ts';
import { PROTOCOLS } from '../../../src/core/measures/protocols/index.ts';
import type { CautionEntry, Person } from '../../../src/core/person/person.ts';
import { PERSON } from '../../support/people.ts';

const withCaution = (id: string, side: CautionEntry['side'] = null): Person => ({
  ...PERSON,
  cautions: [
    {
      uid: id,
      id,
      side,
      since: null,
      severity: 'mild',
      clearedBy: 'x',
      clearedAt: '2026-11-01',
      note: '',
    },
  ],
});

const FACE_DOWN = [
  'hip-external-rotation',
  'hip-internal-rotation',
  'hip-extension',
  'hip-extension-bent-knee',
  'knee-flexion',
  'thigh-foot-angle',
];
const ON_THE_BACK = [
  'leg-length',
  'hip-opening',
  'hip-abduction',
  'hip-adduction',
  'hip-flexion',
  'straight-leg-raise',
];
const NOT_WITH_A_REPLACED_HIP = [
  'hip-opening',
  'hip-external-rotation',
  'hip-internal-rotation',
  'seated-rotation-drill',
  'hip-flexion',
  'hip-extension',
  'hip-extension-bent-knee',
  'hip-adduction',
];
const RANGES = PROTOCOLS.filter((each) => each.unit === 'deg').map((each) => each.id);
const REPLACED = { blocked: NOT_WITH_A_REPLACED_HIP, warned: [] };

/** Every caution that says anything to measuring; all others leave every measure free. */
const EXPECTED: Readonly<
  Record<string, { readonly blocked: readonly string[]; readonly warned: readonly string[] }>
> = {
  pregnancy: { blocked: FACE_DOWN, warned: ON_THE_BACK },
  'hip-replacement': REPLACED,
  'hip-replacement-back': REPLACED,
  'hip-replacement-front': REPLACED,
  'low-bone-density': {
    blocked: ['fingertip-floor'],
    warned: ['trunk-rotation', 'trunk-extension', 'trunk-side-bend'],
  },
  'eye-pressure': { blocked: ['fingertip-floor'], warned: [] },
  sciatica: { blocked: ['straight-leg-raise'], warned: [] },
  tingling: { blocked: ['straight-leg-raise'], warned: [] },
  dizziness: { blocked: ['single-leg-balance'], warned: ['fingertip-floor'] },
  heart: { blocked: [], warned: ['fingertip-floor'] },
  'knee-pain': {
    blocked: ['seated-rotation-drill'],
    warned: ['knee-flexion', 'hip-external-rotation', 'hip-internal-rotation'],
  },
  'low-back-ache': { blocked: [], warned: ['trunk-extension', 'fingertip-floor'] },
  'pelvic-girdle-pain': {
    blocked: [],
    warned: ['hip-abduction', 'hip-opening', 'single-leg-balance'],
  },
  'hip-pinch': { blocked: [], warned: ['hip-flexion', 'hip-internal-rotation', 'hip-adduction'] },
  'numb-feet': { blocked: [], warned: ['single-leg-balance'] },
  'over-mobile': { blocked: [], warned: RANGES },
  'guardian-needed': { blocked: [], warned: RANGES },
};

describe('what a caution says to a measure', () => {
  it.each(CAUTION_KINDS.map((kind) => kind.id))('%s, against every protocol', (id) => {
    const { blocked, warned } = EXPECTED[id] ?? { blocked: [], warned: [] };
    for (const protocol of PROTOCOLS) {
      const { verdict, reasons } = judgeMeasuring(withCaution(id), protocol, null);
      const expected = blocked.includes(protocol.id)
        ? 'blocked'
        : warned.includes(protocol.id)
          ? 'warned'
          : 'free';
      expect(verdict, protocol.id).toBe(expected);
      expect(reasons.length > 0).toBe(expected !== 'free');
    }
  });

  it('concerns the side it names, and both when it names none', () => {
    const raise = PROTOCOLS.find((each) => each.id === 'straight-leg-raise')!;
    const left = withCaution('sciatica', 'left');
    expect(judgeMeasuring(left, raise, 'left').verdict).toBe('blocked');
    expect(judgeMeasuring(left, raise, 'right').verdict).toBe('free');
    for (const side of ['left', 'right'] as const) {
      expect(judgeMeasuring(withCaution('sciatica', 'both'), raise, side).verdict).toBe('blocked');
      expect(judgeMeasuring(withCaution('sciatica'), raise, side).verdict).toBe('blocked');
    }
    // Face down is face down, whichever hip is meant.
    const bend = PROTOCOLS.find((each) => each.id === 'knee-flexion')!;
    expect(judgeMeasuring(withCaution('pregnancy', 'left'), bend, 'right').verdict).toBe('blocked');
  });

  it('takes the strictest of several, and tells every reason', () => {
    const person = {
      ...PERSON,
      cautions: [...withCaution('over-mobile').cautions, ...withCaution('sciatica').cautions],
    };
    const raise = PROTOCOLS.find((each) => each.id === 'straight-leg-raise')!;
    const { verdict, reasons } = judgeMeasuring(person, raise, 'left');
    expect(verdict).toBe('blocked');
    expect(reasons).toHaveLength(2);
  });
});
