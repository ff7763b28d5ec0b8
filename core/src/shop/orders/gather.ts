import { itemFor, sameSize, type BeltFields, type Item } from '../drawer';
import { counted, type LengthUnit } from '../../base/units';
import { beltLabel } from '../../base/shapes';
import { isOut, outstanding, wantState } from './standing';
import type { Order } from './schema';

/** What a ticket wants, with the ticket that wants it. */
export interface WantOf {
  readonly ticketId: string;
  readonly ticketNumber: string;
  readonly want: {
    readonly id: string;
    readonly belt: BeltFields;
    readonly count: number;
    readonly chance: number;
    readonly alternates: ReadonlyArray<{ readonly belt: BeltFields; readonly chance: number }>;
  };
}

/** Something that is to be ordered: a size, for whom, and how many. */
export interface Wanted {
  readonly belt: BeltFields;
  readonly label: string;
  readonly supplier: string;
  readonly sellerNumber: string;
  readonly price: number | null;
  readonly quantity: number;
  readonly wants: readonly WantOf[];
  /** It runs low in the drawer, whoever wants it. */
  readonly low: boolean;
}

/** Where a size came from before: the drawer's own word, else the last order of it. */
function sourceOf(belt: BeltFields, items: readonly Item[], orders: readonly Order[]) {
  const item = itemFor(items, belt);
  const before = [...orders]
    .reverse()
    .flatMap((order) => order.lines.filter((line) => sameSize(line, belt)).map((line) => ({ order, line })))[0];
  return {
    label: item?.label ?? before?.line.label ?? '',
    supplier: item?.supplier || before?.order.supplier || '',
    sellerNumber: item?.sellerNumbers[0]?.number ?? before?.line.sellerNumber ?? '',
    price: item?.price ?? before?.line.price ?? null,
  };
}

/** What one of a size costs: by the drawer, else by the last order of it; null where nobody said. */
export const priceOf = (belt: BeltFields, items: readonly Item[], orders: readonly Order[]): number | null =>
  sourceOf(belt, items, orders).price;

/**
 * What is to be ordered: what tickets want and no order has, and what runs low and nobody has ordered. One size is one
 * line, for whomever.
 *
 * @param low the sizes that run low
 */
export function gather(
  wants: readonly WantOf[],
  low: readonly Item[],
  items: readonly Item[],
  orders: readonly Order[],
): readonly Wanted[] {
  const found: Wanted[] = [];
  for (const want of wants) {
    if (wantState(orders, want.ticketId, want.want.id).at !== 'wanted') continue;
    const index = found.findIndex(({ belt }) => sameSize(belt, want.want.belt));
    const known = found[index];
    if (known) found[index] = { ...known, quantity: known.quantity + want.want.count, wants: [...known.wants, want] };
    else
      found.push({
        belt: want.want.belt,
        ...sourceOf(want.want.belt, items, orders),
        quantity: want.want.count,
        wants: [want],
        low: false,
      });
  }
  for (const item of low) {
    if (onOrder(orders, item) > 0) continue;
    const index = found.findIndex(({ belt }) => sameSize(belt, item));
    const known = found[index];
    if (known) found[index] = { ...known, quantity: known.quantity + 1, low: true };
    else
      found.push({
        belt: item,
        ...sourceOf(item, items, orders),
        quantity: Math.max(1, (item.lowAt ?? 0) + 1 - item.quantity),
        wants: [],
        low: true,
      });
  }
  return found;
}

/** How many of a size are on lists or on their way. */
export const onOrder = (orders: readonly Order[], belt: BeltFields): number =>
  orders
    .filter((order) => order.placedAt === null || isOut(order))
    .flatMap(({ lines }) => lines)
    .filter((line) => sameSize(line, belt))
    .reduce((sum, line) => sum + outstanding(line), 0);

/** What an order comes to, where every line has its price; undefined else. */
export function sumOf({ lines }: Pick<Order, 'lines'>): number | undefined {
  let sum = 0;
  for (const { price, quantity } of lines) {
    if (price === null) return undefined;
    sum += price * quantity;
  }
  return sum;
}

/** An order as it is written to a supplier. */
export function orderText(order: Order, unit: LengthUnit): string {
  const total = sumOf(order);
  const pieces = order.lines.reduce((sum, { quantity }) => sum + quantity, 0);
  return [
    `To ${order.supplier || 'the supplier'}`,
    '',
    ...order.lines.map(({ quantity, sellerNumber, label, ...belt }) =>
      [`${quantity} × ${beltLabel(belt, unit).words}`, sellerNumber && `your number ${sellerNumber}`, label]
        .filter(Boolean)
        .join(', '),
    ),
    '',
    ...(order.note ? [order.note, ''] : []),
    `${counted(pieces, 'piece')}${total === undefined ? '' : `, ${total.toFixed(2)} together`}.`,
    'No other size instead without asking, please.',
    '',
  ].join('\n');
}
