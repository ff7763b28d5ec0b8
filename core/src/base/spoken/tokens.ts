/** A word, a figure or a mark of a typed line, and where it stands. */
export interface Token {
  /** In lower case, with apostrophes straight. */
  readonly word: string;
  readonly from: number;
  readonly to: number;
  /** Nothing stands between it and the one before: the 2 of J2, the mm of 6mm. */
  readonly glued: boolean;
}

const PIECE = /\d+(?:[.,]\d+)?|\p{L}+(?:['’]\p{L}+)?|[^\s\p{L}\d]/gu;

/**
 * A line as tokens. A hyphen between letters joins two words (drive-pulley) and is none itself; between figures it tells a
 * range and stays. Every other sign that is no space is a token.
 *
 * @example tokensOf('2x ph0').map(({ word }) => word) // ['2', 'x', 'ph', '0']
 */
export function tokensOf(line: string): readonly Token[] {
  const tokens: Token[] = [];
  for (const { 0: text, index: from } of line.matchAll(PIECE)) {
    const to = from + text.length;
    const joins = text === '-' && /[\p{L}\d]/u.test(line[from - 1] ?? '') && /\p{L}/u.test(line[to] ?? '');
    if (joins) continue;
    const before = tokens.at(-1);
    tokens.push({ word: text.toLowerCase().replaceAll('’', "'"), from, to, glued: before?.to === from });
  }
  return tokens;
}
