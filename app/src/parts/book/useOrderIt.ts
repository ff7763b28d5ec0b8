import { nanoid } from 'nanoid';
import { itemFor, type BeltFields } from '@loose-pulley/core/shop/drawer';
import { listing, newLine, type WantOf } from '@loose-pulley/core/shop/orders';
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
    return dispatch(changeBook(listing(orders, supplier, [line], () => nanoid(12))));
  };
}
