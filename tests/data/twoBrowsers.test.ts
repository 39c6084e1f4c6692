import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import Dexie from 'dexie';
import { afterEach, describe, expect, it, vi } from 'vitest';
import {
  PERSON_FORMAT,
  PERSON_VERSION,
  type PersonFile,
} from '../../src/core/formats/personFile.ts';
import { flowOf } from '../support/flows.ts';
import { fileOf, recordOf, REFERENCE } from '../support/people.ts';
import { makeRandom } from '../support/random.ts';
import { plannedHold } from '../support/sessions.ts';
import { keepSetUp } from '../../src/core/whatIf/keptSetUp.ts';
import { planPlain } from '../support/plan.ts';

const ID = recordOf(REFERENCE).person.id;
const HOUR = 3_600_000;
const MONDAY = Date.parse('2026-11-02T08:00:00.000Z');
const SIGNS = ['tingling', 'night-pain', 'lasting-pain'];
const setUp = planPlain(REFERENCE, 'triangle');

/** A browser of its own: its database, and the app's own functions on it. */
async function openBrowser() {
  vi.resetModules();
  Dexie.dependencies.indexedDB = new IDBFactory();
  Dexie.dependencies.IDBKeyRange = IDBKeyRange;
  const data = {
    ...(await import('../../src/data/merging.ts')),
    ...(await import('../../src/data/people.ts')),
    ...(await import('../../src/data/readings.ts')),
    ...(await import('../../src/data/sessions.ts')),
    ...(await import('../../src/data/setUps.ts')),
    ...(await import('../../src/data/appointments.ts')),
    ...(await import('../../src/data/flows.ts')),
  };
  const handOut = async (): Promise<PersonFile> => {
    const file = await data.loadPersonFile(ID);
    const whole = { ...file!, format: PERSON_FORMAT, version: PERSON_VERSION };
    return JSON.parse(JSON.stringify(whole)) as PersonFile;
  };
  return { ...data, handOut };
}
type Browser = Awaited<ReturnType<typeof openBrowser>>;

/** One thing that a teacher does: adds, edits or deletes something, chosen by `random`. */
async function actOnce(browser: Browser, name: string, random: () => number): Promise<string> {
  const pick = <Item>(items: readonly Item[]): Item | undefined =>
    items[Math.floor(random() * items.length)];
  const file = await browser.handOut();
  const id = `${name}-${String(Math.floor(random() * 1e9))}`;
  const reading = pick(file.readings)!;
  const session = pick(file.sessions);
  const acts: Record<string, () => Promise<unknown>> = {
    'adds a reading': () =>
      browser.saveReading(ID, { ...reading, id, takenAt: new Date().toISOString() }),
    'edits a reading': () => browser.saveReading(ID, { ...reading, value: reading.value + 1 }),
    'deletes a reading': () => browser.removeReading(ID, reading.id),
    'edits the notes': () => browser.changePerson(ID, () => ({ notes: `noted ${id}` })),
    'edits the name': () => browser.changePerson(ID, () => ({ name: `Ada ${id}` })),
    'sets a stop sign': () =>
      browser.changePerson(ID, ({ cautions }) => ({
        cautions: [
          ...cautions,
          {
            uid: id,
            id: pick(SIGNS)!,
            side: null,
            since: '2026-11-02',
            severity: 'stop',
            clearedBy: null,
            clearedAt: null,
            note: '',
          },
        ],
      })),
    'clears a stop sign': () =>
      browser.changePerson(ID, ({ cautions }) => ({
        cautions: cautions.map((each, i) =>
          i === 0 ? { ...each, clearedBy: 'Dr Okoro', clearedAt: new Date().toISOString() } : each,
        ),
      })),
    'begins a session': () =>
      browser.startSession(ID, [{ plan: plannedHold(id), setUp }], null, null),
    'notes in a session': async () => {
      if (session === undefined) return;
      await browser.addEntries(ID, session.id, [
        { kind: 'note', hold: session.holds[0]!.id, change: { breaths: 4 } },
      ]);
    },
    'removes a session': async () => {
      if (session !== undefined && random() < 0.4) await browser.removeSession(ID, session.id);
    },
    'keeps a set-up': () =>
      browser.keepForPerson(
        ID,
        keepSetUp(setUp, {
          id,
          keptAt: new Date().toISOString(),
          rules: {},
          moved: null,
          reason: '',
        }),
      ),
    'removes a set-up': async () => {
      const kept = pick(file.setUps);
      if (kept !== undefined) await browser.removeSetUp(ID, kept.id);
    },
    'writes an appointment': () =>
      browser.saveAppointment(ID, {
        id,
        start: '2026-12-03T18:30',
        timeZone: 'Europe/Oslo',
        minutes: 60,
        weeks: 1,
        note: name,
      }),
    'writes a flow': () => browser.saveFlow(ID, { ...flowOf('mountain', 'tree left'), id, name }),
    'changes a flow': async () => {
      const flow = pick(file.flows);
      if (flow === undefined) return;
      await browser.changeFlow(ID, flow.id, (now) => ({ ...now, name }));
    },
    'removes a flow': async () => {
      const flow = pick(file.flows);
      if (flow !== undefined) await browser.removeFlow(ID, flow.id);
    },
    'removes an appointment': async () => {
      const appointment = pick(file.appointments);
      if (appointment !== undefined) await browser.removeAppointment(ID, appointment.id);
    },
  };
  const act = pick(Object.keys(acts))!;
  await acts[act]!();
  return act;
}

