import { useState } from 'react';
import { drawLoads } from '../../core/drawing/loads.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { withLevel } from '../../core/poses/level.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { HeldRequest } from '../../core/whatIf/planMoved.ts';
import { compareLoadsInWorker } from '../../workers/setUpClient.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { EaseLoad } from './EaseLoad.tsx';
import { LoadsTable } from './LoadsTable.tsx';
import { LoadVersions } from './LoadVersions.tsx';
import { loadsPart as say } from './words.ts';

interface LoadsPartProps {
  record: RevisedRecord;
  pose: PoseDefinition;
  /** As it is now, with what is held by hand. */
  setUp: SetUp;
  asked: HeldRequest;
  /** Holds these numbers by hand. */
  onHold: (held: AsFound) => void;
}

/** What gravity asks of a set-up, drawn and in numbers; another version over it, and what eases a sore joint. */
export function LoadsPart({ record, pose, setUp, asked, onHold }: LoadsPartProps) {
  const unit = useUnit();
  const [overlaid, setOverlaid] = useState<string | null>(null);
  const versions = useAnswer(JSON.stringify([record.revision, asked]), () =>
    compareLoadsInWorker(record, asked),
  );
  const chosen =
    versions?.ok === true
      ? (versions.value.versions.find(({ id }) => id === overlaid) ?? null)
      : null;
  const drawing = drawLoads(withLevel(pose, setUp.level), setUp, unit, chosen?.setUp ?? null);
  if (drawing === null) return <p>{say.none}</p>;
  return (
    <div data-testid="loads">
      <p className="text-faint">{say.lead}</p>
      <SheetDrawing drawing={drawing} size="medium" />
      <LoadVersions
        answer={versions}
        chosen={chosen}
        onChoose={(version) => {
          setOverlaid(version?.id ?? null);
        }}
      />
      <EaseLoad record={record} setUp={setUp} asked={asked} onHold={onHold} />
      <LoadsTable setUp={setUp} />
    </div>
  );
}
