import Papa from 'papaparse';
import { ok, refuse, type Result } from '../units';
import { armed } from './write';

/**
 * A table as it was read: the line of the file on which each row begins, so that an error can be found there. Cells are as
 * they stand, blanks at their ends and all: whoever wrote them may have meant them.
 */
export interface Table {
  readonly head: readonly string[];
  readonly rows: ReadonlyArray<{ readonly line: number; readonly cells: readonly string[] }>;
}

/** A table longer than this is something else; it is refused before it is read. */
const MAX_BYTES = 60_000_000;

/** What parts the cells: whatever of these stands most often in the first line, quotes left out. */
function delimiterOf(text: string): string {
  const first = (text.split(/\r?\n/).find((line) => line.trim() !== '') ?? '').replace(/"[^"]*"/g, '');
  const count = (sign: string): number => first.split(sign).length - 1;
  return [',', ';', '\t', '|'].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

/**
 * The rows of a text whose cells a sign parts, empty rows left out.
 *
 * @example rowsOf('1;2', ';') // [['1', '2']]
 */
export const rowsOf = (text: string, delimiter: string): ReadonlyArray<readonly string[]> =>
  Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy' }).data;

/**
 * Reads a CSV (RFC 4180), with commas, semicolons or tabs, in quotes or not. Its first row names the columns.
 *
 * @returns the table, or a sentence that names the line
 * @example readTable('size;count\r\n1.2x116;3', 'a.csv').value // { head: ['size', 'count'], rows: [{ line: 2 }] }
 */
export function readTable(content: string, name: string): Result<Table> {
  if (content.length > MAX_BYTES) return refuse(`“${name}” is larger than 60 MB, too large for a list of belts.`);
  if (content.includes('\0')) return refuse(`“${name}” is no text: save it as CSV first.`);
  const text = content.replace(/^\ufeff/, '');
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: false, delimiter: delimiterOf(text) });
  const broken = errors.find(({ type }) => type === 'Quotes');
  // Rows may span lines, inside quotes: the line of each is counted as they come.
  let line = 1;
  const numbered = data.map((cells) => {
    const at = line;
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);
    return { line: at, cells: cells.map(armed) };
  });
  if (broken) {
    const at = numbered[broken.row ?? 0]?.line ?? 1;
    return refuse(`“${name}”, line ${at}: a quotation mark is opened and not closed. Nothing was changed.`);
  }
  const filled = numbered.filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const [head, ...rows] = filled;
  if (!head || rows.length === 0)
    return refuse(
      `“${name}” has no rows under its first line. Its first line names the columns, such as: size, quantity, place.`,
    );
  return ok({ head: head.cells.map((cell) => cell.trim()), rows });
}
