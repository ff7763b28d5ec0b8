import {
  BOOK_EVENTS_MAX,
  BOOK_FORMAT,
  BOOK_VERSION,
  bookEventFits,
  bookHead,
  replayBook,
  type BookRecord,
} from '../../shop/book';
import { strToU8 } from 'fflate';
import { fits, shape, textOfJson } from '../../base/schema';
import { ok, refuse, type Result } from '../../base/units';
import { differences } from './difference';
import { pictureName } from './pictureKind';

/** A book of 20,000 sizes and ten years of events is some 60 MB; one above this is something else. */
const FILE_MAX_BYTES = 100_000_000;
const headShape = shape(bookHead);

/** From this version on a file carries its checksum. */
const SEALED_SINCE = 3;

/** The checksum of all that a book's file says beside it. */
const sealOf = (record: BookRecord): string => pictureName(strToU8(JSON.stringify(record)));

/** The bench book as a file, with the SHA-256 of what it says: another history that gives the same drawer is told by it. */
export const writeBookFile = (record: BookRecord): string => {
  const current = { ...record, version: BOOK_VERSION };
  return `${JSON.stringify({ ...current, sha256: sealOf(current) })}\n`;
};

/** A book as it was read. */
export interface BookFile {
  readonly record: BookRecord;
  /** Whether it was held to a checksum: files of the first two versions carry none. */
  readonly sealed: boolean;
}

/** What a file says, and its checksum. */
interface Sealed {
  readonly sha256?: unknown;
}

/**
 * Reads a bench book, whole or not at all: its shape, its checksum, and that its events give the book.
 *
 * @returns the record, or one sentence that says what is wrong with it
 */
export function readBookFile(content: string, name: string): Result<BookFile> {
  if (content.length > FILE_MAX_BYTES)
    return refuse(`“${name}” is larger than 100 MB, too large for a bench book. Nothing was changed.`);
  let whole: Sealed;
  let plain: Sealed;
  try {
    whole = (JSON.parse(content) ?? {}) as Sealed;
    // Sealed as it was, and read as text: files of before control characters were kept out at the door have some.
    plain = (JSON.parse(textOfJson(content)) ?? {}) as Sealed;
  } catch {
    return refuse(`“${name}” is broken or cut short. Nothing was changed.`);
  }
  const { sha256: seal, ...written } = whole;
  const { sha256: _, ...document } = plain;
  const { format, version } = document as { readonly format?: unknown; readonly version?: unknown };
  if (format !== BOOK_FORMAT)
    return refuse(
      `“${name}” is no bench book. Choose a .json that the Drawer has exported; a list of belts comes in as CSV.`,
    );
  if (typeof version === 'number' && version > BOOK_VERSION)
    return refuse(`“${name}” was written by a newer Loose Pulley. Update this bench first.`);
  const { events, ...head } = document as { readonly events?: unknown };
  if (!Array.isArray(events) || events.length > BOOK_EVENTS_MAX)
    return refuse(`“${name}” has no history. Nothing was changed.`);
  const wrong = events.findIndex((event) => !bookEventFits(event));
  if (wrong >= 0) return refuse(`“${name}”: entry ${wrong + 1} of its history cannot be read. Nothing was changed.`);
  if (!fits(headShape, head))
    return refuse(`“${name}”: what it holds is not shaped like a bench book. Nothing was changed.`);
  const record = document as unknown as BookRecord;
  const book = replayBook(record.events);
  if (!book.ok)
    return refuse(`“${name}”: its history does not give what it holds. ${book.problem} Nothing was changed.`);
  if (differences(book.value, record.book, 1).length > 0)
    return refuse(
      `“${name}” was changed by hand: its history gives another drawer than it holds. Nothing was changed.`,
    );
  const sealed = seal !== undefined;
  if (sealed ? seal !== sealOf(written as unknown as BookRecord) : record.version >= SEALED_SINCE)
    return refuse(
      `“${name}” is not as it was written: its checksum says so, or is missing. Choose an earlier export. Nothing was changed.`,
    );
  return ok({ record: { ...record, version: BOOK_VERSION }, sealed });
}
