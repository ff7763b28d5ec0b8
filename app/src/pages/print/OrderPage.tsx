import { writtenDay } from '../../state/written';
import { Link, useParams } from 'react-router';
import { sumOf } from '@loose-pulley/core/shop/orders';

import { beltLabel } from '@loose-pulley/core/base/shapes';
import { selectOrders, useAppSelector, useUnit } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';

/** An order on paper, as it goes to a supplier. */
export function OrderPage() {
  const unit = useUnit();
  const { orderId } = useParams();
  const order = useAppSelector(selectOrders).find(({ id }) => id === orderId);
  if (!order)
    return (
      <p className="p-5">
        There is no such order here.{' '}
        <Link to="/orders" className="underline">
          To the orders
        </Link>
      </p>
    );
  const total = sumOf(order);
  return (
    <article
      aria-label="Order"
      className="mx-auto w-full max-w-[760px] bg-sheet px-6 py-6 print:bg-transparent print:p-0"
    >
      <p className="mb-4 flex gap-3 print:hidden">
        <Button look="strong" onClick={() => window.print()}>
          Print
        </Button>
        <Link to="/orders" className="inline-flex min-h-11 items-center underline">
          Back to the orders
        </Link>
      </p>
      <h1 className="text-[28px] font-bold">Order</h1>
      <p>
        To <strong>{order.supplier || '………………………………'}</strong>
        {order.placedAt && `, ${writtenDay(order.placedAt)}`}
        {order.reference && `, ${order.reference}`}
      </p>
      <table className="mt-4 w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left text-sm text-soft">
            <th className="py-1 pr-3 text-right font-normal">pieces</th>
            <th className="py-1 pr-3 font-normal">belt</th>
            <th className="py-1 pr-3 font-normal">your number</th>
            <th className="py-1 text-right font-normal">each</th>
          </tr>
        </thead>
        <tbody>
          {order.lines.map((line) => (
            <tr key={line.id} className="border-b border-hair align-top">
              <td className="py-1 pr-3 text-right font-bold">{line.quantity}</td>
              <td className="py-1 pr-3">
                {beltLabel(line, unit).words}
                {line.label && <span className="block text-sm">{line.label}</span>}
              </td>
              <td className="py-1 pr-3">{line.sellerNumber}</td>
              <td className="py-1 text-right">{line.price?.toFixed(2) ?? ''}</td>
            </tr>
          ))}
        </tbody>
        {total !== undefined && (
          <tfoot>
            <tr>
              <td colSpan={3} className="py-1 pr-3 text-right">
                together
              </td>
              <td className="py-1 text-right font-bold">{total.toFixed(2)}</td>
            </tr>
          </tfoot>
        )}
      </table>
      <p className="mt-4">No other size instead without asking, please.</p>
    </article>
  );
}
