import type { TicketSummary } from '../../record/ticket';

/*
 * What may still come between a promise and its day, and is not planned for since nobody knows of it yet: that a belt must
 * be ordered, and that the first one does not do.
 */

export interface Risk {
  /** The chance that parts must be ordered which nobody has asked for yet. */
  readonly needsParts: number;
  /** The chance that the belt that is fitted first works. */
  readonly beltWorks: number;
  /** The chance that another, where it does not, must be ordered. */
  readonly orderAgain: number;
}

/* Of machines in for repair so many need a part that is not in the house, and so many first belts work, until the bench's
 * own tickets say so; each belief counts as four of them. Our judgement, no source. */
const NEEDS_PARTS = 0.4;
const FIRST_WORKS = 0.88;
const WORTH = 4;

/** What this bench's own past says of such surprises. */
export interface RiskOfBench {
  readonly needsParts: number;
  readonly beltWorks: number;
}

/**
 * How often parts had to be ordered and how often a belt was right, by the tickets that were handed back.
 *
 * @example riskOfBench([]) // { needsParts: 0.4, beltWorks: 0.88 }
 */
export function riskOfBench(summaries: readonly Pick<TicketSummary, 'closedAt' | 'wants' | 'judged'>[]): RiskOfBench {
  const closed = summaries.filter(({ closedAt }) => closedAt !== null);
  const ordered = closed.filter(({ wants }) => wants.length > 0).length;
  const judged = closed.flatMap((one) => one.judged);
  const right = judged.filter((one) => one.right).length;
  return {
    needsParts: (WORTH * NEEDS_PARTS + ordered) / (WORTH + closed.length),
    beltWorks: (WORTH * FIRST_WORKS + right) / (WORTH + judged.length),
  };
}

/**
 * What may still come between for one open ticket. Where a belt was judged right nothing of it is open; where one is wanted
 * its own chance counts, and what has to come is planned for already.
 */
export function riskOf(
  { wants, judged, marks }: Pick<TicketSummary, 'wants' | 'judged' | 'marks'>,
  bench: RiskOfBench,
  fitLeft: boolean,
): Risk {
  const settled = judged.some(({ right }) => right) || !fitLeft || !marks.includes('o');
  if (settled) return { needsParts: 0, beltWorks: 1, orderAgain: 0 };
  const chances = wants.map(({ belt }) => belt.chance);
  return {
    needsParts: wants.length > 0 || judged.length > 0 ? 0 : bench.needsParts,
    beltWorks: chances.length > 0 ? chances.reduce((all, one) => all * one, 1) : bench.beltWorks,
    orderAgain: bench.needsParts,
  };
}
