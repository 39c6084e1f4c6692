import { describe, expect, it } from 'vitest';
import { drawErrorPair } from '../../../src/core/drawing/errorPair.ts';
import { findPoseError } from '../../../src/core/poseErrors/catalogue.ts';
import { findCause, findAgain } from '../../../src/core/poseErrors/cause.ts';
import {
  explainError,
  type ErrorAsked,
  type ExplainedError,
} from '../../../src/core/poseErrors/explainError.ts';
import { hasGeometry } from '../../../src/core/poseErrors/imposed.ts';
import { findPossibleErrors } from '../../../src/core/poseErrors/possible.ts';
import {
  sayCause,
  sayChangedAlong,
  sayFix,
  sayRelief,
} from '../../../src/core/poseErrors/sayError.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { FITTING_LEVEL, withLevel } from '../../../src/core/poses/level.ts';
import type { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { getValue } from '../../../src/core/setup/setUp.ts';
import { NOT_MOVED } from '../../../src/core/whatIf/planMoved.ts';
import { contextOfDemo, FULLEST_DEMO } from '../../support/demoContext.ts';

const LONG = process.env['LONG_TESTS'] === '1';

const ask = (error: string, pose: string, more: Partial<ErrorAsked> = {}): ErrorAsked => ({
  error,
  pose,
  side: 'right',
  rules: {},
  level: FITTING_LEVEL,
  held: NOT_MOVED,
  onSameFeet: [],
  ...more,
});

function explained(context: PlanningContext, asked: ErrorAsked): ExplainedError {
  const result = explainError(context, asked);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
}

const listSigns = (pose: string): readonly string[] =>
  findPossibleErrors(findPose(pose)).map(({ id }) => id);

/** How large a pair of figures is shown at 1280 × 800. */
const SHOWN_PX = { width: 560, height: 256 } as const;

describe.each(LONG ? FULLEST_DEMO : FULLEST_DEMO.slice(0, 1))('errors on %s', (who) => {
  const context = contextOfDemo(who);
  const sides = LONG ? (['left', 'right'] as const) : (['right'] as const);

  it.each(POSES.map(({ id }) => id))('are drawn in %s, seen or enlarged, within limits', (pose) => {
    for (const side of sides) {
      for (const error of listSigns(pose).filter(hasGeometry)) {
        const found = explained(context, ask(error, pose, { side }));
        const { planned, withError } = found;
        expect(withError, `${pose} ${error}`).not.toBeNull();
        // An error is something that this body can do: no leg goes beyond what was measured. The back may round.
        for (const { askedDeg, measuredDeg, joint, motion } of withError!.setUp.joints) {
          if (askedDeg === null || measuredDeg === null || joint === 'spine') continue;
          expect(askedDeg, `${pose} ${error} ${motion}`).toBeLessThan(measuredDeg + 0.6);
        }
        const drawing = drawErrorPair(withLevel(findPose(pose)!, planned.level), found, error)!;
        const seen = drawing.shapes.map((shape) => {
          if (shape.kind !== 'line' || shape.role !== 'sign-goes') return 0;
          const [[fx, fy], [x, y]] = [shape.points[0]!, shape.points.at(-1)!];
          return Math.hypot(x - fx, y - fy);
        });
        const [, , width, height] = drawing.box;
        const scale = Math.min(SHOWN_PX.width / width, SHOWN_PX.height / height);
        expect(Math.max(...seen) * scale, `${pose} ${error}`).toBeGreaterThanOrEqual(8);
        expect(drawing.caption).toContain(error);
      }
    }
  });

  it('are mended by a change that asks less of their cause and leaves it more margin', () => {
    const poses = LONG ? POSES.map(({ id }) => id) : ['warrior-two', 'triangle', 'pyramid'];
    let count = 0;
    for (const pose of poses) {
      for (const side of sides) {
        for (const error of listSigns(pose)) {
          const { planned, cause, fix } = explained(context, ask(error, pose, { side }));
          if (fix === null) continue;
          count += 1;
          const before = findCause(error, planned)!;
          const after = findAgain(before, fix.setUp);
          expect(cause).not.toBeNull();
          expect(fix.setUp.status).not.toBe('failed');
          if (after === null) continue;
          expect(after.askedDeg!).toBeLessThanOrEqual(before.askedDeg! - 0.5);
          expect(after.toSpareDeg!).toBeGreaterThanOrEqual(before.toSpareDeg! + 0.5);
        }
      }
    }
    expect(count).toBeGreaterThan(10);
  });
});

describe('an error in words', () => {
  const context = contextOfDemo('marit-sollen');

  it('names the joint, its margin, and the change as a number of this person', () => {
    const found = explained(context, ask('back-rounds', 'pyramid'));
    expect(sayCause(found)).toMatch(
      /Here the pose asks for \d+° of front hip flexion and \d+° are available: /,
    );
    expect(sayFix(found, 'cm')).toBe('Hand 7.5 cm higher.');
    expect(sayFix(found, 'in')).toBe('Hand 3 in higher.');
    expect(sayRelief(found)).toMatch(/^That asks for \d+° of front hip flexion instead of \d+°\.$/);
    expect(found.withError!.size).toBe(25);
  });

  it('puts back what has left its mark, and leaves the set-up as it is', () => {
    const hauled = explained(context, ask('pelvis-hauled', 'warrior-two'));
    expect(hauled.fix).toBeNull();
    expect(sayFix(hauled, 'cm')).toBe(
      'Let the back hip come forward, until the pelvis has turned back by 15°.',
    );
    const short = explained(context, ask('legs-upright', 'triangle'));
    expect(sayFix(short, 'cm')).toMatch(/^Back foot out by \d+\.\d cm, to its mark\.$/);
  });

  it('says the usual words where an error has no geometry', () => {
    const found = explained(context, ask('gaze-wanders', 'tree'));
    expect(found.withError).toBeNull();
    expect(drawErrorPair(findPose('tree')!, found, '')).toBeNull();
    expect(sayCause(found)).toBe(findPoseError('gaze-wanders')!.cause);
    expect(sayFix(found, 'cm')).toBe(findPoseError('gaze-wanders')!.first);
  });

  it('goes on from what is held by hand already', () => {
    const first = explained(context, ask('back-rounds', 'pyramid'));
    const again = explained(context, ask('back-rounds', 'pyramid', { held: first.fix!.held }));
    expect(again.planned.joints).toEqual(first.fix!.setUp.joints);
    expect(again.fix!.held.handCm).toBeGreaterThan(first.fix!.held.handCm!);
  });

  it('changes the stance of the poses on the same feet too, and says what they lose', () => {
    const own = explained(context, ask('stance-long', 'pyramid')).planned;
    const stanceCm = getValue(own, 'stance-length');
    const held = { ...NOT_MOVED, stanceCm };
    const other = { pose: 'revolved-triangle', rules: {}, level: FITTING_LEVEL, held, hold: 'b' };
    const found = explained(context, ask('stance-long', 'pyramid', { held, onSameFeet: [other] }));
    expect(found.fix!.setting).toBe('stance');
    expect(found.changedAlong).toMatchObject([
      { hold: 'b', pose: 'revolved-triangle', held: { stanceCm: found.fix!.held.stanceCm } },
    ]);
    expect(sayChangedAlong(found, 'cm')).toMatch(
      /^The poses on the same feet change with it: Revolved triangle loses (nothing|\d+° of depth)\.$/,
    );
    // A change of anything else leaves them as they are.
    const hand = explained(context, ask('back-rounds', 'pyramid', { held, onSameFeet: [other] }));
    expect(hand.fix!.setting).toBe('hand');
    expect(sayChangedAlong(hand, 'cm')).toBe('');
  });

  it('refuses a sign it does not know, and says why a pose is not planned', () => {
    const unknown = explainError(context, ask('hums', 'pyramid'));
    expect(unknown).toMatchObject({ ok: false, problems: [{ code: 'unknown-error' }] });
    const stopped = explainError(contextOfDemo('juno-pardew'), ask('back-rounds', 'pyramid'));
    expect(stopped).toMatchObject({ ok: false, problems: [{ severity: 'error' }] });
  });
});
