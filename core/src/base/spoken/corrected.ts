/** Where a bench takes back what it has just said, and says it anew. */
const CORRECTS =
  /[,.]? ?\b(?:scratch that|correction|make that|i mean|sorry(?=,| \w+ (?:pulley|screw|clip|gear|belt|plug))|no(?=,)|wait(?=,)|actually(?=,? \d)|no(?= \d+ \w)|(?<=(?<![\w.,])\d+(?:[.,]\d+)?(?: (?:mm|cm|in))?[,.]? )no(?= \d[\d.,]*(?: (?:mm|cm|in))?$))[,:]? /i;
/** A number in words or figures. */
const COUNTED = /\b(?:\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\b/i;

/** What was said before a correction and after it; undefined where nothing was corrected. @example correctedIn('2 clips, no, 3 clips')?.after // '3 clips' */
export function correctedIn(line: string): { readonly before: string; readonly after: string } | undefined {
  const match = CORRECTS.exec(line);
  if (!match || match.index === 0) return undefined;
  const before = line.slice(0, match.index).replace(/[,. ]+$/, '');
  const after = line.slice(match.index + match[0].length).trim();
  if (before === '' || after === '') return undefined;
  // “Gear no 3” names it: a number is put right only where one stands before it too.
  const bare = /^\W*no\W*$/i.test(match[0]);
  return bare && !line.includes(',') && !COUNTED.test(before) ? undefined : { before, after };
}
