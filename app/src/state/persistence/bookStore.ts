import {
  BOOK_FORMAT,
  BOOK_VERSION,
  bookEventFits,
  bookHead,
  emptyBook,
  type BookRecord,
} from '@loose-pulley/core/shop/book';
import { fits, shape, textOfJson } from '@loose-pulley/core/base/schema';
import { BOOK_BEFORE as BEFORE, BOOK_KEY as KEY, BOOK_REVISION as REVISION } from './bookKeys';
import { Stale } from './commit';
import { answerOf, settingsTable, transactionOver } from './storage';

/*
 * The bench book in the store: one record and its revision, read and written together. Whoever writes has read the
 * revision that lies there, or is refused: two tabs never write over each other.
 */

const NAME = 'settings';
const headShape = shape(bookHead);

export interface StoredBook {
  /** Null where what lies there cannot be read. */
  readonly record: BookRecord | null;
  readonly revision: number;
  readonly newer: boolean;
  /** Why it cannot be read, in words; it is left as it is. */
  readonly why: string;
}

/** The book that another took the place of, as it lay there, and when. */
export interface BookBefore {
  readonly stored: unknown;
  /** ISO 8601. */
  readonly at: string;
}

/** Why a stored book cannot be worked with; '' where it can. */
export function whyUnreadable(stored: unknown): string {
  const { format, version, events, ...head } = (stored ?? {}) as Partial<BookRecord>;
  if (format !== BOOK_FORMAT || typeof version !== 'number') return 'it is not shaped like a bench book.';
  const newer = version > BOOK_VERSION;
  if (!fits(headShape, { ...head, format, version: Math.min(version, BOOK_VERSION) }))
    return newer
      ? 'a newer Loose Pulley wrote it. Update this one, then try again.'
      : 'what it holds is not shaped like a bench book.';
  if (!Array.isArray(events)) return 'it has no history.';
  const wrong = newer ? -1 : events.findIndex((event) => !bookEventFits(event));
  return wrong >= 0 ? `entry ${wrong + 1} of its history cannot be read.` : '';
}

/** Reads the book; an empty one where there is none. */
export async function loadBookRecord(): Promise<StoredBook> {
  const table = (await transactionOver([settingsTable], 'readonly')).objectStore(NAME);
  const [stored, revision = 0] = await Promise.all([
    answerOf(table.get(KEY) as IDBRequest<unknown>),
    answerOf(table.get(REVISION) as IDBRequest<number | undefined>),
  ]);
  if (stored === undefined || stored === null) return { record: emptyBook(), revision, newer: false, why: '' };
  const why = whyUnreadable(stored);
  // One of before control characters were kept out at the door may have some in its words.
  const record = (why === '' ? stored : JSON.parse(textOfJson(JSON.stringify(stored)))) as BookRecord;
  if (why !== '' && whyUnreadable(record) !== '') return { record: null, revision, newer: false, why };
  return { record, revision, newer: record.version > BOOK_VERSION, why: '' };
}

/** What lies there, readable or not. */
export const loadRawBook = (): Promise<unknown> => settingsTable.getItem<unknown>(KEY);

/** The book that another took the place of; null where none did. */
export const loadBookBefore = (): Promise<BookBefore | null> => settingsTable.getItem<BookBefore>(BEFORE);

/**
 * Writes the book over the revision that was read, in one transaction.
 *
 * @param at where it takes the place of another: what lay there is kept beside it, as of then, whatever it is
 * @throws Stale where another tab wrote meanwhile; else what the browser threw
 */
export async function commitBook(record: BookRecord, over: number, at?: string): Promise<number> {
  const transaction = await transactionOver([settingsTable], 'readwrite');
  const table = transaction.objectStore(NAME);
  let stale = false;
  let refused: unknown;
  const aborting = (work: () => void) => (): void => {
    try {
      work();
    } catch (error) {
      refused = error;
      transaction.abort();
    }
  };
  const write = (): void => {
    table.put(record, KEY);
    table.put(over + 1, REVISION);
  };
  const found = table.get(REVISION) as IDBRequest<number | undefined>;
  found.onsuccess = aborting(() => {
    stale = (found.result ?? 0) !== over;
    if (stale) {
      transaction.abort();
      return;
    }
    if (at === undefined) {
      write();
      return;
    }
    const lay = table.get(KEY) as IDBRequest<unknown>;
    lay.onsuccess = aborting(() => {
      if (lay.result !== undefined) table.put({ stored: lay.result, at } satisfies BookBefore, BEFORE);
      write();
    });
  });
  return new Promise((resolve, reject) => {
    transaction.oncomplete = () => resolve(over + 1);
    transaction.onabort = () =>
      reject(stale ? new Stale([KEY]) : ((refused ?? transaction.error ?? new Error('The store gave up.')) as Error));
  });
}
