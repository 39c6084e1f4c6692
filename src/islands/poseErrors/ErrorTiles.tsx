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
  /** Holds to come on the same feet: a change of stance is theirs too. */
  onSameFeet?: readonly LoggedHold[];
  onNote: (entries: readonly NewEntry[]) => void;
}

interface ControlledProps extends ErrorTilesProps {
  /** The one that is seen on this body; null = none. */
  opened: string | null;
  onOpen: (error: string | null) => void;
}

/** The set-up of a hold, to be solved again. */
const askAgain = ({ plan, notes }: LoggedHold) => ({
  pose: plan.pose,
  rules: plan.rules,
  level: plan.level ?? USUAL_LEVEL,
  held: findUsed(plan, notes),
});

const toUndo = ({ plan, notes: { used, toSpareDeg, isAtBound } }: LoggedHold): NewEntry =>
  noteChange(plan.id, { used, toSpareDeg, isAtBound });

/**
 * Every error that this pose can have, the likeliest first: one tap notes it, another takes it back;
 * any of them can be seen on this body, with what to change first.
 */
export function ControlledErrorTiles({
  record,
  sessions,
  hold,
  setUp,
  onSameFeet = [],
  opened,
  onOpen,
  onNote,
}: ControlledProps) {
  const { plan, notes } = hold;
  /** What takes the last change back. */
  const [before, setBefore] = useState<readonly NewEntry[]>([]);
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
                    onOpen(opened === error.id ? null : error.id);
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
            side: plan.side,
            ...askAgain(hold),
            onSameFeet: onSameFeet.map((each) => ({ ...askAgain(each), hold: each.plan.id })),
          }}
          onApply={(held, along) => {
            setBefore([hold, ...onSameFeet].map(toUndo));
            onNote([
              noteChange(plan.id, changeUsed(plan, notes, held)),
              ...onSameFeet.flatMap((each) => {
                const changed = along.find((own) => own.hold === each.plan.id);
                return changed === undefined
                  ? []
                  : [noteChange(each.plan.id, changeUsed(each.plan, each.notes, changed.held))];
              }),
            ]);
          }}
          onUndo={() => {
            onNote(before);
          }}
          onClose={() => {
            onOpen(null);
          }}
        />
      )}
    </>
  );
}

/** The same, where nothing else opens an error. */
export function ErrorTiles(props: ErrorTilesProps) {
  const [opened, setOpened] = useState<string | null>(null);
  return <ControlledErrorTiles {...props} opened={opened} onOpen={setOpened} />;
}
