import type { ReactNode } from 'react';
import type { CueSheet, RankedOption } from '../../core/cues/cueSheet.ts';
import { capital } from '../../core/units/capital.ts';
import { cuesPart as say } from './words.ts';

/** The cues of a pose over the breaths of its hold, what is often seen, and what is easier and harder. */
export function CueSheetView({ sheet, children }: { sheet: CueSheet; children?: ReactNode }) {
  const { cues, plan, unsaid, tendencies, breaths, secondsABreath } = sheet;
  const isQuietAfter = (plan.at(-1)?.breath ?? 0) < breaths;
  return (
    <dl className="[&_dt]:mt-3 [&_dt]:font-bold">
      <dt>{say.withBreath}</dt>
      <dd>
        {say.hold(breaths, secondsABreath)}
        <ol className="my-1 grid gap-[0.2rem]">
          {plan.map(({ breath, on, words }) => (
            <li key={`${String(breath)} ${on}`} className="grid grid-cols-[7rem_1fr]">
              <span className="text-faint">{say.at(breath, on)}</span>
              {capital(words)}
            </li>
          ))}
        </ol>
        {isQuietAfter && say.thenQuiet}
        {unsaid.length > 0 && say.ifTime(unsaid.join('; '))}
      </dd>
      <dt>{say.gaze}</dt>
      <dd>{cues.gaze.join(' ')}</dd>
      <dt>{say.apart}</dt>
      <dd>{capital(cues.farPoints.join(say.and))}.</dd>
      <dt>{say.oftenSeen}</dt>
      <dd>
        <ul className="grid gap-[0.35rem]">
          {tendencies.map(({ seen, first, felt, times }) => (
            <li key={seen}>
              <strong>{seen}.</strong> {first} <span className="text-faint">{felt}</span>{' '}
              {times > 0 && <em>{say.noted(times)}</em>}
            </li>
          ))}
        </ul>
      </dd>
      <Options title={say.easier} options={sheet.easier} />
      <Options title={say.harder} options={sheet.harder} />
      {children}
    </dl>
  );
}

const Options = ({ title, options }: { title: string; options: readonly RankedOption[] }) => (
  <>
    <dt>{title}</dt>
    <dd>
      <ul>
        {options.map(({ words, fits }) => (
          <li key={words}>
            {capital(words)}
            {fits !== null && <span className="text-faint">, {fits ? say.fits : say.fitsNot}</span>}
          </li>
        ))}
      </ul>
    </dd>
  </>
);
