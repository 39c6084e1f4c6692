import type { BreathAction, Guidance } from '../../core/poses/guidance.ts';
import { findAnyPose } from '../../core/poses/anyPose.ts';
import type { TransitionDefinition } from '../../core/poses/transition.ts';
import { guidanceView as text } from './words.ts';

interface GuidanceViewProps {
  guidance: Guidance;
  transitions: readonly TransitionDefinition[];
}

/** What a teacher says and watches while the pose is held, and where it may lead. */
export function GuidanceView({ guidance, transitions }: GuidanceViewProps) {
  const { gaze, farPoints, tendencies, easier, harder, inhale, exhale, breaths } = guidance;
  const names = transitions.map(({ to }) => findAnyPose(to)?.name ?? to);
  return (
    <details className="border-t border-hair print:in-[aside]:hidden">
      <summary>{text.whileHeld}</summary>
      <dl className="[&_dt]:mt-3 [&_dt]:font-bold">
        <dt>{text.breaths(breaths)}</dt>
        <dd>
          {text.gazeReachAwayFrom(
            guidance.effort === 'active' ? text.active : text.resting,
            gaze.charAt(0).toLowerCase() + gaze.slice(1),
            capital(farPoints[0]),
            farPoints[1],
          )}
        </dd>
        <dt>{text.inWord}</dt>
        <dd>{capital(inhale.map(say).join(', '))}.</dd>
        <dt>{text.out}</dt>
        <dd>{capital(exhale.map(say).join(', '))}.</dd>
        <dt>{text.oftenSeen}</dt>
        <dd>
          <ul className="grid gap-[0.35rem]">
            {tendencies.map(({ seen, first, felt }) => (
              <li key={seen}>
                <strong>{seen}.</strong> {first} <span className="text-faint">{felt}</span>
              </li>
            ))}
          </ul>
        </dd>
        <dt>{text.easier}</dt>
        <dd>{capital(easier.join('; '))}.</dd>
        <dt>{text.harder}</dt>
        <dd>{capital(harder.join('; '))}.</dd>
        <dt>{text.leadsTo}</dt>
        <dd>{names.join(', ')}.</dd>
      </dl>
    </details>
  );
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
/** “Press the heels down”, but “let the shoulders sink down”. */
const say = ([verb, part, direction]: BreathAction): string =>
  verb.startsWith('let ')
    ? text.letWord(part, verb.slice(4), direction)
    : `${verb} ${part} ${direction}`;
