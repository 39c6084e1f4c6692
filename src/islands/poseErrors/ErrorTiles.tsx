import { useState } from 'react';
import type { RevisedRecord } from '../../core/person/person.ts';
import { POSE_ERRORS } from '../../core/poseErrors/catalogue.ts';
import { findPossibleErrors } from '../../core/poseErrors/possible.ts';
import { rankErrors } from '../../core/poseErrors/rank.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { USUAL_LEVEL, withLevel } from '../../core/poses/level.ts';
import { countErrors } from '../../core/sessions/countErrors.ts';
import { changeUsed, findUsed, noteChange, toggleError } from '../../core/sessions/logHold.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { NewEntry, Session } from '../../core/sessions/session.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { ErrorTile } from './ErrorTile.tsx';
import { ErrorView } from './ErrorView.tsx';

interface ErrorTilesProps {
  record: RevisedRecord;
  /** All of this person. */
  sessions: readonly Session[];
  hold: LoggedHold;
  /** As it was planned; null = it is not there yet. */
  setUp: SetUp | null;
  onNote: (entries: readonly NewEntry[]) => void;
}

/**
 * Every error that this pose can have, the likeliest first: one tap notes it, another takes it back;
 * any of them can be seen on this body, with what to change first.
 */
export function ErrorTiles({ record, sessions, hold, setUp, onNote }: ErrorTilesProps) {
  const { plan, notes } = hold;
  const [opened, setOpened] = useState<string | null>(null);
  const pose = findPose(plan.pose);
  const possible = findPossibleErrors(pose === null ? null : withLevel(pose, plan.level));
  // What was noted stays to be taken back, whatever is possible by the rules of today.
  const shown = POSE_ERRORS.filter(
    (each) => possible.includes(each) || notes.errors.includes(each.id),
  );
  const ranked = rankErrors(shown, setUp, countErrors(toHolds(sessions), plan.pose, plan.id));
  return (
    <>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(min(13.5rem,100%),1fr))] gap-2">
        {ranked.map((error) => (
          <ErrorTile
            key={error.id}
            error={error}
            isPressed={notes.errors.includes(error.id)}
            isOpen={opened === error.id}
            onPress={() => {
              onNote([toggleError(plan.id, notes, error.id)]);
            }}
            onSee={
              pose === null
                ? null
                : () => {
                    setOpened(opened === error.id ? null : error.id);
                  }
            }
          />
        ))}
      </div>
      {opened !== null && (
        <ErrorView
          key={opened}
          record={record}
          asked={{
            error: opened,
            pose: plan.pose,
            side: plan.side,
            rules: plan.rules,
            level: plan.level ?? USUAL_LEVEL,
            held: findUsed(plan, notes),
          }}
          onApply={(held) => {
            onNote([noteChange(plan.id, changeUsed(plan, notes, held))]);
          }}
          onUndo={() => {
            const { used, toSpareDeg, isAtBound } = notes;
            onNote([noteChange(plan.id, { used, toSpareDeg, isAtBound })]);
          }}
          onClose={() => {
            setOpened(null);
          }}
        />
      )}
    </>
  );
}
