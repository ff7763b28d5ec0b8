/** A way to read a stretch of a line as one thing of the grammar. The less it costs, the likelier it is meant. */
export interface Reading<Value> {
  readonly value: Value;
  readonly cost: number;
}

/** A rule: what stands on the left is made of what stands on the right, in this order. */
export interface Rule<Value> {
  readonly makes: string;
  readonly of: readonly string[];
  readonly cost: number;
  /** What it then says; undefined where these do not go together. */
  readonly says: (parts: readonly Value[]) => Value | undefined;
}

/** A word's sense, or that of several words: an edge of the chart. */
export interface Edge<Value> extends Reading<Value> {
  readonly from: number;
  readonly to: number;
  readonly sense: string;
}

export interface Grammar<Value> {
  readonly rules: readonly Rule<Value>[];
  readonly start: string;
  /** How many readings of one stretch are kept, for the start and for anything else. */
  readonly keep: { readonly start: number; readonly other: number };
  /** Readings of the start that come to the same are one: the cheaper stays. */
  readonly sameAs: (value: Value) => string;
}

interface Item<Value> {
  readonly rule: Rule<Value>;
  readonly origin: number;
  readonly parts: readonly Value[];
  readonly cost: number;
}

/** A grammar made ready: its rules by what they begin with, and what must be finished before what. */
export interface Prepared<Value> extends Grammar<Value> {
  readonly rulesFrom: ReadonlyMap<string, readonly Rule<Value>[]>;
  readonly rank: ReadonlyMap<string, number>;
}

/**
 * Makes a grammar ready. A thing that may be made of one other alone is finished after it.
 *
 * @throws where things can be made of each other in a ring, by rules of one part
 */
export function prepared<Value>(grammar: Grammar<Value>): Prepared<Value> {
  const rulesFrom = new Map<string, Rule<Value>[]>();
  for (const rule of grammar.rules) rulesFrom.set(rule.of[0] ?? '', [...(rulesFrom.get(rule.of[0] ?? '') ?? []), rule]);
  const rank = new Map<string, number>();
  const rankOf = (name: string, above: readonly string[]): number => {
    const known = rank.get(name);
    if (known !== undefined) return known;
    if (above.includes(name)) throw new Error(`“${name}” is made of itself: ${[...above, name].join(' < ')}.`);
    const alone = grammar.rules.filter(({ makes, of }) => makes === name && of.length === 1);
    const own = alone.reduce((most, { of }) => Math.max(most, rankOf(of[0] ?? '', [...above, name]) + 1), 0);
    rank.set(name, own);
    return own;
  };
  for (const { makes, of } of grammar.rules) for (const name of [makes, ...of]) rankOf(name, []);
  return { ...grammar, rulesFrom, rank };
}

/** What was found of a stretch: by its name, with its readings. */
type Found<Value> = Map<string, Reading<Value>[]>;

/**
 * Reads a line by a grammar that may be ambiguous: a chart parser, from left to right and from words upwards, after Earley
 * (1970). Every reading is found, and of each stretch the cheapest few are kept. Time is at most cubic in the number of
 * tokens.
 *
 * @param tokens how many there are
 * @param edges the senses of its words
 * @returns readings of the whole, the cheapest first; none where it cannot be read
 */
export function readings<Value>(
  tokens: number,
  edges: readonly Edge<Value>[],
  grammar: Prepared<Value>,
): readonly Reading<Value>[] {
  const { rulesFrom, rank, start } = grammar;
  /** Rules that have begun before a place and go on there, by what they wait for. */
  const waiting = Array.from({ length: tokens + 1 }, () => new Map<string, Item<Value>[]>());
  const ending: Edge<Value>[][] = Array.from({ length: tokens + 1 }, () => []);
  for (const edge of edges) ending[edge.to]?.push(edge);
  let whole: readonly Reading<Value>[] = [];
  for (let at = 1; at <= tokens; at++) {
    // What ends here, by where it began; what is short is finished before what holds it.
    const found: Array<Found<Value> | undefined> = [];
    const put = (origin: number, name: string, reading: Reading<Value>): void => {
      const here = (found[origin] ??= new Map<string, Reading<Value>[]>());
      const list = here.get(name);
      if (list) list.push(reading);
      else here.set(name, [reading]);
    };
    const goOn = ({ rule, origin, parts, cost }: Item<Value>, best: readonly Reading<Value>[]): void => {
      const next = parts.length + 1;
      for (const reading of best) {
        const own = [...parts, reading.value];
        const sum = cost + reading.cost;
        if (next === rule.of.length) {
          const value = rule.says(own);
          if (value !== undefined) put(origin, rule.makes, { value, cost: sum });
          continue;
        }
        const name = rule.of[next] ?? '';
        const list = waiting[at]?.get(name);
        const item = { rule, origin, parts: own, cost: sum };
        if (list) list.push(item);
        else waiting[at]?.set(name, [item]);
      }
    };
    for (const { from, sense, value, cost } of ending[at] ?? []) put(from, sense, { value, cost });
    for (let from = at - 1; from >= 0; from--) {
      const here = found[from];
      if (!here) continue;
      const done = new Set<string>();
      for (;;) {
        let name: string | undefined;
        for (const one of here.keys())
          if (!done.has(one) && (name === undefined || (rank.get(one) ?? 0) < (rank.get(name) ?? 0))) name = one;
        if (name === undefined) break;
        done.add(name);
        const best = cheapest(here.get(name) ?? [], grammar, name === start);
        here.set(name, best);
        for (const item of waiting[from]?.get(name) ?? []) goOn(item, best);
        // The start begins the line, and nothing within it.
        if (name === start && from > 0) continue;
        for (const rule of rulesFrom.get(name) ?? [])
          if (rule.makes !== start || from === 0) goOn({ rule, origin: from, parts: [], cost: rule.cost }, best);
      }
    }
    if (at === tokens) whole = found[0]?.get(start) ?? [];
  }
  return whole;
}

function cheapest<Value>(
  list: readonly Reading<Value>[],
  { keep, sameAs }: Grammar<Value>,
  isStart: boolean,
): Reading<Value>[] {
  if (list.length === 1) return [...list];
  const best: Reading<Value>[] = [];
  const seen = new Set<string>();
  const most = isStart ? keep.start : keep.other;
  for (const reading of [...list].sort((a, b) => a.cost - b.cost)) {
    const same = isStart ? sameAs(reading.value) : '';
    if (same !== '' && seen.has(same)) continue;
    seen.add(same);
    best.push(reading);
    if (best.length === most) break;
  }
  return best;
}
