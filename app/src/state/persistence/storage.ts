import localforage from 'localforage';
import { isDemo } from '../boot';

/**
 * The one seam to the browser's store. A database for the bench and another for the demo; a table each for tickets,
 * their summaries (a cache) and settings; pictures in a database of their own.
 */
const name = isDemo ? 'loose-pulley-demo' : 'loose-pulley';
const table = (storeName: string, database = name) =>
  localforage.createInstance({ name: database, storeName, driver: localforage.INDEXEDDB });

export type Table = ReturnType<typeof table>;
export const ticketTable: Table = table('tickets');
export const summaryTable: Table = table('summaries');
export const settingsTable: Table = table('settings');
/** What is being taken in, whole, so that a tab that dies in between leaves nothing half done. */
export const journalTable: Table = table('journal');
export const pictureTable: Table = table('pictures', `${name}-pictures`);
export const databaseName = name;

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

/** Asks the browser not to throw the store away when space runs short. Says nothing; the Log shows the answer. */
export async function askToPersist(): Promise<boolean> {
  try {
    return (await navigator.storage?.persist?.()) ?? false;
  } catch {
    return false;
  }
}
