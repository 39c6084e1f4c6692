import { calcMeasureSet, type MeasureSet } from '../measures/measureSet.ts';
import type { PersonRecord } from '../person/person.ts';
import type { Result } from '../problems/problem.ts';
import { limitBody, type LimitedBody } from './limitedBody.ts';
import type { PoseAnswer } from './poseRequest.ts';
import type { Request } from './request.ts';

/**
 * One person, and what the plans of their poses share: the values of their measures, their
 * body under each set of rules, and answers that other poses stand on.
 *
 * Make one for a record and pass it along. A plan comes out the same with a new context,
 * only later.
 */
export class PlanningContext {
  private readonly bodies = new Map<string, Result<LimitedBody>>();
  private readonly answers = new Map<string, PoseAnswer>();

  /**
   * @param record the person with all readings, as in a person file
   * @param set their values, if other than those of the readings
   */
  constructor(
    readonly record: PersonRecord,
    readonly set: MeasureSet = calcMeasureSet(record.readings),
  ) {}

  /** The same person with other values. */
  withSet(set: MeasureSet): PlanningContext {
    return new PlanningContext(this.record, set);
  }

  /** The body and ranges of a request, see {@link limitBody}. */
  limitBody(request: Request): Result<LimitedBody> {
    const key = bodyKey(request);
    const known = this.bodies.get(key) ?? limitBody(this.set, request);
    this.bodies.set(key, known);
    return known;
  }

  /**
   * The answer to a request that several poses stand on, solved once.
   *
   * @param solve solves the request; has to give the same every time
   */
  solveOnce(request: Request, solve: () => PoseAnswer): PoseAnswer {
    const key = `${bodyKey(request)} ${poseKey(request)}`;
    const known = this.answers.get(key) ?? solve();
    this.answers.set(key, known);
    return known;
  }
}

/** What a body depends on besides the values. */
const bodyKey = ({ rules, reserve, adapted }: Request): string =>
  JSON.stringify([rules, reserve, adapted.reserve, adapted.cuts]);

/** What an answer depends on besides the body. */
const poseKey = ({ pose, level, side, isHeldBefore, record, adapted }: Request): string =>
  JSON.stringify([
    ...[pose.id, level, side, isHeldBefore, record.person.experience],
    adapted.told.map((each) => each.caution),
  ]);