/** What both have to agree on; kinds of records in no order of their own. */
async function show(browser: Browser): Promise<unknown> {
  const { person, readings, setUps, sessions, appointments, flows, changes } =
    await browser.handOut();
  const byId = <Row extends { readonly id: string }>(rows: readonly Row[]): Row[] =>
    [...rows].sort((a, b) => a.id.localeCompare(b.id));
  const withOrder = {
    ...person,
    history: [...person.history].map((each) => JSON.stringify(each)).sort(),
  };
  return {
    person: withOrder,
    readings: byId(readings),
    setUps: byId(setUps),
    sessions: byId(sessions),
    appointments: byId(appointments),
    flows: byId(flows),
    changes,
  };
}

afterEach(() => {
  vi.useRealTimers();
});

describe('two browsers that each work on the same person for a week', () => {
  it.each([1, 2, 3])('merge to the same state in either order (seed %i)', async (seed) => {
    vi.useFakeTimers({ toFake: ['Date'], now: MONDAY });
    const random = makeRandom(seed);
    const browsers = { tablet: await openBrowser(), laptop: await openBrowser() };
    await browsers.tablet.importFile(fileOf(recordOf(REFERENCE)));
    await browsers.laptop.importFile(await browsers.tablet.handOut());
    const done = new Set<string>();
    for (let hour = 0; hour < 7 * 24; hour += 2) {
      for (const [name, browser] of Object.entries(browsers)) {
        // The laptop's clock is ahead by eleven hours.
        vi.setSystemTime(MONDAY + hour * HOUR + (name === 'laptop' ? 11 * HOUR : 0));
        done.add(await actOnce(browser, name, random));
      }
    }
    expect(done.size).toBe(17);
    const files = [await browsers.tablet.handOut(), await browsers.laptop.handOut()] as const;
    const third = [await openBrowser(), await openBrowser()] as const;
    await browsers.tablet.importFile(files[1]);
    await browsers.laptop.importFile(files[0]);
    for (const file of files) await third[0].importFile(file);
    for (const file of [...files].reverse()) await third[1].importFile(file);
    const merged = await show(browsers.tablet);
    for (const other of [browsers.laptop, ...third]) expect(await show(other)).toEqual(merged);
    // Whatever one added and nobody removed is there; what either removed is not.
    const { readings, person, changes } = await browsers.tablet.handOut();
    const kept = new Set(readings.map(({ id }) => id));
    for (const [i, file] of files.entries()) {
      const other = files[1 - i]!;
      for (const { id } of file.readings) {
        const removedThere = Object.keys(other.changes.removed).some((path) => path.includes(id));
        if (!removedThere) expect(kept, id).toContain(id);
      }
      for (const { uid } of file.person.cautions)
        expect(person.cautions.map((each) => each.uid)).toContain(uid);
    }
    expect(Object.keys(changes.removed).length).toBeGreaterThan(3);
  });
});
