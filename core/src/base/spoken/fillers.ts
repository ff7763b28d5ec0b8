/** Words that begin a spoken line and say nothing. */
const FILLERS =
  /^(?:(?:ok(?:ay)?|so|er+m?|um+|uh|right(?= (?:then|so|now))|right,|well|now|then|and|next|first|first of all|let'?s see|let’s see),? )+(?=\S)/i;

/** A line without the words that only begin it. @example withoutFillers('okay so four screws') // 'four screws' */
export const withoutFillers = (line: string): string => line.replace(FILLERS, '');
