/** Words that deny what is said beside them. */
const DENIES =
  /\b(?:not|never|without|could ?n[o’']t|couldn[’']?t|could not|can ?not|didn[’']?t|did not|doesn[’']?t|does not|won[’']?t|hasn[’']?t|haven[’']?t|isn[’']?t|wasn[’']?t)\b/i;
/** Who has done it, where it was not this bench. */
const OTHERS =
  /\b(?:somebody|someone|previous|earlier|last (?:shop|hands|time|owner|repair)|the owner|owner|before me|they had|he had|she had|already|when i (?:opened|got)|when it (?:came|arrived)|factory|foreign)\b/i;

/** Whether a line denies something. @example denies('board not unscrewed') // true */
export const denies = (line: string): boolean => DENIES.test(line) && !/\bnot (?:out|off|removed)\b/i.test(line);
/** Whether a line tells of what others did. @example ofOthers('somebody glued the lid') // true */
export const ofOthers = (line: string): boolean => OTHERS.test(line);
