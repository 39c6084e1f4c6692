import type { RuleId } from './houseRules.ts';

/** One disagreement of the trade in words: what is at stake, and each school's answer. */
export interface School {
  readonly name: string;
  readonly options: Readonly<Record<string, string>>;
}

/** The house rules that a pose may leave to the teacher, in the words of the mat. */
export const SCHOOLS = {
  stance: {
    name: 'Stance',
    options: {
      solved: 'as long as this body allows',
      'leg-length': 'one leg length',
      'one-and-a-half-leg-lengths': 'one and a half leg lengths',
      wrists: 'ankles under the wrists',
      fixed: 'three feet, for everyone',
    },
  },
  openHeelLine: {
    name: 'Heel line in open poses',
    options: {
      'heel-to-arch': 'front heel to back arch',
      'heel-to-heel': 'heel to heel',
      'hip-width': 'hip width apart',
    },
  },
  pyramidStance: {
    name: 'Stance in straight-leg folds',
    options: { short: 'short', 'leg-length': 'one leg length', long: 'long' },
  },
  pelvisOpen: {
    name: 'Pelvis',
    options: { 'as-hips-allow': 'as the hips allow', square: 'square to the long edge' },
  },
  pelvisWarriorOne: {
    name: 'Pelvis in Warrior I',
    options: { open: 'open, heel down', square: 'square to the front' },
  },
  pelvisReverseWarrior: {
    name: 'Pelvis in reverse warrior',
    options: { level: 'near level', 'may-drop': 'the front side may drop' },
  },
  backFoot: {
    name: 'Back foot',
    options: {
      parallel: 'along the short edge',
      'turned-in': 'a little in',
      natural: 'natural angle',
    },
  },
  frontKnee: {
    name: 'Front knee',
    options: { stacked: 'over the ankle', 'may-pass': 'may pass it' },
  },
  twist: {
    name: 'Twist',
    options: {
      'by-pose': 'as the pose defines it',
      'hip-first': 'from the hips first',
      'pelvis-fixed': 'pelvis held',
      full: 'full twist',
    },
  },
  triangleShape: {
    name: 'Trunk',
    options: { long: 'both sides long', 'side-bend': 'bending sideways' },
  },
  straightKnees: { name: 'Straight knees', options: { straight: 'straight', soft: 'soft' } },
  chairStyle: {
    name: 'Chair',
    options: {
      'equal-arms': 'knees and hips share it',
      'knees-forward': 'knees forward',
      'hips-back': 'hips back',
    },
  },
  sides: {
    name: 'Order of sides',
    options: {
      'harder-easier-harder': 'harder, easier, harder',
      equal: 'each side once',
      'one-side-first': 'all poses on one side first',
      alternate: 'alternate from pose to pose',
    },
  },
  easing: {
    name: 'When it is too much',
    options: { 'as-named': 'ease what the pose names', shorter: 'shorten the stance first' },
  },
  balanceProp: {
    name: 'Hand in a balance',
    options: { 'tallest-face': 'on the tallest face', floor: 'on the floor' },
  },
} as const satisfies Partial<Record<RuleId, School>>;

export type SchoolRule = keyof typeof SCHOOLS;

/**
 * A school in words; null = it is not one of ours.
 *
 * @param rule id of the rule
 * @param option of the rule
 * @returns rule and name
 */
export function findSchool(
  rule: string,
  option: string,
): { readonly rule: SchoolRule; readonly name: string; readonly words: string } | null {
  const all: Readonly<Record<string, School>> = SCHOOLS;
  // A file may name anything, also what every object has.
  const school = Object.hasOwn(all, rule) ? all[rule] : undefined;
  const isOption = school !== undefined && Object.hasOwn(school.options, option);
  const words = isOption ? school.options[option] : undefined;
  return school === undefined || words === undefined
    ? null
    : { rule: rule as SchoolRule, name: school.name, words };
}
