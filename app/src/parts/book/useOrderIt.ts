import { nanoid } from 'nanoid';
import { itemFor, type BeltFields } from '@loose-pulley/core/drawer';
import { type Order, type OrderLine, type WantOf } from '@loose-pulley/core/orders';
import { changeBook } from '../../state/persistence/book';
import { selectItems, selectOrders, useAppDispatch, useAppSelector } from '../../state/store/hooks';

/** A line of an order that nothing has come of yet. */
export const newLine = (belt: BeltFields, quantity: number, of: Partial<OrderLine> = {}): OrderLine => ({
  id: nanoid(12),
  shape: belt.shape,
  thicknessMm: belt.thicknessMm,
  widthMm: belt.widthMm,
  innerLengthMm: belt.innerLengthMm,
  label: '',
  sellerNumber: '',
  price: null,
  insteadOf: '',
  wants: [],
  ...of,
  quantity,
  arrived: 0,
  wrong: 0,
  arrivedAt: null,
});

export const newOrder = (supplier: string, lines: readonly OrderLine[]): Order => ({
  id: nanoid(12),
  supplier,
  placedAt: null,
  expectedOn: '',
  reference: '',
  byCounter: false,
  lines,
  closedAt: null,
});

/** Puts a belt on the list of its supplier, which is begun where there is none. */
export function useOrderIt() {
  const dispatch = useAppDispatch();
  const items = useAppSelector(selectItems);
  const orders = useAppSelector(selectOrders);
  return (belt: BeltFields, quantity: number, wants: readonly WantOf[] = []): Promise<boolean> => {
    const item = itemFor(items, belt);
    const supplier = item?.supplier ?? '';
    const line = newLine(belt, quantity, {
      label: item?.label ?? '',
      sellerNumber: item?.sellerNumbers[0]?.number ?? '',
      price: item?.price ?? null,
      wants: wants.map(({ ticketId, want }) => ({ ticketId, wantId: want.id })),
    });
    const list = orders.find((one) => one.placedAt === null && one.supplier === supplier);
    return dispatch(
      changeBook([
        { type: 'orderPut', order: list ? { ...list, lines: [...list.lines, line] } : newOrder(supplier, [line]) },
      ]),
    );
  };
}
