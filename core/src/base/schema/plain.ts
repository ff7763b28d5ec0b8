/* What text may hold, at every door: a character that is cut in half or that only steers a machine is no text. */

/** Control characters but tab and line ends, and half of a character that UTF-16 writes in two. */
const NO_TEXT = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\p{Surrogate}]/u;
const EACH_OF_THEM = new RegExp(NO_TEXT, 'gu');

/** Whether words can be kept and written to a file as they are. @example isText('two\nlines') // true */
export const isText = (words: string): boolean => !NO_TEXT.test(words);

/** The same words without what is no text. @example asText('a\u0000b') // 'ab' */
export const asText = (words: string): string => (isText(words) ? words : words.replace(EACH_OF_THEM, ''));

/** Such a character as JSON writes it; anything else behind a backslash, which is passed over whole. */
const ESCAPED = /\\(?:u00(?:0[0-8bcef]|1[0-9a-f]|7f|[89][0-9a-f])|[bf])|(\\[^])|[\u007f-\u009f]/gi;

/**
 * JSON without the control characters in its text: files of before they were kept out at the door are read all the same.
 *
 * @example textOfJson('{"a":"x\\u0000y"}') // '{"a":"xy"}'
 */
export const textOfJson = (json: string): string =>
  // Few files have any: most are only looked through.
  /\\(?:u00|[bf])|[\u007f-\u009f]/.test(json) ? json.replace(ESCAPED, (_, other?: string) => other ?? '') : json;
