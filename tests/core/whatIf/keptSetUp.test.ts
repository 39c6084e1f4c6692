import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { describe, expect, it } from 'vitest';
import type { PersonRecord } from '../../../src/core/person/person.ts';
import { compareSides } from '../../../src/core/whatIf/compareSides.ts';
import { checkKept, keepSetUp, type KeptSetUp } from '../../../src/core/whatIf/keptSetUp.ts';
import { planInFull } from '../../../src/core/whatIf/planInFull.ts';
import { NOT_MOVED, planMoved } from '../../../src/core/whatIf/planMoved.ts';
import { planPose, planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { findUsesBehind } from '../../../src/core/conditions/motionMeasures.ts';
import { reportLimitsOf } from '../../../src/core/setup/describeSetUp.ts';
import { calcJointReports } from '../../../src/core/setup/jointReport.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { contextOf, recordOf, REFERENCE, STIFF, type Measures } from '../../support/people.ts';

const KEPT_AT = '2026-11-20T10:00:00Z';
const record = recordOf(REFERENCE);

function plan(of: PersonRecord, pose: string): SetUp {
  const planned = planSetUp(new PlanningContext(of), pose, 'right');
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  return planned.value;
}

const keep = (setUp: SetUp, changes: Partial<KeptSetUp> = {}): KeptSetUp => ({
  ...keepSetUp(setUp, { id: 'a', keptAt: KEPT_AT, rules: {}, moved: null, reason: 'steady' }),
  ...changes,
});

function check(of: PersonRecord, kept: KeptSetUp) {
  const result = checkKept(new PlanningContext(of), [kept]);
  if (!result.ok) throw new Error('not checked');
  return result.value[0]!;
}

/** The same person, with readings of one day later. */
function laterRecord(measures: Measures): PersonRecord {
  const later = recordOf(measures).readings.map((each) => ({
    ...each,
    id: `later ${each.id}`,
    takenAt: '2026-11-24T10:00:00Z',
  }));
  return { ...record, readings: [...record.readings, ...later] };
}

describe('a kept set-up', () => {
  it('holds while nothing has changed', () => {
    const result = check(record, keep(plan(record, 'warrior-two')));
    expect(result.changes).toEqual([]);
    expect(result.newer).toEqual([]);
    expect(result.now?.status).toBe('solved');
  });

  it('is out of date after a later measure, with what it was and is', () => {
    const kept = keep(plan(record, 'warrior-two'));
    const after = laterRecord({ 'hip-opening': 40, 'hip-abduction': 30 });
    const result = check(after, kept);
    const stance = result.changes.find((each) => each.id === 'stance-length');
    expect(stance?.was).toBe(kept.settings.find((each) => each.id === 'stance-length')?.value);
    expect(stance?.now).toBe(
      plan(after, 'warrior-two').settings.find((each) => each.id === 'stance-length')?.value,
    );
    expect(new Set(result.newer.map((each) => each.measure))).toEqual(
      new Set(['hip-opening', 'hip-abduction']),
    );
  });

  it('that was moved by hand is solved with the same thing held', () => {
    const planned = planPose(new PlanningContext(record), 'warrior-two', 'right');
    if (planned.kind !== 'planned') throw new Error('not planned');
    const moved = { ...NOT_MOVED, stanceCm: 90 };
    const there = planMoved(planned, moved)!.setUp;
    const result = check(record, keep(there, { moved }));
    expect(result.changes).toEqual([]);
    expect(result.now?.settings.find((each) => each.id === 'stance-length')?.value).toBeCloseTo(
      90,
      1,
    );
  });

  it('of a pose that is no longer allowed says so and does not crash', () => {
    const kept = keep(plan(record, 'warrior-two'));
    const stopped = recordOf(REFERENCE, {
      cautions: [
        {
          uid: 'one',
          id: 'tingling-numbness',
          side: 'left',
          since: null,
          severity: 'stop',
          clearedBy: null,
          clearedAt: null,
          note: '',
        },
      ],
    });
    expect(check(stopped, kept).now).toBeNull();
    expect(check(record, { ...kept, pose: 'not-a-pose' }).now).toBeNull();
  });
});

describe('left against right', () => {
  it('calls out what is larger than its error, and only that', () => {
    const uneven: Measures = {
      ...REFERENCE,
      'hip-opening': { left: 30, right: 60 },
      'hip-abduction': { left: 25, right: 50 },
      'hip-external-rotation': { left: 20, right: 50 },
    };
    const planned = (side: 'left' | 'right', measures: Measures): SetUp => {
      const full = planInFull(contextOf(measures), 'warrior-two', side);
      if (!full.ok) throw new Error('no plan');
      return full.value;
    };
    const pairs = compareSides(planned('left', uneven), planned('right', uneven));
    const pairOf = (id: string) => pairs.find((each) => each.id === id)!;
    const pelvis = pairOf('pelvis-short-of-square');
    expect(pelvis.isReal).toBe(true);
    expect(pelvis.difference).toBeCloseTo(pelvis.left - pelvis.right, 9);
    // Some knee bend more, but each of them is only known to about 5°.
    const bend = pairOf('front-knee-bend');
    expect(Math.abs(bend.difference)).toBeGreaterThan(1);
    expect(bend.isReal).toBe(false);
    const even = compareSides(planned('left', REFERENCE), planned('right', REFERENCE));
    expect(even.length).toBeGreaterThan(4);
    expect(even.filter((each) => each.isReal === true)).toEqual([]);
    // Without error bars nothing is claimed either way.
    const bare = compareSides(plan(recordOf(uneven), 'warrior-two'), planned('right', uneven));
    expect(bare.every((each) => each.isReal === null)).toBe(true);
  });
});

describe('where a limit comes from', () => {
  it('names a measure of the joint’s own side for every limit that is measured', () => {
    for (const measures of [REFERENCE, STIFF]) {
      const planned = planPose(contextOf(measures), 'warrior-two', 'right');
      if (planned.kind !== 'planned' || planned.answer.found.kind === 'cannot') {
        throw new Error('not planned');
      }
      const { measures: uses } = planned.setUp.provenance;
      const { skeleton } = planned.answer.found.answer;
      const reports = calcJointReports(skeleton, reportLimitsOf(planned), 'right').filter(
        (each) => each.hasDeg !== null,
      );
      expect(reports.length).toBeGreaterThan(6);
      for (const report of reports) {
        const behind = findUsesBehind(report, uses);
        // Rounding of the spine and toes are stated for everyone.
        const isStated =
          report.joint === 'toes' || (report.joint === 'spine' && report.motion === 'flexion');
        expect(behind.length > 0, `${report.joint} ${report.motion}`).toBe(!isStated);
        // No limit is larger than the largest range it is blended from; a bent hip gives the knee 9°.
        if (!isStated) {
          const more = report.joint === 'knee' ? 9 : 0;
          expect(report.hasDeg).toBeLessThanOrEqual(
            Math.max(...behind.map((each) => each.value)) + more + 1e-6,
          );
        }
      }
    }
  });
});
