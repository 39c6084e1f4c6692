import { PlanningContext } from '../core/planning/planningContext.ts';
import type { RevisedRecord } from '../core/person/person.ts';

/**
 * The context of the person who was asked about last. Every question to a worker brings its
 * own copy of the record; by its revision, all questions about one person share one context.
 */
export class LatestContext {
  private last: { readonly revision: string; readonly context: PlanningContext } | null = null;

  of(record: RevisedRecord): PlanningContext {
    if (this.last?.revision !== record.revision) {
      this.last = { revision: record.revision, context: new PlanningContext(record) };
    }
    return this.last.context;
  }
}
