import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { makeCueSheet, type CueSheet } from '../../core/cues/cueSheet.ts';
import { toCues } from '../../core/cues/cues.ts';
import { writeCueText } from '../../core/cues/cueText.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { findAnyPose } from '../../core/poses/anyPose.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { countErrors } from '../../core/sessions/countErrors.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { listSessions } from '../../data/sessions.ts';
import { planVersionsInWorker } from '../../workers/setUpClient.ts';
import { usePace } from '../shared/usePace.ts';
import { saveFile } from '../shared/saveFile.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { CueEditor } from './CueEditor.tsx';
import { CueSheetView } from './CueSheetView.tsx';
import { useOwnCues } from './useOwnCues.ts';
import { cuesPart as say } from './words.ts';

interface CuesPartProps {
  record: RevisedRecord;
  pose: PoseDefinition | LyingPose;
  /** The house’s and the pose’s own rules. */
  rules: Partial<HouseRules>;
  setUp: SetUp;
}

/** What a teacher says in a pose: ranked for this person, over the breaths of the hold, and editable. */
export function CuesPart({ record, pose, rules, setUp }: CuesPartProps) {
  const [isEditing, setIsEditing] = useState(false);
  const { id: personId } = record.person;
  const own = useOwnCues();
  const [pace] = usePace(personId);
  const sessions = useLiveQuery(() => listSessions(personId), [personId]);
  const hasLevels = 'starts' in pose && pose.levels.length > 1;
  const key = hasLevels ? JSON.stringify([record.revision, pose.id, rules, setUp.side]) : null;
  const versions = useAnswer(key, () => planVersionsInWorker(record, pose.id, setUp.side, rules));
  if (own === undefined || sessions === undefined) return null;
  const ownText = own.texts[pose.id] ?? null;
  const sheet = makeCueSheet({
    pose: pose.id,
    setUp,
    seen: countErrors(toHolds(sessions), pose.id, null),
    versions: versions?.ok === true ? versions.value.versions : [],
    breaths: null,
    secondsABreath: pace,
    ownText,
  });
  if (sheet === null) return null;
  const paper = new URLSearchParams({
    id: personId,
    poses: pose.id,
    kind: 'cues',
    side: setUp.side,
  });
  return (
    <div data-testid="cues">
      <p className="flex flex-wrap gap-x-4">
        <WordButton
          aria-expanded={isEditing}
          onClick={() => {
            setIsEditing(!isEditing);
          }}
        >
          {isEditing ? say.close : say.edit}
        </WordButton>
        <a className="min-h-11 content-center" href={`/paper?${paper.toString()}`}>
          {say.onPaper}
        </a>
        <WordButton
          onClick={() => {
            saveFile(`cues ${pose.id}.txt`, writeCueText(sheet.cues), 'text/plain');
          }}
        >
          {say.asText}
        </WordButton>
      </p>
      {isEditing && (
        <CueEditor
          teacher={own.teacher}
          pose={pose.id}
          cues={toCues(pose.guidance)}
          ownText={ownText}
        />
      )}
      <p className="text-faint">
        {sheet.isOwn && `${say.ownWords(own.teacher)} `}
        {sayMissing(sheet)}
      </p>
      <CueSheetView sheet={sheet}>
        <dt>{say.leadsTo}</dt>
        <dd>{pose.transitions.map(({ to }) => findAnyPose(to)?.name ?? to).join(', ')}.</dd>
      </CueSheetView>
    </div>
  );
}

/** What the sheet still needs; “Complete.” where that is nothing. */
function sayMissing({ missing }: CueSheet): string {
  if (missing.length === 0) return say.complete;
  const list = new Intl.ListFormat('en', { type: 'conjunction' });
  return say.isMissing(list.format(missing.map((each) => say.missing(each.kind, each.missing))));
}
