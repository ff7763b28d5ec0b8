/*
 * Which belts to buy for a sum so that the most jobs find one that works: a coverage problem with a budget. Solved exactly
 * by branch and bound; the bound is that the gains of single belts never grow as more are bought (submodularity,
 * Nemhauser, Wolsey & Fisher 1978), filled up to the sum as a fractional knapsack.
 */

/** A kind of job and how many of it are expected. */
export interface Demand {
  readonly id: string;
  readonly expected: number;
}
/** A belt that can be bought: what it costs, and the chance that it works for each kind of job, in their order. */
export interface Offer {
  readonly id: string;
  readonly cost: number;
  readonly chances: readonly number[];
}

export interface Cover {
  /** Offers to buy, by id, the greatest gain first. */
  readonly bought: readonly string[];
  readonly cost: number;
  /** Jobs expected to find a belt that works. */
  readonly served: number;
  /** Whether nothing better is possible; false where the search was stopped. */
  readonly proved: boolean;
  /** What one more belt would add, whatever is left of the sum: the best of them. */
  readonly oneMore: { readonly id: string; readonly adds: number; readonly cost: number } | null;
}

const servedBy = (demands: readonly Demand[], best: readonly number[]): number =>
  demands.reduce((sum, { expected }, index) => sum + expected * (best[index] ?? 0), 0);

const gainOf = (demands: readonly Demand[], best: readonly number[], { chances }: Offer): number =>
  demands.reduce(
    (sum, { expected }, index) => sum + expected * Math.max(0, (chances[index] ?? 0) - (best[index] ?? 0)),
    0,
  );

const withOffer = (best: readonly number[], { chances }: Offer): number[] =>
  best.map((one, index) => Math.max(one, chances[index] ?? 0));

/** Offers that another beats at every job for no more money need not be looked at. */
function undominated(offers: readonly Offer[]): readonly Offer[] {
  const beats = (a: Offer, b: Offer): boolean =>
    a.cost <= b.cost && a.chances.every((chance, index) => chance >= (b.chances[index] ?? 0));
  return offers.filter(
    (one, at) => !offers.some((other, n) => n !== at && beats(other, one) && (!beats(one, other) || n < at)),
  );
}

const NEARLY = 1e-9;

/**
 * The offers that serve the most expected jobs for a sum, owned belts counted as there already.
 *
 * @param owned the best chance that what is in the drawer gives each job
 * @param least jobs that a belt must add to be bought: what adds less changes nothing that anybody would see
 * @param stop asked now and then; true ends the search with the best found so far, not proved
 * @example cover([{ id: 'T9', expected: 3 }], [0], [{ id: '116', cost: 2, chances: [0.9] }], 5).served // 2.7
 */
export function cover(
  demands: readonly Demand[],
  owned: readonly number[],
  offers: readonly Offer[],
  budget: number,
  stop: () => boolean = () => false,
  least = NEARLY,
): Cover {
  const start = demands.map((_, index) => owned[index] ?? 0);
  const useful = undominated(offers.filter((one) => one.cost <= budget && gainOf(demands, start, one) > NEARLY));
  let best: { readonly offers: readonly Offer[]; readonly served: number } = {
    offers: [],
    served: servedBy(demands, start),
  };
  let nodes = 0;
  let stopped = false;

  const walk = (taken: readonly Offer[], reached: readonly number[], money: number, left: readonly Offer[]): void => {
    nodes += 1;
    if (stopped || (nodes % 256 === 0 && stop())) {
      stopped = true;
      return;
    }
    const served = servedBy(demands, reached);
    if (served > best.served + NEARLY) best = { offers: taken, served };
    const gains = left
      .map((one) => ({ one, gain: gainOf(demands, reached, one) }))
      .filter(({ one, gain }) => one.cost <= money + NEARLY && gain > NEARLY)
      .sort((a, b) => b.gain / Math.max(NEARLY, b.one.cost) - a.gain / Math.max(NEARLY, a.one.cost));
    // The most that is still possible: gains do not grow, and at most every job is served by the best that is left.
    let bound = served;
    let purse = money;
    for (const { one, gain } of gains) {
      const share = one.cost <= purse ? 1 : purse / one.cost;
      bound += share * gain;
      purse -= share * one.cost;
      if (purse <= NEARLY) break;
    }
    const ceiling = servedBy(
      demands,
      gains.reduce<readonly number[]>((at, { one }) => withOffer(at, one), reached),
    );
    if (Math.min(bound, ceiling) <= best.served + NEARLY) return;
    const [first, ...others] = gains;
    if (!first) return;
    const rest = others.map(({ one }) => one);
    walk([...taken, first.one], withOffer(reached, first.one), money - first.one.cost, rest);
    walk(taken, reached, money, rest);
  };
  walk([], start, budget, useful);

  const servedWith = (list: readonly Offer[]): number =>
    servedBy(
      demands,
      list.reduce<readonly number[]>((at, one) => withOffer(at, one), start),
    );
  // What is missed by next to nobody is left in the shop, the least first.
  let kept = best.offers;
  for (;;) {
    const all = servedWith(kept);
    const losses = kept.map((one) => ({ one, loss: all - servedWith(kept.filter((other) => other !== one)) }));
    const [weakest] = losses.sort((a, b) => a.loss - b.loss);
    if (!weakest || weakest.loss >= least - NEARLY) break;
    kept = kept.filter((one) => one !== weakest.one);
  }
  best = { offers: kept, served: servedWith(kept) };
  const reached = kept.reduce<readonly number[]>((at, one) => withOffer(at, one), start);
  const next = offers
    .filter((one) => !best.offers.includes(one))
    .map((one) => ({ id: one.id, cost: one.cost, adds: gainOf(demands, reached, one) }))
    .filter(({ adds }) => adds >= least)
    .sort((a, b) => b.adds - a.adds || a.cost - b.cost)[0];
  return {
    bought: best.offers.map(({ id }) => id),
    cost: best.offers.reduce((sum, { cost }) => sum + cost, 0),
    served: best.served,
    proved: !stopped,
    oneMore: next ?? null,
  };
}
