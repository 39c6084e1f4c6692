import type {
  DBCore,
  DBCoreMutateRequest,
  DBCoreTable,
  DBCoreTransaction,
  Middleware,
} from 'dexie';
import {
  listAppointmentCells,
  listFlowCells,
  listPersonCells,
  listPictureCells,
  listReadingCells,
  listSessionCells,
  listSetUpCells,
  toCanonicalJson,
} from '../core/merge/cells.ts';
import { tick, type Stamp } from '../core/merge/clock.ts';
import type {
  AppointmentRow,
  FlowRow,
  ClockRow,
  KeptSetUpRow,
  PersonRow,
  PictureRow,
  ReadingRow,
  SessionRow,
  StampRow,
} from './rows.ts';

type Entries = readonly (readonly [path: string, value: unknown])[];

interface Stamped {
  readonly ownerOf: (row: never) => string;
  readonly list: (row: never) => Entries;
}

interface OwnedRow {
  readonly personId: string;
}

const owned = <Row extends OwnedRow>(
  list: (record: Omit<Row, 'personId'>) => Entries,
): Stamped => ({
  ownerOf: ({ personId }: OwnedRow) => personId,
  list: ({ personId: _owner, ...record }: Row) => list(record),
});

/** The stores whose fields and records carry a time of change, and their cells. */
const STAMPED: Readonly<Record<string, Stamped>> = {
  people: {
    ownerOf: ({ id }: PersonRow) => id,
    list: ({ person, extra }: PersonRow) => listPersonCells(person, extra),
  },
  readings: owned<ReadingRow>(listReadingCells),
  setUps: owned<KeptSetUpRow>(listSetUpCells),
  sessions: owned<SessionRow>(listSessionCells),
  appointments: owned<AppointmentRow>(listAppointmentCells),
  flows: owned<FlowRow>(listFlowCells),
  pictures: owned<PictureRow>(listPictureCells),
};

/** The one row of the clock. */
export const CLOCK = 'clock';

/** Every path of a store's row. */
export const listPaths = (store: string, row: unknown): readonly string[] =>
  STAMPED[store]!.list(row as never).map(([path]) => path);

/** What a write changes of one row: the paths that are set, and those that are removed. */
function findChanged(
  { ownerOf, list }: Stamped,
  before: unknown,
  after: unknown,
): readonly Omit<StampRow, 'stamp'>[] {
  const toMap = (row: unknown): ReadonlyMap<string, string> =>
    new Map(
      row === undefined
        ? []
        : list(row as never)
            .filter(([, value]) => value !== undefined)
            .map(([path, value]) => [path, toCanonicalJson(value)]),
    );
  const [old, now] = [toMap(before), toMap(after)];
  const personId = ownerOf((after ?? before) as never);
  const set = [...now].filter(([path, json]) => old.get(path) !== json);
  const gone = [...old].filter(([path]) => !now.has(path));
  return [
    ...set.map(([path]) => ({ personId, path, isRemoved: false })),
    ...gone.map(([path]) => ({ personId, path, isRemoved: true })),
  ];
}

/** Writes the stamps of a change into the same transaction, and moves the clock on. */
async function writeStamps(
  core: DBCore,
  trans: DBCoreTransaction,
  changed: readonly Omit<StampRow, 'stamp'>[],
): Promise<void> {
  if (changed.length === 0) return;
  const clocks = core.table('clock');
  const found = (await clocks.get({ trans, key: CLOCK })) as ClockRow | undefined;
  const device = found?.device ?? crypto.randomUUID().slice(0, 8);
  const last: Stamp = tick(found?.last ?? '', Date.now(), device);
  const clock: ClockRow = { id: CLOCK, device, last };
  await clocks.mutate({ type: 'put', trans, values: [clock] });
  const values: StampRow[] = changed.map((each) => ({ ...each, stamp: last }));
  await core.table('stamps').mutate({ type: 'put', trans, values });
}

/** The keys that a request is about to change; none = those of a whole range. */
function findKeys(table: DBCoreTable, request: DBCoreMutateRequest): readonly unknown[] {
  if (request.type === 'deleteRange') return [];
  if (request.type === 'delete') return request.keys;
  const { extractKey } = table.schema.primaryKey;
  return request.values.map((value, i) => (request.keys?.[i] ?? extractKey?.(value)) as unknown);
}

function stampTable(core: DBCore, table: DBCoreTable, stamped: Stamped): DBCoreTable {
  return {
    ...table,
    mutate: async (request) => {
      const { trans } = request;
      // What an upgrade rewrites is stamped by the upgrade itself.
      if ((trans as IDBTransaction).mode === 'versionchange') return table.mutate(request);
      const keys = findKeys(table, request);
      const before: readonly unknown[] =
        keys.length === 0 ? [] : await table.getMany({ trans, keys: [...keys] });
      const answer = await table.mutate(request);
      const isPut = request.type === 'put' || request.type === 'add';
      const after = isPut ? request.values : [];
      const changed = keys.flatMap((_, i) =>
        before[i] === undefined && after[i] === undefined
          ? []
          : findChanged(stamped, before[i], after[i]),
      );
      try {
        await writeStamps(core, trans, changed);
      } catch (error) {
        // Dexie leaves a transaction of its own open: no change is stored without its time.
        trans.abort();
        throw error;
      }
      return answer;
    },
  };
}

/**
 * Stamps every change of a person's data in the transaction that makes it, whoever writes,
 * so that no change can be without its time. Clearing a whole store is no change: nothing
 * is left of it.
 */
export const stamping: Middleware<DBCore> = {
  stack: 'dbcore',
  name: 'stamping',
  create: (core) => ({
    ...core,
    transaction: (stores, mode, options) => {
      const isStamped = mode === 'readwrite' && stores.some((each) => each in STAMPED);
      const all = isStamped ? [...new Set([...stores, 'stamps', 'clock'])] : stores;
      return core.transaction(all, mode, options);
    },
    table: (name) => {
      const table = core.table(name);
      const stamped = STAMPED[name];
      return stamped === undefined ? table : stampTable(core, table, stamped);
    },
  }),
};
