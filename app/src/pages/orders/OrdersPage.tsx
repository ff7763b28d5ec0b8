import { isOut } from '@loose-pulley/core/shop/orders';
import { counted } from '@loose-pulley/core/base/units';
import { BookState } from '../../parts/book/BookState';
import { useNow } from '../../parts/clock/useNow';
import { Fold } from '../../parts/ui/Fold';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { selectItems, selectOrders, useAppSelector, useUnit } from '../../state/store/hooks';
import { OrderList, PlacedOrder } from './OneOrder';
import { useWants } from './useWants';
import { WantedList } from './WantedList';

/** A minute is near enough for days. */
const STEP_MS = 60_000;

/** What is wanted, what is on a list, what is out, what came. */
export function OrdersPage() {
  const unit = useUnit();
  const items = useAppSelector(selectItems);
  const orders = useAppSelector(selectOrders);
  const nowMs = Math.floor(useNow() / STEP_MS) * STEP_MS;
  const wants = useWants();
  const lists = orders.filter(({ placedAt }) => placedAt === null);
  const out = orders.filter(isOut);
  const done = orders.filter((one) => one.placedAt !== null && !isOut(one)).reverse();
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-2">
      <div className="bg-sheet px-5 py-5 lg:px-7">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-[30px] leading-tight font-bold">Orders</h1>
          <ButtonLink to="/drawer" look="quiet">
            To the drawer
          </ButtonLink>
        </div>
        <BookState />
        <section aria-labelledby="wanted" className="mt-4">
          <h2 id="wanted" className="border-b border-ink pb-1 text-lg">
            Wanted
          </h2>
          <WantedList wants={wants} items={items} orders={orders} unit={unit} />
        </section>
        <section aria-labelledby="lists" className="mt-8">
          <h2 id="lists" className="border-b border-ink pb-1 text-lg">
            On a list
          </h2>
          {lists.length === 0 && <p className="py-2 text-soft">No list is being made.</p>}
          {lists.map((order) => (
            <OrderList key={order.id} order={order} orders={orders} wants={wants} unit={unit} />
          ))}
        </section>
      </div>
      <div className="border-hair px-5 py-5 max-lg:border-t lg:border-l">
        <section aria-labelledby="out">
          <h2 id="out" className="border-b border-ink pb-1 text-lg">
            On its way
          </h2>
          {out.length === 0 && <p className="py-2 text-soft">Nothing is on its way.</p>}
          {out.map((order) => (
            <PlacedOrder key={order.id} order={order} orders={orders} unit={unit} nowMs={nowMs} />
          ))}
        </section>
        {done.length > 0 && (
          <Fold title={`Came, or closed: ${counted(done.length, 'order')}`} className="mt-6 border-t border-ink">
            {done.slice(0, 60).map((order) => (
              <PlacedOrder key={order.id} order={order} orders={orders} unit={unit} nowMs={nowMs} />
            ))}
          </Fold>
        )}
      </div>
    </div>
  );
}
