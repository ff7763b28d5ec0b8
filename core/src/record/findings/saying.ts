/** Words that tell a finding: what it is of, and how that was found, in one clause and in either order. */
export interface Saying {
  readonly thing: RegExp;
  readonly state: RegExp;
}

/** For instance said(/belt/, /slack/) is told by “belt hangs slack” and by “slack belt”. */
export const said = (thing: RegExp, state: RegExp): Saying => ({ thing, state });

/** Words before a state by which it is denied. */
const DENIED = /\b(?:not|no longer|never|isn[’']?t|wasn[’']?t|aren[’']?t|without|neither|nor|no)(?: \w+){0,2} ?$/;
/** What is only asked, supposed or told to be looked for is no finding. */
const UNSURE = /\?|\b(?:if|whether|check|look for|maybe|perhaps|might|may be|could be|in case)\b/;

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
