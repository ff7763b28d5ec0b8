/** Words that tell a finding: what it is of, and how that was found, in one clause and in either order. */
export interface Saying {
  readonly thing: RegExp;
  readonly state: RegExp;
}

/** For instance said(/belt/, /slack/) is told by “belt hangs slack” and by “slack belt”. */
export const said = (thing: RegExp, state: RegExp): Saying => ({ thing, state });

/* What holds, hides or carries a thing and is none itself. */
const HOLDS = 'guards?|covers?|brackets?|housings?|boards?|plates?|screws?|mounts?|shields?|holders?';
const BELONGS = `(?:${HOLDS}|bridges?|arms?|box|clips?|springs?|front|motors?|rails?|panels?|caps?|pulleys?|shafts?)`;

/** A word for a thing, and not for what only belongs to it: a belt guard is no belt. @example called('belts?').test('belt guard') // false */
export const called = (words: string): RegExp => new RegExp(String.raw`\b(?:${words})\b(?![- ]${BELONGS}\b)`);

/** A clause without the names of what only belongs to a place: dirt on a pulley's bracket is none on the pulley. */
export const withoutParts = (clause: string): string =>
  clause.replace(new RegExp(String.raw`\b(?:\w+ )?\w+[- ](?:${HOLDS})\b`, 'g'), ' ');

/** Words before a state by which it is denied. */
const DENIED = /\b(?:not|no longer|never|isn[’']?t|wasn[’']?t|aren[’']?t|without|neither|nor|no)(?: \w+){0,2} ?$/;
/** What is only asked, supposed, nearly so, once was so or told by another is nothing that was seen here. */
const UNSURE =
  /\?|\b(?:nearly|almost|used to|about to|will be|says?|said|claims?|reckons|according to|told (?:me|us)|if|whether|check|look for|maybe|perhaps|might|may be|could be|in case)\b/;

/** The clauses of a line. What names nothing of its own goes on about what the clause before it named. */
export const clausesOf = (line: string): readonly string[] =>
  line
    .toLowerCase()
    .split(/[,;.:]\s+|[,;]|\s(?:and|but)\s/)
    .map((clause) => clause.trim())
    .filter((clause) => clause !== '');

/** Whether a clause says that a state is so: it says its word, and does not deny it. @example saysSo('belt not broken', /broken/) // false */
export function saysSo(clause: string, state: RegExp): boolean {
  const match = state.exec(clause);
  return match !== null && !DENIED.test(clause.slice(0, match.index)) && !UNSURE.test(clause);
}
