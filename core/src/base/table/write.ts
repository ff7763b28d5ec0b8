import Papa from 'papaparse';

/**
 * Rows as CSV (RFC 4180): CRLF, quoted where needed, a mark of UTF-8 in front so that every spreadsheet reads it as that.
 * A cell that a spreadsheet would take for a formula is disarmed with an apostrophe (OWASP, CSV injection); a plain
 * negative number stays one.
 *
 * @param head names of the columns
 * @example writeTable(['size', 'count'], [['1.2x116', 3]]) // '\ufeffsize,count\r\n1.2x116,3\r\n'
 */
export function writeTable(
  head: readonly string[],
  rows: ReadonlyArray<ReadonlyArray<string | number | null>>,
): string {
  const cells = rows.map((row) => row.map((cell) => (typeof cell === 'string' ? disarmed(cell) : (cell ?? ''))));
  return `\ufeff${Papa.unparse([head.map(disarmed), ...cells], { newline: '\r\n' })}\r\n`;
}

/** A formula, or one behind apostrophes that somebody wrote: those get one more, so that one less is what was written. */
const FORMULA = /^'*[=+\-@\t\r]/;
const PLAIN_NUMBER = /^[+-]?\d+([.,]\d+)?$/;

/** Text that no spreadsheet takes for a formula. @example disarmed('=1+1') // "'=1+1" */
export const disarmed = (text: string): string => (FORMULA.test(text) && !PLAIN_NUMBER.test(text) ? `'${text}` : text);

/** The same undone, so that what was written here is read as it was. @example armed("'=1+1") // '=1+1' */
export const armed = (text: string): string => (text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text);
