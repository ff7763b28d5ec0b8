import type { BodyOf } from '../../record/stations';
import { sameSize } from '../drawer';
import type { Order, orderEvents, OrderLine } from './schema';

/** A supplier's name without what two hands write differently. @example supplierKey(' Corrie  belts') // 'corrie belts' */
export const supplierKey = (supplier: string): string => supplier.trim().replace(/\s+/g, ' ').toLowerCase();

/** The list that is being made for a supplier, by whichever spelling. */
export const listFor = (orders: readonly Order[], supplier: string): Order | undefined =>
  orders.find((one) => one.placedAt === null && supplierKey(one.supplier) === supplierKey(supplier));

/**
 * What puts lines on the list of a supplier: the list is begun where there is none, and what stands there for nobody in
 * particular becomes more of the same.
 *
 * For instance listing([], 'Mallow', [line], newId): a list begun, and its line
 */
export function listing(
  orders: readonly Order[],
  supplier: string,
  lines: readonly OrderLine[],
  newId: () => string,
): ReadonlyArray<BodyOf<typeof orderEvents>> {
  const list = listFor(orders, supplier);
  const orderId = list?.id ?? newId();
  return [
    ...(list ? [] : [{ type: 'orderBegun', orderId, supplier } as const]),
    ...lines.map((line) => {
      const known =
        line.wants.length === 0 ? list?.lines.find((one) => one.wants.length === 0 && sameSize(one, line)) : undefined;
      return known
        ? ({ type: 'lineMore', orderId, lineId: known.id, by: line.quantity } as const)
        : ({ type: 'lineListed', orderId, line } as const);
    }),
  ];
}
