import { calcBody } from '../body/body.ts';
import { findActiveCautions, findStopSigns } from '../cautions/stopSigns.ts';
import { calcMeasureSet, findValue } from '../measures/measureSet.ts';
import { getProtocol } from '../measures/protocols/index.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import type { LyingPose } from '../poses/lying/lyingPose.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import { resolveRules } from '../rules/chosenSchools.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { calcLyingSettings } from './lying.ts';
import { calcPlanningRanges } from '../planning/ranges.ts';
import { getReserve } from '../planning/reserve.ts';
import { SET_UP_FORMAT, SET_UP_VERSION, type SetUp } from './setUp.ts';

/** Long flat lying is left out late in pregnancy. Common practice, no source. */
const NOT_LYING_WITH = 'pregnancy';

/**
 * A lying or seated form as a set-up: marks, supports and straps, without a posture.
 *
 * @param side the front, raised or crossed leg
 * @returns problems as planSetUp.ts
 */
export function planLying(
  record: PersonRecord,
  pose: LyingPose,
  side: Side,
  given: Partial<HouseRules>,
): Result<SetUp> {
  const rules = resolveRules(record.person, pose.id, given);
  const reserve = getReserve(rules, record.person.experience);
  const set = calcMeasureSet(record.readings);
  const stops = findStopSigns(record.person);
  const missing = pose.needs.flatMap((measure): Problem[] => {
    const protocol = getProtocol(measure);
    const stated = measure === 'hip-adduction';
    return (protocol.sided ? SIDES : [null])
      .filter((each) => !stated && findValue(set, measure, each) === null)
      .map((each) =>
        problem('missing-measure', each === null ? measure : `${measure} ${each}`, {
          measure: protocol.name,
          side: each === null ? '' : `, ${each},`,
          poses: [pose.name],
        }),
      );
  });
  if (stops.length === 0 && missing.length > 0) return { ok: false, problems: missing };
  const body = calcBody(set);
  if (!body.ok) return body;
  const ranges = calcPlanningRanges(set, rules, reserve, { reserve: 0, cuts: [] });
  const cautions = findActiveCautions(record.person).map(({ entry, kind }) => ({
    id: entry.id,
    name: kind?.name ?? entry.id,
    advice: kind?.advice ?? entry.note,
  }));
  const notes = cautions
    .filter((each) => each.id === NOT_LYING_WITH)
    .map((each) => problem('not-lying-flat', 'pose', { caution: each.name }));
  return {
    ok: true,
    value: {
      format: SET_UP_FORMAT,
      version: SET_UP_VERSION,
      pose: pose.id,
      level: null,
      levels: [],
      standsOn: null,
      side,
      status: stops.length > 0 ? 'failed' : 'solved',
      provisional: rules.provisional,
      depth: null,
      firstDepth: null,
      settings: stops.length > 0 ? [] : calcLyingSettings(pose.id, body.value, ranges, side),
      pelvis: null,
      landmarks: {},
      joints: [],
      limiting: null,
      balance: null,
      loads: [],
      bounds: null,
      ifPushed: null,
      asFound: null,
      handProp: null,
      supportProps: [],
      mat: null,
      footprints: null,
      cautions,
      adaptations: [],
      problems: [...stops, ...notes],
      provenance: {
        measures: [...body.value.uses, ...[...ranges.values()].map((range) => range.use)],
        rules,
        reserve,
      },
    },
  };
}
