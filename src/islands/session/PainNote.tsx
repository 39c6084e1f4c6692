import { BODY_PLACES } from '../../core/sessions/places.ts';
import {
  togglePainKind,
  togglePainPlace,
  toggleRising,
  toggleScore,
} from '../../core/sessions/logHold.ts';
import { PAIN_KINDS } from '../../core/sessions/respond.ts';
import type { HoldNotes } from '../../core/sessions/session.ts';
import { BodyOutline } from '../shared/BodyOutline.tsx';
import { Toggle } from '../shared/ui/Button.tsx';
import { painNote as say } from './words.ts';

interface PainNoteProps {
  notes: HoldNotes;
  onChange: (change: Partial<HoldNotes>) => void;
}

const SCORES = Array.from({ length: 11 }, (_, i) => i);

/** Pain from 0 to 10; from 1 on, where and of what kind. A kind that is a stop sign is noted as one. */
export function PainNote({ notes, onChange }: PainNoteProps) {
  const { pain } = notes;
  return (
    <fieldset className="mb-4 [&_legend]:font-serif [&_legend]:text-[1.1rem]">
      <legend>{say.pain}</legend>
      <div className="mb-2 grid grid-cols-[repeat(11,1fr)] gap-[3px]">
        {SCORES.map((score) => (
          <Toggle
            size="narrow"
            key={score}
            type="button"
            aria-pressed={pain?.score === score}
            aria-label={say.painOf(score)}
            onClick={() => {
              onChange(toggleScore(notes, score));
            }}
          >
            {score}
          </Toggle>
        ))}
      </div>
      {pain !== null && pain.score > 0 && (
        <>
          <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
            {PAIN_KINDS.map(({ id }) => (
              <Toggle
                key={id}
                aria-pressed={pain.kind === id}
                onClick={() => {
                  onChange(togglePainKind(notes, id));
                }}
              >
                {id}
              </Toggle>
            ))}
            <Toggle
              aria-pressed={pain.rising}
              onClick={() => {
                onChange(toggleRising(notes));
              }}
            >
              {say.rising}
            </Toggle>
          </div>
          <div className="relative mt-2 grid grid-cols-3 gap-1">
            <BodyOutline />
            {BODY_PLACES.flatMap((row, i) =>
              row.map((place, j) =>
                place === null ? (
                  <span key={`${String(i)} ${String(j)}`} />
                ) : (
                  <Toggle
                    size="on a picture"
                    key={place}
                    type="button"
                    aria-pressed={pain.place === place}
                    onClick={() => {
                      onChange(togglePainPlace(notes, place));
                    }}
                  >
                    {place}
                  </Toggle>
                ),
              ),
            )}
          </div>
        </>
      )}
    </fieldset>
  );
}
