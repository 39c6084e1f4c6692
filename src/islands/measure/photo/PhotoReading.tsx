import { toTenths } from '../../../core/units/rounding.ts';
import { useState } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import {
  DEMO_STICK_CM,
  drawDemoPicture,
} from '../../../core/drawing/demonstration/drawDemoPicture.ts';
import { findDrawnBody } from '../../../core/drawing/demonstration/drawnBody.ts';
import { checkValue } from '../../../core/measures/checkReading.ts';
import type { Protocol } from '../../../core/measures/protocol.ts';
import type { Reading } from '../../../core/measures/reading.ts';
import type { PersonRecord } from '../../../core/person/person.ts';
import {
  needsLine,
  needsScale,
  planMarks,
  readMarks,
  type LineKind,
} from '../../../core/photo/photoMarks.ts';
import { cmFromMetres } from '../../../core/units/brands.ts';
import { readLength } from '../../../core/units/readQuantity.ts';
import { deletePicture, listPictures, savePicture } from '../../../data/pictures.ts';
import { saveReading } from '../../../data/readings.ts';
import { ProblemList } from '../../shared/ProblemList.tsx';
import { useUnit } from '../../shared/useRecord.ts';
import { writeDate, writeValue } from '../../shared/writeValue.ts';
import type { HowTaken } from '../HowTaken.tsx';
import { questionTaken } from '../questionTaken.ts';
import { findNextSlot, type Slot } from '../slots.ts';
import { paintDrawing, type Picture } from '../../shared/photo/loadPicture.ts';
import { PictureChoice, PictureMarks } from '../../shared/photo/PictureMarks.tsx';
import { usePicture } from '../../shared/photo/usePicture.ts';
import { useWrite } from '../../shared/useWrite.tsx';
import { WordSelect } from '../../shared/ui/WordSelect.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Button, WordButton } from '../../shared/ui/Button.tsx';
import { photoReading as text } from '../words.ts';

interface PhotoReadingProps {
  record: PersonRecord;
  protocol: Protocol;
  slots: readonly (readonly Slot[])[];
  how: HowTaken;
}

/** A reading off a picture: open it, point at the landmarks, take the number with its error. */
export function PhotoReading({ record, protocol, slots, how }: PhotoReadingProps) {
  const unit = useUnit();
  const [known, setKnown] = useState(String(DEMO_STICK_CM));
  const [lineKind, setLineKind] = useState<LineKind>('plumb');
  const [said, setSaid] = useState('');
  const state = usePicture(() => {
    setSaid('');
  });
  const { opened, marks } = state;
  const plan = planMarks(protocol, lineKind) ?? [];
  const { intake, id: personId } = record.person;

  const openDemo = async (): Promise<void> => {
    const { svg, width, height } = drawDemoPicture(findDrawnBody(record.readings), protocol);
    state.open(await paintDrawing(svg, width, height));
  };

  const length = needsScale(protocol) ? readLength(known, unit, text.knownLength) : null;
  const knownCm = length?.ok === true ? cmFromMetres(length.value) : null;
  const value =
    opened === null ? null : readMarks(protocol, opened.picture, marks, { knownCm, lineKind });
  const next = findNextSlot(slots);
  const say = (each: number): string => writeValue(toTenths(each), protocol.unit, unit);
  const { write, told } = useWrite();

  const take = async (): Promise<void> => {
    if (value === null || next === null || opened === null) return;
    const number = toTenths(value.value);
    const found = checkValue(number, protocol, protocol.name);
    state.tell(found);
    if (found.some((each) => each.severity === 'error')) return;
    const takenAt = new Date().toISOString();
    if (intake.consentToPictures !== null) {
      await savePicture({
        ...opened.picture,
        id: opened.id,
        personId,
        measure: protocol.id,
        takenAt,
      });
    }
    const taken: Reading = {
      id: crypto.randomUUID(),
      measure: protocol.id,
      side: next.side,
      value: number,
      unit: protocol.unit,
      raw: { picture: opened.id, marks, knownCm, error95: toTenths(value.error95) },
      instrument: 'photo',
      posture: protocol.posture,
      state: how.state,
      takenBy: how.takenBy,
      takenAt,
      note: '',
    };
    const question = questionTaken(record, taken);
    if (question !== null) state.tell([question]);
    await saveReading(personId, taken);
    state.clear();
    setSaid(text.savedMarkAgainFor(next.side ?? '', say(number)).trim());
  };
  return (
    <section
      className="[&_input[type=file]]:w-auto"
      data-testid="photo"
      aria-label={text.readingFromPhoto}
    >
      {told}
      <PictureChoice state={state} onDrawn={() => void openDemo()} />
      <p className="text-faint">
        {text.standWellBackSquare(
          intake.consentToPictures === null
            ? text.notKeptBecauseThey
            : text.withoutPlaceDateRotation,
        )}
      </p>
      <ProblemList problems={state.problems} />
      {opened !== null && (
        <>
          <PictureMarks state={state} plan={plan} />
          {needsLine(protocol) && (
            <label>
              {text.straightenedBy}
              <WordSelect
                value={lineKind}
                onChange={(event) => {
                  setLineKind(event.target.value as LineKind);
                }}
              >
                <option value="plumb">{text.somethingUpright}</option>
                <option value="floor">{text.floorLine}</option>
              </WordSelect>
            </label>
          )}
          {needsScale(protocol) && (
            <Field label={text.knownLength}>
              <input
                value={known}
                aria-invalid={length?.ok === false}
                onChange={(event) => {
                  setKnown(event.target.value);
                }}
              />
              {length?.ok === false && <ProblemList problems={length.problems} />}
            </Field>
          )}
          <div className="my-4 flex flex-wrap gap-3" role="status">
            {value !== null && (
              <strong
                className="font-serif text-[1.6rem] leading-[normal] font-medium normal-nums"
                data-testid="value"
              >
                {say(value.value)} <span className="text-faint">± {say(value.error95)}</span>
              </strong>
            )}
            <Button
              disabled={value === null || next === null}
              onClick={() => {
                write(take);
              }}
            >
              {next === null
                ? text.allReadingsSaved
                : text.save(next.side ?? '', ['first', 'second', 'third'][next.row] ?? '')}
            </Button>
            {said}
          </div>
          {value !== null && <p className="text-faint">{text.suchPhotosLieWithin}</p>}
        </>
      )}
      <KeptPictures personId={personId} measure={protocol.id} onOpen={state.open} />
    </section>
  );
}

interface KeptPicturesProps {
  personId: string;
  measure: string;
  onOpen: (picture: Picture, id: string) => void;
}

function KeptPictures({ personId, measure, onOpen }: KeptPicturesProps) {
  const { write, told } = useWrite();
  const rows = useLiveQuery(() => listPictures(personId, measure), [personId, measure]) ?? [];
  if (rows.length === 0) return null;
  return (
    <details>
      <summary>{rows.length === 1 ? text.onePictureKept : text.picturesKept(rows.length)}</summary>
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            {writeDate(row.takenAt)}{' '}
            <WordButton
              onClick={() => {
                onOpen(row, row.id);
              }}
            >
              {text.open}
            </WordButton>{' '}
            <WordButton
              onClick={() => {
                write(() => deletePicture(row.id));
              }}
            >
              {text.deletePictureKeepIts}
            </WordButton>
          </li>
        ))}
      </ul>
      {told}
    </details>
  );
}
