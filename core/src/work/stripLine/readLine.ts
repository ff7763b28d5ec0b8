import { LINE_MAX } from './deeds';
import { readPlain } from './readPlain';
import type { ReadLine } from './types';

/**
 * Reads one typed line by the grammar of the bench. Certain: one way. In doubt: two or three, to be answered by one key. Not
 * read at all: kept as typed, as a step of its own.
 *
 * @param typed at most `LINE_MAX` letters; what is longer is not read, so that nothing of it is lost
 * @returns undefined for an empty line
 * @example readLine('lens cover, 2 screws').ways[0].does.length // 2
 */
export function readLine(typed: string): ReadLine | undefined {
  const line = typed
    .replace(/[\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (line === '') return undefined;
  // What is too long is refused before anything of it is read.
  if (line.length > LINE_MAX)
    return {
      ways: [],
      asks: `A line has ${LINE_MAX} letters at most, and this has ${line.length}. Say it in several lines, or in the note below.`,
      unread: false,
    };
  return readPlain(line);
}
