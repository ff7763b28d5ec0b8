import { nanoid } from 'nanoid';
import { itemFor, type BeltFields } from '@loose-pulley/core/shop/drawer';
import { newLine, newOrder, type WantOf } from '@loose-pulley/core/shop/orders';
import { changeBook } from '../../state/persistence/book';
import { selectItems, selectOrders, useAppDispatch, useAppSelector } from '../../state/store/hooks';

/** Puts a belt on the list of its supplier, which is begun where there is none. */
export function useOrderIt() {
  const dispatch = useAppDispatch();
  const items = useAppSelector(selectItems);
  const orders = useAppSelector(selectOrders);
  return (belt: BeltFields, quantity: number, wants: readonly WantOf[] = []): Promise<boolean> => {
    const item = itemFor(items, belt);
    const supplier = item?.supplier ?? '';
    const line = newLine(nanoid(12), belt, quantity, {
      label: item?.label ?? '',
      sellerNumber: item?.sellerNumbers[0]?.number ?? '',
      price: item?.price ?? null,
      wants: wants.map(({ ticketId, want }) => ({ ticketId, wantId: want.id })),
    });
    const list = orders.find((one) => one.placedAt === null && one.supplier === supplier);
    return dispatch(
      changeBook([
        {
          type: 'orderPut',
          order: list ? { ...list, lines: [...list.lines, line] } : newOrder(nanoid(12), supplier, [line]),
        },
      ]),
    );
  };
}
