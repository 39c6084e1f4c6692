import { useEffect, useRef } from 'react';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import { saySide } from '../../core/poses/saySide.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { findSettingKind } from '../../core/setup/settingKinds.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { listWalk, type WalkStep } from '../../core/recipe/walk.ts';
import { BACK_KEYS, NEXT_KEYS, PRESS_KEYS } from '../shared/pedal.ts';
import { useUnit } from '../shared/useRecord.ts';
import { MovedSentence } from './Moving.tsx';
import type { MovedSetUp } from './useMoved.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { largeStepView as say } from './words.ts';

interface LargeStepViewProps {
  pose: PoseDefinition | LyingPose;
  setUp: SetUp;
  moved: MovedSetUp;
  step: number;
  onStep: (step: number) => void;
  onClose: () => void;
}

/** The set-up to be read from across the room: one thing at a time, moved on by any key a pedal sends. */
export function LargeStepView({ pose, setUp, moved, step, onStep, onClose }: LargeStepViewProps) {
  const unit = useUnit();
  const dialog = useRef<HTMLDialogElement>(null);
  const next = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    const element = dialog.current;
    if (element?.open === false) element.showModal();
    // A dialog would take the hand to “close” first.
    next.current?.focus();
  }, []);
  const steps = listWalk(pose, setUp, unit);
  const at = Math.min(Math.max(0, step), steps.length - 1);
  const current = steps[at];
  const lead = (by: number): void => {
    onStep(Math.min(Math.max(0, at + by), steps.length - 1));
  };
  const held =
    current?.kind === 'number' ? findSettingKind(current.line.setting.id)?.byHand : undefined;
  const value = current?.kind === 'number' ? current.line.setting.value : 0;
  const correct = (direction: 1 | -1): void => {
    if (held === undefined) return;
    const { key, step: by } = held;
    moved.move((now) => ({ [key]: (now[key] ?? value) + direction * by }), true);
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const isOnButton = event.target instanceof HTMLButtonElement;
    if (NEXT_KEYS.includes(event.key)) lead(1);
    else if (BACK_KEYS.includes(event.key)) lead(-1);
    else if (event.key === 'ArrowUp') correct(1);
    else if (event.key === 'ArrowDown') correct(-1);
    else if (event.key === 'Backspace') moved.undo();
    else if (PRESS_KEYS.includes(event.key) && !isOnButton) lead(1);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  // On the window: a button that is gone takes the focus out of the dialog with it.
  useEffect(() => {
    window.addEventListener('keydown', onKey, { capture: true });
    return () => {
      window.removeEventListener('keydown', onKey, { capture: true });
    };
  });
  if (current === undefined) return null;
  return (
    <dialog
      ref={dialog}
      className="m-0 h-dvh max-h-none w-screen max-w-none border-0 bg-paper px-12 py-6 text-[1.75rem] leading-[1.3] text-ink open:flex open:flex-col open:gap-4 max-phone:p-4 max-phone:text-[1.5rem] [&_h2]:mt-0 [&_h2]:mb-4 [&_h2]:text-[4rem] [&_header]:flex [&_header]:flex-wrap [&_header]:items-baseline [&_header]:gap-x-10 [&_header_p]:m-0 [&_header_button]:ml-auto"
      aria-label={say.oneThingTime(pose.name)}
      onClose={onClose}
    >
      <header>
        <p>
          {pose.name}, {'starts' in pose ? saySide(pose, setUp.side) : say.leg(setUp.side)}
        </p>
        <p>{say.of(at + 1, steps.length)}</p>
        <WordButton onClick={onClose}>{say.close}</WordButton>
      </header>
      <div
        className="flex-1 content-center overflow-y-auto"
        data-testid="large-step"
        aria-live="polite"
      >
        <StepView step={current} />
        <MovedSentence moved={moved} />
      </div>
      {held !== undefined && (
        <div className="flex gap-4 *:min-h-21 *:flex-1 *:cursor-pointer *:rounded-[10px] *:border-2 *:border-ink *:bg-sheet *:disabled:cursor-default *:disabled:opacity-45">
          <button
            type="button"
            onClick={() => {
              correct(-1);
            }}
          >
            {say.less}
          </button>
          <button
            type="button"
            onClick={() => {
              correct(1);
            }}
          >
            {say.more}
          </button>
          <button type="button" disabled={!moved.canUndo} onClick={moved.undo}>
            {say.undo}
          </button>
        </div>
      )}
      <div className="flex gap-4 *:min-h-21 *:flex-1 *:cursor-pointer *:rounded-[10px] *:border-2 *:border-ink *:bg-sheet *:disabled:cursor-default *:disabled:opacity-45">
        <button
          type="button"
          disabled={at === 0}
          onClick={() => {
            lead(-1);
          }}
        >
          {say.back}
        </button>
        <button
          type="button"
          ref={next}
          className="flex-2! bg-ink! text-sheet"
          disabled={at === steps.length - 1}
          onClick={() => {
            lead(1);
          }}
        >
          {say.next}
        </button>
      </div>
    </dialog>
  );
}

function StepView({ step }: { step: WalkStep }) {
  switch (step.kind) {
    case 'number':
      return (
        <>
          <p
            className="mt-0 mb-6 max-w-none font-serif text-[clamp(6rem,20vw,15rem)] leading-none font-medium tabular-nums lining-nums"
            data-testid="large-digits"
          >
            {step.line.value}
          </p>
          <p className="mb-4 max-w-[40ch] text-[2.4rem] leading-[1.25] max-phone:text-[1.7rem]">
            {step.line.words}
          </p>
        </>
      );
    case 'look':
      return (
        <>
          <h2>{step.at}</h2>
          <p className="mb-4 max-w-[40ch] text-[2.4rem] leading-[1.25] max-phone:text-[1.7rem]">
            {step.look}
          </p>
          <p className="mb-4 max-w-[40ch] text-[2.4rem] leading-[1.25] max-phone:text-[1.7rem] text-faint">
            {say.first(step.change)}
          </p>
        </>
      );
    case 'words':
      return (
        <>
          <h2>{step.heading}</h2>
          {step.lines.map((each) => (
            <p
              key={each}
              className="mb-4 max-w-[40ch] text-[2.4rem] leading-[1.25] max-phone:text-[1.7rem]"
            >
              {each}
            </p>
          ))}
        </>
      );
  }
}
