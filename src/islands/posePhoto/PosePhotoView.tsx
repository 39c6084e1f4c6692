import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Side } from '../../core/measures/protocol.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findPose, POSES } from '../../core/poses/catalogue/index.ts';
import { FITTING_LEVEL, withLevel } from '../../core/poses/level.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { checkPose } from '../../core/poseCheck/checkPose.ts';
import { listPoseMarks, type PhotoView } from '../../core/poseCheck/poseMarks.ts';
import { compareFrames } from '../../core/poseCheck/compareFrames.ts';
import { drawPosePicture } from '../../core/poseCheck/drawPosePicture.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { cmFromMetres } from '../../core/units/brands.ts';
import { readLength } from '../../core/units/readQuantity.ts';
import { loadFrozen } from '../../data/sessions.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { paintDrawing } from '../shared/photo/loadPicture.ts';
import { PictureChoice, PictureMarks } from '../shared/photo/PictureMarks.tsx';
import { usePicture } from '../shared/photo/usePicture.ts';
import { nameSide } from '../shared/poseWords.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useRecordWithHeld, useUnit } from '../shared/useRecord.ts';
import { Findings } from './Findings.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { FileField } from '../shared/ui/FileField.tsx';
import { FilmPlayer } from './film/FilmPlayer.tsx';
import { HoldChart } from './film/HoldChart.tsx';
import { useFilm } from './film/useFilm.ts';
import { filmPlayer, posePhotoView as say } from './words.ts';

const VIEWS = [
  ['side', say.longEdgeMatSquare],
  ['front', say.frontEdgeMat],
] as const;

/** A photograph of a held pose beside its plan: what differs by more than the picture's error. */
export function PosePhotoView() {
  const [query, setQuery] = useQuery();
  const personId = query.get('id');
  const record = useRecordWithHeld(personId);
  const sessionId = query.get('session');
  const setUps = useLiveQuery(
    () => loadFrozen(personId ?? '', sessionId ?? ''),
    [personId, sessionId],
  );
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const pose = findPose(query.get('pose') ?? '') ?? POSES[0]!;
  const side: Side = query.get('side') === 'left' ? 'left' : 'right';
  const level = pose.levels.find(({ id }) => id === query.get('level'))?.id ?? FITTING_LEVEL;
  const view: PhotoView = query.get('from') === 'front' ? 'front' : 'side';
  const hold = query.get('hold');
  const frozen = hold === null ? null : (setUps?.get(hold) ?? null);
  if (hold !== null && setUps === undefined) return <Missing loading />;
  return (
    <>
      <PersonHeader person={record.person} here="set-up" />
      <h1>{say.photoAgainstPlan(pose.name, nameSide(pose.id, side))}</h1>
      <SelectField
        label={say.takenFrom}
        value={view}
        options={VIEWS}
        onChange={(from) => {
          setQuery({ from });
        }}
      />
      <Checked
        key={`${pose.id} ${side} ${level} ${view}`}
        record={record}
        pose={withLevel(pose, frozen?.level ?? level)}
        side={side}
        level={frozen?.level ?? level}
        view={view}
        frozen={frozen}
      />
    </>
  );
}

interface CheckedProps {
  record: RevisedRecord;
  pose: PoseDefinition;
  side: Side;
  level: string | null;
  view: PhotoView;
  /** The set-up of the session that the picture belongs to; null = the one of today. */
  frozen: SetUp | null;
}

function Checked({ record, pose, side, level, view, frozen }: CheckedProps) {
  const unit = useUnit();
  const key = JSON.stringify([record.revision, pose.id, side, level]);
  const planned = useAnswer(frozen === null ? key : null, () =>
    planInWorker(key, record, pose.id, side, {}, level),
  );
  const result = frozen === null ? planned : ({ ok: true, value: frozen } as const);
  const [known, setKnown] = useState('183');
  const state = usePicture();
  const film = useFilm(state);
  const { opened, marks } = state;
  const openDrawn = async (): Promise<void> => {
    // Someone who goes to the end of what was measured stands in for what was really done.
    const rules = { depth: 'deepest', limitMarginSem: 0 } as const;
    const drawnKey = JSON.stringify([key, rules]);
    const deepest = await planInWorker(drawnKey, record, pose.id, side, rules, level);
    const drawn = deepest.ok ? drawPosePicture(pose, deepest.value, view) : null;
    if (drawn !== null) state.open(await paintDrawing(drawn.svg, drawn.width, drawn.height));
  };
  if (result === null) return <p role="status">{say.workingOutSetUp}</p>;
  if (!result.ok || result.value.status === 'failed') {
    return <ProblemList problems={result.ok ? result.value.problems : result.problems} />;
  }
  const plan = listPoseMarks(view);
  const length = readLength(known, unit, say.knownLength);
  const knownCm = length.ok ? cmFromMetres(length.value) : null;
  const findings =
    opened === null ? null : checkPose(pose, result.value, view, opened.picture, marks, knownCm);
  const held = compareFrames(pose, result.value, view, film.frames, knownCm);
  return (
    <section
      className="[&_input[type=file]]:w-auto"
      data-testid="photo"
      aria-label={say.photoAgainstPlanWord}
    >
      <div className="flex flex-wrap items-end gap-x-8">
        <PictureChoice state={state} onDrawn={() => void openDrawn()} />
        <FileField
          label={filmPlayer.choose}
          accept="video/*"
          onChoose={(file) => void film.openFile(file)}
        />
      </div>
      <p className="text-faint">{say.standWellBackCamera}</p>
      <ProblemList problems={[...state.problems, ...film.problems]} />
      <FilmPlayer state={film} />
      {opened !== null && (
        <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-8 max-tablet:grid-cols-[minmax(0,1fr)]">
          <div>
            <PictureMarks state={state} plan={plan} />
          </div>
          <div>
            {view === 'side' && (
              <Field label={say.knownLengthAlongMat}>
                <input
                  value={known}
                  aria-invalid={!length.ok}
                  onChange={(event) => {
                    setKnown(event.target.value);
                  }}
                />
                {!length.ok && <ProblemList problems={length.problems} />}
              </Field>
            )}
            <Findings findings={findings} />
            <HoldChart quantities={held} />
          </div>
        </div>
      )}
    </section>
  );
}
