import { BODY_PLACES } from '../../core/sessions/places.ts';
import { PAIN_KINDS } from '../../core/sessions/respond.ts';
import type { HoldNotes, Pain } from '../../core/sessions/session.ts';
import { BodyOutline } from './BodyOutline.tsx';

interface PainNoteProps {
  notes: HoldNotes;
  onChange: (change: Partial<HoldNotes>) => void;
}

const SCORES = Array.from({ length: 11 }, (_, i) => i);
const NOTHING: Pain = { score: 0, place: '', kind: '', rising: false };

/** Pain from 0 to 10; from 1 on, where and of what kind. A kind that is a stop sign is noted as one. */
export function PainNote({ notes, onChange }: PainNoteProps) {
  const { pain } = notes;
  const put = (change: Partial<Pain>): void => {
    onChange({ pain: { ...(pain ?? NOTHING), ...change } });
  };
  return (
    <fieldset className="pain">
      <legend>Pain</legend>
      <div className="pain-scores">
        {SCORES.map((score) => (
          <button
            key={score}
            type="button"
            aria-pressed={pain?.score === score}
            aria-label={`pain ${String(score)} of 10`}
            onClick={() => {
              if (pain?.score === score) onChange({ pain: null });
              else put({ score });
            }}
          >
            {score}
          </button>
        ))}
      </div>
      {pain !== null && pain.score > 0 && (
        <>
          <div className="word-choices">
            {PAIN_KINDS.map(({ id, sign }) => (
              <button
                key={id}
                type="button"
                className="word-toggle"
                aria-pressed={pain.kind === id}
                onClick={() => {
                  const kind = pain.kind === id ? '' : id;
                  onChange({
                    pain: { ...pain, kind },
                    ...(sign === null || kind === '' ? {} : { sign }),
                  });
                }}
              >
                {id}
              </button>
            ))}
            <button
              type="button"
              className="word-toggle"
              aria-pressed={pain.rising}
              onClick={() => {
                put({ rising: !pain.rising });
              }}
            >
              rising
            </button>
          </div>
          <div className="body-places">
            <BodyOutline />
            {BODY_PLACES.flatMap((row, i) =>
              row.map((place, j) =>
                place === null ? (
                  <span key={`${String(i)} ${String(j)}`} />
                ) : (
                  <button
                    key={place}
                    type="button"
                    className="word-toggle"
                    aria-pressed={pain.place === place}
                    onClick={() => {
                      put({ place: pain.place === place ? '' : place });
                    }}
                  >
                    {place}
                  </button>
                ),
              ),
            )}
          </div>
        </>
      )}
    </fieldset>
  );
}
