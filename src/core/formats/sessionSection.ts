import { problem, type Problem } from '../problems/problem.ts';
import { findSessionTime } from '../sessions/toHolds.ts';
import { readSession } from '../sessions/readSession.ts';
import type { Session, SessionEntry } from '../sessions/session.ts';
import { checkRules } from './rulesFile.ts';

/** What an entry of each kind has to carry; the schema cannot say that. */
const NEEDS: Readonly<Record<SessionEntry['kind'], readonly string[]>> = {
  begin: [],
  note: ['hold', 'change'],
  error: ['hold', 'error', 'isSeen'],
  felt: ['hold', 'place', 'how'],
  undo: ['entry'],
  clear: ['hold', 'by', 'note'],
  decide: ['decision'],
  shorten: ['minutes', 'dropped', 'steps'],
  end: ['why', 'note'],
};

function checkSession(session: Session, path: string): Problem[] {
  const found: Problem[] = [];
  const ids = new Set<string>();
  session.entries.forEach((entry, i) => {
    const at = `${path}.entries[${String(i)}]`;
    for (const need of NEEDS[entry.kind]) {
      if (!(need in entry)) {
        found.push(problem('wrong-shape', `${at}.${need}`, { text: 'is required' }));
      }
    }
    if (ids.has(entry.id)) found.push(problem('duplicate-id', `${at}.id`, { text: entry.id }));
    ids.add(entry.id);
  });
  session.holds.forEach(({ rules }, i) => {
    const checked = checkRules(rules);
    if (checked.ok) return;
    const at = `${path}.holds[${String(i)}]`;
    found.push(...checked.problems.map((each) => ({ ...each, path: `${at}.${each.path}` })));
  });
  return found;
}

/** Sessions that run at the same time: one was perhaps written down twice. Both are kept. */
function findOverlaps(sessions: readonly Session[], path: string): Problem[] {
  const spans = sessions.map((session, index) => ({
    index,
    from: findSessionTime(session),
    to: readSession(session).ended?.at ?? findSessionTime(session),
  }));
  const sorted = spans.toSorted((a, b) => a.from.localeCompare(b.from));
  return sorted.flatMap(({ index, from, to }, i): Problem[] => {
    const next = sorted[i + 1];
    if (next === undefined || next.from >= to) return [];
    return [
      problem('sessions-overlap', `${path}[${String(next.index)}]`, {
        at: next.from,
        other: sessions[index]!.id,
        from,
      }),
    ];
  });
}

/**
 * Checks the sessions of a file whose shape is already known to fit.
 *
 * @param sessions of this person, in any order
 * @param path where it stands in the file
 * @returns problems by path: `wrong-shape`, `duplicate-id`, those of the house rules, and
 *   `sessions-overlap`, which is only a warning
 */
export function checkSessions(sessions: readonly Session[], path: string): Problem[] {
  const ids = new Set<string>();
  const found = sessions.flatMap((session, i) => {
    const at = `${path}[${String(i)}]`;
    const own = checkSession(session, at);
    if (ids.has(session.id)) own.push(problem('duplicate-id', `${at}.id`, { text: session.id }));
    ids.add(session.id);
    return own;
  });
  return found.length > 0 ? found : findOverlaps(sessions, path);
}
