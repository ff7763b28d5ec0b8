import { lazily } from './lazily';

/*
 * Words made by the platform's own rules: plurals, lists, days. English on every machine, so that a sheet printed here
 * reads the same elsewhere.
 */

const LOCALE = 'en-GB';

const listsOf = {
  and: lazily(() => new Intl.ListFormat(LOCALE)),
  or: lazily(() => new Intl.ListFormat(LOCALE, { type: 'disjunction' })),
};
const wholeNumbers = lazily(() => new Intl.NumberFormat(LOCALE));
const days = lazily(() => new Intl.DateTimeFormat(LOCALE, { dateStyle: 'long', timeZone: 'UTC' }));

/**
 * The form of a noun for a count. @example plural(1, 'screw') // 'screw'
 *
 * @param many where it is not the one with an s
 */
export const plural = (count: number, one: string, many = `${one}s`): string =>
  // The whole of the rule for English.
  count === 1 ? one : many;

/** How many of what. @example counted(2, 'screw') // '2 screws'; counted(1, 'time') // '1 time' */
export const counted = (count: number, one: string, many?: string): string =>
  `${count < 1000 ? count : wholeNumbers().format(count)} ${plural(count, one, many)}`;

/** A list as it is read. @example listed(['lid', 'tray', 'belt']) // 'lid, tray and belt' */
export const listed = (items: readonly string[], how: 'and' | 'or' = 'and'): string => listsOf[how]().format(items);

/**
 * A day as it is written out, from `2027-02-27` or a moment in UTC; the text itself where it is no day.
 *
 * @example formatDay('2027-02-27') // '27 February 2027'
 */
export function formatDay(day: string): string {
  const at = new Date(day);
  return Number.isNaN(at.getTime()) ? day : days().format(at);
}

/** The same words with a capital in front. @example capital('tray held back') // 'Tray held back' */
export const capital = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

/**
 * Words without what no file can carry: control characters are blanks, and blanks in a row one.
 *
 * @example plainWords('two\r\nlines\u0000') // 'two lines'
 */
export const plainWords = (words: string): string =>
  words
    .replace(/[\p{Cc}\u2028\u2029]+/gu, ' ')
    .replace(/ {2,}/g, ' ')
    .trim();
