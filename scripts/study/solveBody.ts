import { PlanningContext } from '../../src/core/planning/planningContext.ts';
import { POSES } from '../../src/core/poses/catalogue/index.ts';
import { FITTING_LEVEL, USUAL_LEVEL } from '../../src/core/poses/level.ts';
import { getValue } from '../../src/core/setup/setUp.ts';
import { nameJoint } from '../../src/core/setup/jointReport.ts';
import { planSetUp } from '../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../src/core/setup/setUp.ts';
import type { Group, StudyBody } from './bodies.ts';

/** What the study keeps of one set-up. */
export interface Solved {
  readonly body: number;
  readonly group: Group;
  readonly statureCm: number;
  readonly legLengthCm: number;
  readonly pose: string;
  /** As it was asked for, and the one that was opened. */
  readonly level: string;
  readonly opened: string;
  readonly status: SetUp['status'];
  readonly depth: number | null;
  readonly textbook: number | null;
  readonly stance: number | null;
  readonly backFoot: number | null;
  readonly hand: number | null;
  readonly shortOfSquare: number | null;
  readonly limiting: string;
  readonly problem: string;
}

function keep(body: StudyBody, index: number, level: string, setUp: SetUp): Solved {
  const legs = body.record.readings.find(
    ({ measure, side }) => measure === 'leg-length' && side === 'right',
  );
  return {
    body: index,
    group: body.group,
    statureCm: body.statureCm,
    legLengthCm: legs?.value ?? NaN,
    pose: setUp.pose,
    level,
    opened: setUp.level ?? USUAL_LEVEL,
    status: setUp.status,
    depth: setUp.depth?.value ?? null,
    textbook: setUp.depth?.textbook ?? null,
    stance: getValue(setUp, 'stance-length'),
    backFoot: getValue(setUp, 'back-foot-angle'),
    hand: getValue(setUp, 'hand-height'),
    shortOfSquare: getValue(setUp, 'pelvis-short-of-square'),
    limiting: setUp.limiting === null ? '' : nameJoint(setUp.limiting, setUp),
    problem: setUp.problems[0]?.message ?? '',
  };
}

/** Every pose and level of one person after a first session, the right leg in front. */
export function solveBody(body: StudyBody, index: number): readonly Solved[] {
  const held = POSES.map(({ id }) => ({ pose: id, level: 'not chosen' }));
  const record = { ...body.record, held };
  return POSES.flatMap(({ id, levels }) =>
    [FITTING_LEVEL, ...levels.map((level) => level.id)].map((level) => {
      const planned = planSetUp(new PlanningContext(record), id, 'right', {}, level);
      if (!planned.ok) throw new Error(planned.problems[0]?.message);
      return keep(body, index, level, planned.value);
    }),
  );
}
