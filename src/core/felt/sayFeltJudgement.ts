import { findPoseError } from '../poseErrors/catalogue.ts';
import { getProtocol } from '../measures/protocols/index.ts';
import { nameJoint, type PoseSide } from '../setup/jointReport.ts';
import type { ErrorBehind } from './findErrorsBehind.ts';
import type { FeltJudgement } from './judgeFelt.ts';
import type { Stretch } from './stretches.ts';

const all = new Intl.ListFormat('en', { type: 'conjunction' });
const any = new Intl.ListFormat('en', { type: 'disjunction' });

const inThe = (place: string): string => `the ${place}`;

/**
 * Where a set-up stretches most.
 *
 * @param expected the nearest to its end first
 * @returns "Most stretched here: the right back of thigh and the left calf."
 */
export const sayExpected = (expected: readonly Stretch[]): string =>
  `Most stretched here: ${all.format(expected.map(({ place }) => inThe(place)))}.`;

/**
 * Why a place is stretched, with its numbers.
 *
 * @param stretch one of the expected
 * @param of the pose, and the side in front
 * @returns "right back of thigh: hamstrings, by front hip flexion, 68° of 73° (93 %)"
 */
export const sayStretch = ({ place, share, rule, report }: Stretch, of: PoseSide): string => {
  const [asked, has] = [report.askedDeg ?? 0, report.measuredDeg ?? 0];
  const joint = nameJoint(report, of);
  return `${place}: ${rule.muscles}, by ${joint}, ${asked.toFixed(0)}° of ${has.toFixed(0)}° (${(share * 100).toFixed(0)} %)`;
};

/**
 * Whether what was felt is where the set-up stretches.
 *
 * @param judgement of what was felt
 * @returns a sentence
 */
export function sayFeltJudgement({ kind, expected, elsewhere }: FeltJudgement): string {
  if (kind === 'agrees') return 'It is felt where this set-up stretches.';
  if (kind === 'nowhere') {
    return `This set-up stretches ${inThe(expected[0]?.place ?? '')}, and it is not felt there.`;
  }
  return `This set-up hardly stretches ${any.format(elsewhere.map(inThe))}.`;
}

/**
 * What would explain it: signs to look for, or what to measure again.
 *
 * @param judgement of what was felt
 * @param errors the likeliest first; none = measure again
 * @returns a sentence; empty when all agrees
 */
export function sayBehind(
  { kind, remeasure }: FeltJudgement,
  errors: readonly ErrorBehind[],
): string {
  if (kind === 'agrees') return '';
  if (errors.length > 0) {
    const signs = errors.map(({ error }) => findPoseError(error)?.words ?? error);
    return `Look for: ${signs.join(', ')}.`;
  }
  if (remeasure.length === 0)
    return 'No error of the set-up explains it. Go by what is felt, and ease.';
  // One place is asked after at a time, so all of them are of one side.
  const [first] = remeasure;
  const names = remeasure.map(({ measure }) => getProtocol(measure).name.toLowerCase());
  const where = first?.side == null ? '' : ` on the ${first.side}`;
  return `No error explains it. Measure again${where}: ${all.format(names)}.`;
}
