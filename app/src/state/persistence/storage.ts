import localforage from 'localforage';
import { bench, homeBench, type Bench } from '../boot';

/**
 * The one seam to the browser's store. A database for the bench, another for the demo and another for practice, so that
 * none mixes with the other; a table each for tickets, their summaries (a cache) and settings; pictures in a database of
 * their own.
 */
const NAMES: Readonly<Record<Bench, string>> = {
  bench: 'loose-pulley',
  demo: 'loose-pulley-demo',
  practice: 'loose-pulley-practice',
};
const name = NAMES[bench];
const table = (storeName: string, database = name) =>
  localforage.createInstance({ name: database, storeName, driver: localforage.INDEXEDDB });

export type Table = ReturnType<typeof table>;
export const ticketTable: Table = table('tickets');
export const summaryTable: Table = table('summaries');
export const settingsTable: Table = table('settings');
/** The settings of the bench that practice stands beside. */
export const homeSettings = (): Table => table('settings', NAMES[homeBench]);
/** What is being taken in, whole, so that a tab that dies in between leaves nothing half done. */
export const journalTable: Table = table('journal');
export const pictureTable: Table = table('pictures', `${name}-pictures`);
export const databaseName = name;

/** Our own connections beside localForage's, by the name of their database. */
const connections = new Map<string, Promise<IDBDatabase>>();

/** A connection that steps aside at once where a database is about to grow a table, and is opened anew when next asked for. */
function connectionTo(database: string): Promise<IDBDatabase> {
  const known = connections.get(database);
  if (known) return known;
  const opened = answerOf(indexedDB.open(database)).then((db) => {
    const forget = (): void => {
      if (connections.get(database) === opened) connections.delete(database);
    };
    db.onclose = forget;
    db.onversionchange = () => {
      forget();
      db.close();
    };
    return db;
  });
  connections.set(database, opened);
  opened.catch(() => connections.delete(database));
  return opened;
}

/** The browser closed the connection, or it is older than the newest table. */
const isStale = (error: unknown): boolean =>
  error instanceof DOMException && (error.name === 'InvalidStateError' || error.name === 'NotFoundError');

/**
 * A transaction over tables of one database: for what localForage has no words for, many records at once and two tables
 * together. It stands on a connection of our own to the tables that localForage has made, so on nothing private to it.
 */
export async function transactionOver(
  tables: readonly [Table, ...Table[]],
  mode: IDBTransactionMode,
): Promise<IDBTransaction> {
  await Promise.all(tables.map((one) => one.ready()));
  const names = tables.map((one) => one.config().storeName as string);
  const database = tables[0].config().name as string;
  const db = await connectionTo(database);
  try {
    return db.transaction(names, mode);
  } catch (error) {
    if (!isStale(error)) throw error;
    connections.delete(database);
    return (await connectionTo(database)).transaction(names, mode);
  }
}

/** What a request to the store answers. */
export const answerOf = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error ?? new Error('The store gave up.'));
  });

/** How many records are read at a time: few enough that the page answers in between. */
const AT_A_TIME = 250;

/** Every record of a table with its key, some at a time; of a share of it, from one key to another. */
export async function* recordsOf<T>(
  table: Table,
  between?: readonly [from: string, to: string],
): AsyncGenerator<ReadonlyArray<readonly [string, T]>> {
  let after: string | undefined;
  for (;;) {
    const store = (await transactionOver([table], 'readonly')).objectStore(table.config().storeName as string);
    const from = after ?? between?.[0];
    const range =
      from === undefined
        ? undefined
        : between
          ? IDBKeyRange.bound(from, between[1], after !== undefined)
          : IDBKeyRange.lowerBound(from, true);
    const [keys, values] = await Promise.all([
      answerOf(store.getAllKeys(range, AT_A_TIME)),
      answerOf(store.getAll(range, AT_A_TIME) as IDBRequest<T[]>),
    ]);
    if (keys.length > 0) yield keys.map((key, index) => [key as string, values[index] as T] as const);
    if (keys.length < AT_A_TIME || keys.at(-1) === between?.[1]) return;
    after = keys.at(-1) as string;
  }
}

/** Why the store did not keep something, in words for the bench. */
export interface StoreProblem {
  readonly kind: 'full' | 'refused';
  readonly sentence: string;
}

/** Turns whatever the browser threw into words. */
export function storeProblem(error: unknown): StoreProblem {
  const said =
    error instanceof Error || error instanceof DOMException ? `${error.name} ${error.message}` : String(error);
  if (/quota|full|disk/i.test(said)) {
    return {
      kind: 'full',
      sentence:
        'The disk is full, so the last change is not kept yet. Export this ticket now, then free some space; it is tried again by itself.',
    };
  }
  return {
    kind: 'refused',
    sentence:
      'This browser refuses to keep data here (a private window, perhaps). Work goes on, but is lost when the tab closes: export the ticket before.',
  };
}
