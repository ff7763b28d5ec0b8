import { BOOK_VERSION, emptyBook, type BookRecord } from '@loose-pulley/core/shop/book';
import { BOOK_KEY as KEY, BOOK_REVISION as REVISION } from './bookKeys';
import { Stale } from './commit';
import { answerOf, settingsTable, transactionOver } from './storage';

/*
 * The bench book in the store: one record and its revision, read and written together. Whoever writes has read the
 * revision that lies there, or is refused: two tabs never write over each other.
 */

const NAME = 'settings';

export interface StoredBook {
  readonly record: BookRecord;
  readonly revision: number;
  readonly newer: boolean;
}

/** Reads the book; an empty one where there is none. */
export async function loadBookRecord(): Promise<StoredBook> {
  const table = (await transactionOver([settingsTable], 'readonly')).objectStore(NAME);
  const [record, revision] = await Promise.all([
    answerOf(table.get(KEY) as IDBRequest<BookRecord | undefined>),
    answerOf(table.get(REVISION) as IDBRequest<number | undefined>),
  ]);
  const found = record ?? emptyBook();
  return { record: found, revision: revision ?? 0, newer: found.version > BOOK_VERSION };
}

/**
 * Writes the book over the revision that was read, in one transaction.
 *
 * @throws Stale where another tab wrote meanwhile; else what the browser threw
 */
export async function commitBook(record: BookRecord, over: number): Promise<number> {
  const transaction = await transactionOver([settingsTable], 'readwrite');
  const table = transaction.objectStore(NAME);
  let stale = false;
  let refused: unknown;
  const found = table.get(REVISION) as IDBRequest<number | undefined>;
  found.onsuccess = () => {
    try {
      stale = (found.result ?? 0) !== over;
      if (stale) {
        transaction.abort();
        return;
      }
      table.put(record, KEY);
      table.put(over + 1, REVISION);
    } catch (error) {
      refused = error;
      transaction.abort();
    }
  };
  return new Promise((resolve, reject) => {
    transaction.oncomplete = () => resolve(over + 1);
    transaction.onabort = () =>
      reject(stale ? new Stale([KEY]) : ((refused ?? transaction.error ?? new Error('The store gave up.')) as Error));
  });
}
