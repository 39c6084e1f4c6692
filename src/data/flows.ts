import type { Flow } from '../core/sequence/flow.ts';
import { db } from './database.ts';

/** Flows of a person, by name. */
export async function listFlows(personId: string): Promise<Flow[]> {
  const rows = await db.flows.where('personId').equals(personId).toArray();
  return rows
    .map(({ personId: _owner, ...flow }) => flow)
    .sort((a, b) => a.name.localeCompare(b.name) || a.id.localeCompare(b.id));
}

export async function saveFlow(personId: string, flow: Flow): Promise<void> {
  await db.flows.put({ ...flow, personId });
}

/**
 * Changes a flow as it is stored at this moment, so that what another tab has changed
 * meanwhile is not lost.
 *
 * @param change of the stored flow; null = it cannot be done there any more
 * @returns the flow before and after; null = nothing was changed
 */
export async function changeFlow(
  personId: string,
  id: string,
  change: (flow: Flow) => Flow | null,
): Promise<{ readonly before: Flow; readonly after: Flow } | null> {
  return db.transaction('rw', [db.flows, db.stamps, db.clock], async () => {
    const row = await db.flows.get([personId, id]);
    if (row === undefined) return null;
    const { personId: _owner, ...before } = row;
    const after = change(before);
    if (after === null) return null;
    await db.flows.put({ ...after, personId });
    return { before, after };
  });
}

export async function removeFlow(personId: string, id: string): Promise<void> {
  await db.flows.delete([personId, id]);
}
