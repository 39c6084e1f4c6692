import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { ErrorAsked } from '../../core/poseErrors/explainError.ts';
import { findPossibleErrors } from '../../core/poseErrors/possible.ts';
import { rankErrors } from '../../core/poseErrors/rank.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { withLevel } from '../../core/poses/level.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { countErrors } from '../../core/sessions/countErrors.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { listSessions } from '../../data/sessions.ts';
import { ErrorTile } from './ErrorTile.tsx';
import { ErrorView } from './ErrorView.tsx';
import { errorsPart as say } from './words.ts';

interface ErrorsPartProps {
  record: RevisedRecord;
  pose: PoseDefinition;
  /** As it is recommended. */
  planned: SetUp;
  asked: Omit<ErrorAsked, 'error'>;
  /** Holds these numbers by hand. */
  onHold: (held: AsFound) => void;
}

/** The errors to recognise in a set-up, the likeliest first, each drawn on this body when it is opened. */
export function ErrorsPart({ record, pose, planned, asked, onHold }: ErrorsPartProps) {
  /** What was held before the last change. */
  const [before, setBefore] = useState(asked.held);
  const [opened, setOpened] = useState<string | null>(null);
  const sessions = useLiveQuery(() => listSessions(record.person.id), [record.person.id]);
  const possible = findPossibleErrors(withLevel(pose, planned.level));
  const seen = countErrors(toHolds(sessions ?? []), pose.id, null);
  return (
    <>
      <p className="text-faint">{say.order}</p>
      {opened !== null && (
        <ErrorView
          key={opened}
          record={record}
          asked={{ ...asked, error: opened }}
          onApply={(held) => {
            setBefore(asked.held);
            onHold(held);
          }}
          onUndo={() => {
            onHold(before);
          }}
          onClose={() => {
            setOpened(null);
          }}
        />
      )}
      <div className="grid grid-cols-[repeat(auto-fill,minmax(min(12rem,45%),1fr))] gap-2">
        {rankErrors(possible, planned, seen).map((error) => (
          <ErrorTile
            key={error.id}
            error={error}
            isPressed={null}
            isOpen={opened === error.id}
            onPress={() => {
              setOpened(opened === error.id ? null : error.id);
            }}
            onSee={null}
          />
        ))}
      </div>
    </>
  );
}
