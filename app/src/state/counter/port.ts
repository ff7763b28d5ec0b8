import type { BeltFields } from '@loose-pulley/core/shop/drawer';
import type { Result } from '@loose-pulley/core/base/units';

/*
 * The port to a parts counter: somebody who has belts, says what they cost, and sends them. The demo has a simulated one;
 * a real one would be another adapter. Outside the demo there is none, and nothing leaves this machine.
 */

/** A line as it is asked for. */
export interface Asked {
  readonly lineId: string;
  readonly belt: BeltFields;
  readonly quantity: number;
}

/** What the counter says to a line. A substitute is an offer, never a delivery by itself. */
export interface Offered {
  readonly lineId: string;
  readonly state: 'has' | 'few' | 'soldOut';
  readonly inStock: number;
  readonly price: number;
  /** Days until it would be here, about. */
  readonly days: number;
  readonly substitute: { readonly belt: BeltFields; readonly price: number; readonly inStock: number } | null;
}

export interface Placed {
  readonly reference: string;
  readonly expectedOn: string;
  /** What the counter has ordered: the list may have changed since it was asked. */
  readonly lines: readonly Asked[];
}

/** A bag as it comes: how many, and what a caliper reads of one of them, doubled flat. Whether it is right is the bench's to see. */
export interface Bag {
  readonly lineId: string;
  readonly count: number;
  readonly readsDoubledMm: number;
}

export type Parcel =
  | { readonly state: 'onItsWay'; readonly expectedOn: string }
  | { readonly state: 'here'; readonly bags: readonly Bag[] };

/** Said where the counter was asked and did not answer: nobody knows yet. */
export const MAY_BE_ORDERED =
  'The parts counter did not answer. It may have been ordered: ask again, with the same number it is ordered once.';

export interface PartsCounter {
  readonly name: string;
  ask(lines: readonly Asked[]): Promise<Result<readonly Offered[]>>;
  /** @param number the order’s own: what was asked with it before is the same order */
  order(number: string, lines: readonly Asked[]): Promise<Result<Placed>>;
  /** @param hurry in the demo the days pass at once */
  parcel(reference: string, lines: readonly Asked[], hurry: boolean): Promise<Result<Parcel>>;
}
