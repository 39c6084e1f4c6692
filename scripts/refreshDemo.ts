/**
 * Plans and judges the demo people's sessions by the rules of today: what was noted stays, the
 * numbers of every hold and decision are computed again, in the order in which they were held.
 * Use: npx tsx scripts/refreshDemo.ts
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import {
  checkPersonFile,
  readPersonFile,
  writePersonFile,
} from '../src/core/formats/personFile.ts';
import type { PersonRecord } from '../src/core/person/person.ts';
import { FITTING_LEVEL } from '../src/core/poses/level.ts';
import { RULES_VERSION } from '../src/core/rules/houseRules.ts';
import { decide } from '../src/core/sessions/decide.ts';
import type { Flow } from '../src/core/sequence/flow.ts';
import { judgeSession } from '../src/core/sessions/judgeSession.ts';
import { planFlowSession } from '../src/core/sessions/planFlowSession.ts';
import { planSession } from '../src/core/sessions/planSession.ts';
import type { PlannedHold, Session, SessionEntry } from '../src/core/sessions/session.ts';

const FOLDER = new URL('../public/demo/', import.meta.url);

/** A person as they were known on that day. */
const asOn = (record: PersonRecord, at: string): PersonRecord => ({
  ...record,
  person: {
    ...record.person,
    cautions: record.person.cautions.filter(({ since }) => (since ?? '') <= at.slice(0, 10)),
  },
  readings: record.readings.filter(({ takenAt }) => takenAt <= at),
});

/** A file with one session and one flow a line, so that a change of one is seen as one. */
function layOut(text: string): string {
  const { sessions, flows, ...rest } = JSON.parse(text) as Record<'sessions' | 'flows', object[]>;
  const linesOf = (rows: readonly object[]): string =>
    `[\n${rows.map((each) => `  ${JSON.stringify(each)}`).join(',\n')}\n ]`;
  return `${JSON.stringify(rest, null, 1).slice(0, -2)},\n "flows": ${linesOf(flows)},\n "sessions": ${linesOf(sessions)}\n}\n`;
}

/** The holds of a session with the numbers of today's rules; a pose left out keeps none. */
function planHolds(
  record: PersonRecord,
  past: readonly Session[],
  { id, holds, today, plannedAt }: Session,
): readonly PlannedHold[] {
  const poses = [...new Set(holds.map(({ pose }) => pose))];
  const asked = poses.map((pose) => ({ pose, level: FITTING_LEVEL }));
  const choices = { order: 'equal', breaths: null, rounds: 1 } as const;
  const planned = planSession(record, past, today, { poses: asked, ...choices }, plannedAt);
  if (!planned.ok) throw new Error(planned.problems.map((each) => each.message).join(' '));
  return holds.map((hold): PlannedHold => {
    const found = planned.value.holds.find(
      ({ plan }) => plan.pose === hold.pose && plan.side === hold.side,
    );
    if (found === undefined) {
      if (hold.settings.length > 0) console.log(`${id}: ${hold.pose} is left out now`);
      return { ...hold, settings: [], depth: null, rulesVersion: RULES_VERSION };
    }
    const { breaths, rounds } = hold;
    return { ...found.plan, id: hold.id, breaths, rounds };
  });
}

/** The same of a session that led through a flow, with its steps. */
function planFlow(
  record: PersonRecord,
  past: readonly Session[],
  session: Session,
  flows: readonly Flow[],
): Session {
  const flow = flows.find(({ id }) => id === session.flow?.id);
  if (flow === undefined) throw new Error(`${session.id}: its flow is gone`);
  const planned = planFlowSession(record, past, session.today, flow, session.plannedAt);
  if (!planned.ok) throw new Error(planned.problems.map((each) => each.message).join(' '));
  const { holds, flow: led } = planned.value;
  return { ...session, holds: holds.map(({ plan }) => plan), flow: led };
}

/** What was decided of a session, judged again by what was noted until then. */
function decideAgain(
  record: PersonRecord,
  past: readonly Session[],
  session: Session,
): readonly SessionEntry[] {
  const { entries, id } = session;
  const first = entries.find(({ kind }) => kind === 'decide');
  if (first === undefined) return entries;
  const noted = { ...session, entries: entries.filter(({ at }) => at < first.at) };
  const judged = judgeSession(record, [...past, noted], noted, first.at);
  if (!judged.ok) throw new Error(judged.problems.map((each) => each.message).join(' '));
  return entries.map((entry): SessionEntry => {
    if (entry.kind !== 'decide') return entry;
    const { pose, side, choice, kind, reason } = entry.decision;
    const judgement = judged.value.find((each) => each.pose === pose && each.side === side);
    if (judgement === undefined) throw new Error(`${id}: ${pose} ${side} is not judged`);
    const { verdict } = judgement;
    if (choice === 'overruled') return { ...entry, decision: { ...entry.decision, verdict } };
    if (verdict.kind !== kind) console.log(`${id}: ${pose} ${side} ${kind} → ${verdict.kind}`);
    return { ...entry, decision: decide(judgement, verdict.kind, reason) };
  });
}

for (const name of readdirSync(FOLDER).filter((each) => each !== 'index.json')) {
  const path = new URL(name, FOLDER);
  const read = readPersonFile(readFileSync(path, 'utf8'), null);
  if (!read.ok) throw new Error(`${name}: ${read.problems[0]!.message}`);
  const { file } = read.value;
  const done: Session[] = [];
  for (const session of file.sessions) {
    const record = asOn(file, session.plannedAt);
    const planned =
      session.flow === undefined
        ? { ...session, holds: planHolds(record, done, session) }
        : planFlow(record, done, session, file.flows);
    done.push({ ...planned, entries: decideAgain(record, done, planned) });
  }
  const written = writePersonFile({ ...file, sessions: done });
  const checked = checkPersonFile(JSON.parse(written), null);
  if (!checked.ok) throw new Error(`${name}: ${checked.problems[0]!.message}`);
  writeFileSync(path, layOut(written));
}
