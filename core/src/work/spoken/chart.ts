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
  /** Readings that come to the same are one: the cheaper stays. Empty: told apart from every other. */
  readonly sameAs: (value: Value) => string;
}

interface Item<Value> {
  readonly rule: Rule<Value>;
  readonly origin: number;
  readonly parts: readonly Value[];
  readonly cost: number;
}

/** A grammar made ready: its rules by what they make, and what must be finished before what. */
export interface Prepared<Value> extends Grammar<Value> {
  readonly rulesOf: ReadonlyMap<string, readonly Rule<Value>[]>;
  readonly rank: ReadonlyMap<string, number>;
}

/**
 * Makes a grammar ready. A thing that may be made of one other alone is finished after it.
 *
 * @throws where things can be made of each other in a ring, by rules of one part
 */
export function prepared<Value>(grammar: Grammar<Value>): Prepared<Value> {
  const rulesOf = new Map<string, Rule<Value>[]>();
  for (const rule of grammar.rules) rulesOf.set(rule.makes, [...(rulesOf.get(rule.makes) ?? []), rule]);
  const rank = new Map<string, number>();
  const rankOf = (name: string, above: readonly string[]): number => {
    const known = rank.get(name);
    if (known !== undefined) return known;
    if (above.includes(name)) throw new Error(`“${name}” is made of itself: ${[...above, name].join(' < ')}.`);
    const alone = (rulesOf.get(name) ?? []).filter(({ of }) => of.length === 1);
    const own = alone.reduce((most, { of }) => Math.max(most, rankOf(of[0] ?? '', [...above, name]) + 1), 0);
    rank.set(name, own);
    return own;
  };
  for (const { makes, of } of grammar.rules) for (const name of [makes, ...of]) rankOf(name, []);
  return { ...grammar, rulesOf, rank };
}

/**
 * Reads a line by a grammar that may be ambiguous, after Earley (1970): every reading is found, and of each stretch the
 * cheapest few are kept. Time is at most cubic in the number of tokens.
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
  const { rulesOf, rank, start } = grammar;
  const waiting: Array<Map<string, Item<Value>[]>> = Array.from(
    { length: tokens + 1 },
    () => new Map<string, Item<Value>[]>(),
  );
  const ending: Edge<Value>[][] = Array.from({ length: tokens + 1 }, () => []);
  for (const edge of edges) ending[edge.to]?.push(edge);

  const expect = (at: number, name: string): Item<Value>[] => {
    const column = waiting[at] as Map<string, Item<Value>[]>;
    const known = column.get(name);
    if (known) return known;
    const list: Item<Value>[] = [];
    column.set(name, list);
    for (const rule of rulesOf.get(name) ?? []) wait(at, { rule, origin: at, parts: [], cost: rule.cost });
    return list;
  };
  const wait = (at: number, item: Item<Value>): void => {
    expect(at, item.rule.of[item.parts.length] ?? '').push(item);
  };
  expect(0, start);

  let whole: readonly Reading<Value>[] = [];
  for (let at = 1; at <= tokens; at++) {
    // What ends here, by where it began; what is short is finished before what holds it.
    const found: Array<Map<string, Reading<Value>[]>> = Array.from(
      { length: at },
      () => new Map<string, Reading<Value>[]>(),
    );
    const put = (origin: number, name: string, reading: Reading<Value>): void => {
      const list = found[origin]?.get(name);
      if (list) list.push(reading);
      else found[origin]?.set(name, [reading]);
    };
    for (const { from, sense, value, cost } of ending[at] ?? []) put(from, sense, { value, cost });
    for (let from = at - 1; from >= 0; from--) {
      const here = found[from] as Map<string, Reading<Value>[]>;
      const done = new Set<string>();
      for (;;) {
        let name: string | undefined;
        for (const one of here.keys())
          if (!done.has(one) && (name === undefined || (rank.get(one) ?? 0) < (rank.get(name) ?? 0))) name = one;
        if (name === undefined) break;
        done.add(name);
        const best = cheapest(here.get(name) ?? [], grammar, name === start);
        here.set(name, best);
        for (const item of waiting[from]?.get(name) ?? [])
          for (const { value, cost } of best) {
            const parts = [...item.parts, value];
            const next = { ...item, parts, cost: item.cost + cost };
            if (parts.length < item.rule.of.length) wait(at, next);
            else {
              const says = item.rule.says(parts);
              if (says !== undefined) put(item.origin, item.rule.makes, { value: says, cost: next.cost });
            }
          }
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
  const seen = new Set<string>();
  return [...list]
    .sort((a, b) => a.cost - b.cost)
    .filter(({ value }) => {
      const same = sameAs(value);
      if (same === '') return true;
      if (seen.has(same)) return false;
      seen.add(same);
      return true;
    })
    .slice(0, isStart ? keep.start : keep.other);
}
