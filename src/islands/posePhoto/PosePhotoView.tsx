import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { Side } from '../../core/measures/protocol.ts';
import type { PersonRecord } from '../../core/person/person.ts';
import { findPose, POSES } from '../../core/poses/catalogue/index.ts';
import { withLevel } from '../../core/poses/level.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { checkPose, listPoseMarks, type PhotoView } from '../../core/poseCheck/checkPose.ts';
import { drawPosePicture } from '../../core/poseCheck/drawPosePicture.ts';
import type { Pixel } from '../../core/photo/photoReading.ts';
import type { Problem } from '../../core/problems/problem.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { cmFromMetres } from '../../core/units/brands.ts';
import { readLength } from '../../core/units/readQuantity.ts';
import { loadFrozen } from '../../data/sessions.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonSentence } from '../shared/PersonSentence.tsx';
import { loadPicture, paintDrawing, type Picture } from '../shared/photo/loadPicture.ts';
import { MarkedPicture } from '../shared/photo/MarkedPicture.tsx';
import { nameSide } from '../shared/poseWords.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord, useUnit } from '../shared/useRecord.ts';
import { Findings } from './Findings.tsx';

/** A photograph of a held pose beside its plan: what differs by more than the picture's error. */
export function PosePhotoView() {
  const [query, setQuery] = useQuery();
  const personId = query.get('id');
  const record = useRecord(personId);
  const sessionId = query.get('session');
  const setUps = useLiveQuery(
    () => loadFrozen(personId ?? '', sessionId ?? ''),
    [personId, sessionId],
  );
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const pose = findPose(query.get('pose') ?? '') ?? POSES[0]!;
  const side: Side = query.get('side') === 'left' ? 'left' : 'right';
  const level = pose.levels.find(({ id }) => id === query.get('level'))?.id ?? null;
  const view: PhotoView = query.get('from') === 'front' ? 'front' : 'side';
  const hold = query.get('hold');
  const frozen = hold === null ? null : (setUps?.get(hold) ?? null);
  if (hold !== null && setUps === undefined) return <Missing loading />;
  return (
    <>
      <PersonSentence person={record.person} here="set-up" />
      <h1>
        {pose.name}, {nameSide(pose.id, side)}: photo against plan
      </h1>
      <label className="field">
        <span>Taken from</span>
        <select
          value={view}
          onChange={(event) => {
            setQuery({ from: event.target.value });
          }}
        >
          <option value="side">the long edge of the mat, square to it</option>
          <option value="front">the front edge of the mat</option>
        </select>
      </label>
      <Checked
        key={`${pose.id} ${side} ${level ?? ''} ${view}`}
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
  record: PersonRecord;
  pose: PoseDefinition;
  side: Side;
  level: string | null;
  view: PhotoView;
  /** The set-up of the session that the picture belongs to; null = the one of today. */
  frozen: SetUp | null;
}

interface Opened {
  readonly picture: Picture;
  readonly url: string;
}

function Checked({ record, pose, side, level, view, frozen }: CheckedProps) {
  const unit = useUnit();
  const key = JSON.stringify([record, pose.id, side, level]);
  const planned = useAnswer(frozen === null ? key : null, () =>
    planInWorker(key, record, pose.id, side, {}, level),
  );
  const result = frozen === null ? planned : ({ ok: true, value: frozen } as const);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [marks, setMarks] = useState<Readonly<Record<string, Pixel>>>({});
  const [active, setActive] = useState(0);
  const [known, setKnown] = useState('183');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const url = opened?.url ?? null;
  useEffect(
    () => () => {
      if (url !== null) URL.revokeObjectURL(url);
    },
    [url],
  );
  const open = (picture: Picture): void => {
    setOpened({ picture, url: URL.createObjectURL(picture.blob) });
    setMarks({});
    setActive(0);
    setProblems([]);
  };
  const openFile = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    const loaded = await loadPicture(file);
    if (loaded.ok) open(loaded.value);
    else setProblems(loaded.problems);
  };
  const openDrawn = async (): Promise<void> => {
    // The deepest set-up stands in for what someone really did.
    const rules = { depth: 'deepest' } as const;
    const drawnKey = JSON.stringify([key, rules]);
    const deepest = await planInWorker(drawnKey, record, pose.id, side, rules, level);
    const drawn = deepest.ok ? drawPosePicture(pose, deepest.value, view) : null;
    if (drawn !== null) open(await paintDrawing(drawn.svg, drawn.width, drawn.height));
  };
  if (result === null) return <p role="status">Working out the set-up …</p>;
  if (!result.ok || result.value.status === 'failed') {
    return <ProblemList problems={result.ok ? result.value.problems : result.problems} />;
  }
  const plan = listPoseMarks(view);
  const length = readLength(known, unit, 'Known length');
  const knownCm = length.ok ? cmFromMetres(length.value) : null;
  const findings =
    opened === null ? null : checkPose(pose, result.value, view, opened.picture, marks, knownCm);
  const mark = plan[active];
  return (
    <section className="photo" aria-label="Photo against plan">
      <p>
        <label>
          Picture{' '}
          <input
            type="file"
            accept="image/*"
            onChange={(event) => void openFile(event.target.files?.[0])}
          />
        </label>{' '}
        <button type="button" className="word-button" onClick={() => void openDrawn()}>
          or try it on a drawn one
        </button>
      </p>
      <p className="quiet">
        Stand well back, the camera at the height of the pelvis and square to the mat. The picture
        stays in this browser and is not kept.
      </p>
      <ProblemList problems={problems} />
      {opened !== null && (
        <div className="pose-photo">
          <div>
            <p className="live-words" aria-live="polite">
              {mark === undefined
                ? 'Every mark is placed; each can still be moved.'
                : `${String(active + 1)} of ${String(plan.length)}. Point at ${mark.words}.`}
            </p>
            <MarkedPicture
              picture={opened.picture}
              url={opened.url}
              plan={plan}
              marks={marks}
              active={mark?.id ?? null}
              onActive={(id) => {
                setActive(plan.findIndex((each) => each.id === id));
              }}
              onMove={(id, to) => {
                setMarks((now) => ({ ...now, [id]: to }));
              }}
              onPlaced={() => {
                const next = plan.findIndex(({ id }) => marks[id] === undefined && id !== mark?.id);
                setActive(next === -1 ? plan.length : next);
              }}
            />
          </div>
          <div>
            {view === 'side' && (
              <label className="field">
                <span>Known length, along the mat</span>
                <input
                  value={known}
                  aria-invalid={!length.ok}
                  onChange={(event) => {
                    setKnown(event.target.value);
                  }}
                />
                {!length.ok && <ProblemList problems={length.problems} />}
              </label>
            )}
            <Findings findings={findings} />
          </div>
        </div>
      )}
    </section>
  );
}
