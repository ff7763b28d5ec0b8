import { writtenDay } from '../../state/written';
import { useState } from 'react';
import {
  arrivesBy,
  chanceBy,
  isOut,
  orderText,
  outstanding,
  sumOf,
  deliveryOf,
  supplierKey,
  type Order,
  type WantOf,
} from '@loose-pulley/core/shop/orders';
import { writeTable } from '@loose-pulley/core/base/table';
import { inHundred } from '@loose-pulley/core/belts/probability';
import { counted, formatDay, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Button, CommitButton } from '../../parts/ui/Button';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { download } from '../../parts/ui/download';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextLine } from '../../parts/ui/TextLine';
import { counter, type Bag } from '../../state/counter';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { Arrival } from './Arrival';
import { askedOf, CounterQuote } from './CounterQuote';
import { Input } from '../../parts/ui/Input';

const DAY_MS = 86_400_000;
const dayOf = (ms: number): string => writtenDay(new Date(ms).toISOString());

/** A list that is being made: who, what, how many; printed, copied, saved, placed. */
export function OrderList({
  order,
  orders,
  wants,
  unit,
}: {
  readonly order: Order;
  readonly orders: readonly Order[];
  readonly wants: readonly WantOf[];
  readonly unit: LengthUnit;
}) {
  const dispatch = useAppDispatch();
  const [expectedOn, setExpectedOn] = useState('');
  const [said, setSaid] = useState('');
  const twin = orders.find(
    (one) => one.id !== order.id && one.placedAt === null && supplierKey(one.supplier) === supplierKey(order.supplier),
  );
  const total = sumOf(order);
  const save = (): void =>
    download(
      `order-${order.supplier || 'list'}.csv`,
      writeTable(
        ['quantity', 'belt', 'section mm', 'inner length mm', 'part number', 'price'],
        order.lines.map((line) => [
          line.quantity,
          beltLabel(line, 'mm').words,
          line.thicknessMm,
          Math.round(100 * line.innerLengthMm) / 100,
          line.sellerNumber,
          line.price,
        ]),
      ),
      'text/csv',
    );
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(orderText(order, unit));
      setSaid('Copied.');
    } catch {
      setSaid('The browser does not let it be copied. Print it, or save it as CSV.');
    }
  };
  return (
    <article aria-label={`List for ${order.supplier || 'a supplier'}`} className="grid gap-3 border-b border-ink py-3">
      <TextLine
        label="Supplier"
        value={order.supplier}
        maxLength={120}
        onText={(supplier, gesture) =>
          dispatch(changeBook([{ type: 'supplierNamed', orderId: order.id, supplier }], gesture))
        }
      />
      {twin && (
        <p className="flex flex-wrap items-center gap-x-3 border-l-4 border-live pl-3">
          There is another list for {twin.supplier || 'no supplier yet'}.
          <Button
            onClick={() => void dispatch(changeBook([{ type: 'listsJoined', orderId: order.id, intoId: twin.id }]))}
          >
            Make them one
          </Button>
        </p>
      )}
      <ul>
        {order.lines.map((line) => (
          <li key={line.id} className="flex flex-wrap items-end justify-between gap-3 border-b border-hair py-2">
            <span className="min-w-0">
              <strong>{beltLabel(line, unit).size}</strong>
              {line.insteadOf && <span className="text-sm text-soft"> instead of {line.insteadOf}</span>}
              <span className="block text-sm text-soft">
                {beltLabel(line, unit).words}
                {line.sellerNumber && ` · number ${line.sellerNumber}`}
                {line.wants
                  .map(({ ticketId }) => wants.find((one) => one.ticketId === ticketId)?.ticketNumber)
                  .filter(Boolean).length > 0 &&
                  ` · for ${line.wants.map(({ ticketId }) => wants.find((one) => one.ticketId === ticketId)?.ticketNumber ?? 'a ticket').join(', ')}`}
              </span>
            </span>
            <span className="flex items-end gap-2">
              <NumberLine
                label="How many"
                unit="pieces"
                min={1}
                max={10_000}
                value={line.quantity}
                onNumber={(value, gesture) =>
                  value !== null &&
                  Number.isInteger(value) &&
                  dispatch(
                    changeBook([{ type: 'lineCounted', orderId: order.id, lineId: line.id, quantity: value }], gesture),
                  )
                }
              />
              <Button
                look="quiet"
                aria-label={`Take ${beltLabel(line, unit).size} off the list`}
                onClick={() => {
                  void dispatch(changeBook([{ type: 'lineTakenOff', orderId: order.id, lineId: line.id }]));
                }}
              >
                Remove
              </Button>
            </span>
          </li>
        ))}
      </ul>
      <p>
        {counted(
          order.lines.reduce((sum, { quantity }) => sum + quantity, 0),
          'piece',
        )}
        {total === undefined ? ', not every price is known' : `, ${total.toFixed(2)} together`}.
      </p>
      <TextLine
        label="Note to them, where there is one"
        value={order.note ?? ''}
        maxLength={400}
        onText={(note, gesture) => dispatch(changeBook([{ type: 'orderNoted', orderId: order.id, note }], gesture))}
      />
      {counter && <CounterQuote order={order} counter={counter} wants={wants} unit={unit} />}
      <div className="flex flex-wrap items-end gap-2">
        <ButtonLink to={`/orders/${order.id}/print`}>Print it</ButtonLink>
        <Button onClick={() => void copy()}>Copy as text</Button>
        <Button onClick={save}>Save as CSV</Button>
        <label className="grid gap-1 text-sm text-soft">
          Expected on, if they say
          <Input
            type="date"
            className="text-ink"
            value={expectedOn}
            onChange={(event) => setExpectedOn(event.target.value)}
          />
        </label>
        <CommitButton
          look="strong"
          disabled={order.supplier.trim() === ''}
          onClick={() =>
            void dispatch(
              changeBook([{ type: 'orderPlaced', orderId: order.id, expectedOn, reference: '', byCounter: false }]),
            )
          }
        >
          It is ordered
        </CommitButton>
      </div>
      {order.supplier.trim() === '' && (
        <p className="text-sm text-soft">Say who it is ordered from: how long they take is learned by that.</p>
      )}
      <p role="status" className="empty:hidden">
        {said}
      </p>
    </article>
  );
}

/** An order that is out: when it may come, and what has come of it. */
export function PlacedOrder({
  order,
  orders,
  unit,
  nowMs,
}: {
  readonly order: Order;
  readonly orders: readonly Order[];
  readonly unit: LengthUnit;
  readonly nowMs: number;
}) {
  const dispatch = useAppDispatch();
  const [bags, setBags] = useState<readonly Bag[]>([]);
  const [said, setSaid] = useState('');
  const [opened, setOpened] = useState<string | null>(null);
  const out = isOut(order);
  const assumed = order.expectedOn === '' && deliveryOf(orders, order.supplier).seen === 0;
  const where = async (hurry: boolean): Promise<void> => {
    if (!counter) return;
    setSaid('Asking…');
    const parcel = await counter.parcel(order.reference, askedOf(order), hurry);
    if (!parcel.ok) setSaid(parcel.problem);
    else if (parcel.value.state === 'onItsWay') setSaid(`On its way, expected ${formatDay(parcel.value.expectedOn)}.`);
    else {
      setBags(parcel.value.bags);
      setSaid('It is here. Measure one of each bag before it goes into the drawer.');
    }
  };
  return (
    <article
      aria-label={`Order with ${order.supplier || 'a supplier'}`}
      className="grid gap-2 border-b border-ink py-3"
    >
      <h3 className="text-base">
        {order.supplier || 'A supplier'}
        {order.reference && <span className="font-normal text-soft"> · {order.reference}</span>}
      </h3>
      <p className="text-soft">
        Ordered {writtenDay(order.placedAt ?? '')}.{' '}
        {out
          ? `50 in 100 by ${dayOf(arrivesBy(order, orders, nowMs, 0.5))}, four in five by ${dayOf(arrivesBy(order, orders, nowMs, 0.8))}; within a day from now: ${inHundred(chanceBy(order, orders, nowMs, nowMs + DAY_MS))}.${assumed ? ' Assumed: nothing has come from them yet, and such parcels take about five days.' : ''}`
          : order.closedAt
            ? `Closed ${writtenDay(order.closedAt)}.`
            : 'All of it has come.'}
      </p>
      <ul>
        {order.lines.map((line) => {
          const left = outstanding(line);
          const bag = bags.find(({ lineId }) => lineId === line.id);
          return (
            <li key={line.id} className="grid gap-2 border-b border-hair py-2">
              <p className="flex flex-wrap items-center justify-between gap-2">
                <span>
                  <strong>{beltLabel(line, unit).size}</strong>{' '}
                  <span className="text-soft">
                    {line.arrived > line.quantity
                      ? `${line.arrived} here, ${line.quantity} ordered`
                      : `${line.arrived} of ${line.quantity} here`}
                    {line.wrong > 0 && `, ${line.wrong} wrong`}
                  </span>
                </span>
                {out && left > 0 && opened !== line.id && <Button onClick={() => setOpened(line.id)}>It came</Button>}
              </p>
              {out && left > 0 && (opened === line.id || bag) && (
                <Arrival
                  key={`${line.arrived} ${line.wrong} ${bag?.count ?? ''}`}
                  order={order}
                  line={line}
                  unit={unit}
                  count={bag?.count ?? left}
                  demoReadsMm={bag?.readsDoubledMm ?? null}
                />
              )}
            </li>
          );
        })}
      </ul>
      {out && (
        <div className="flex flex-wrap gap-2">
          {counter && order.byCounter && (
            <>
              <Button onClick={() => void where(false)}>Where is it?</Button>
              <Button onClick={() => void where(true)}>Demo: let the days pass</Button>
            </>
          )}
          <Button look="quiet" onClick={() => void dispatch(changeBook([{ type: 'orderClosed', orderId: order.id }]))}>
            The rest will not come
          </Button>
        </div>
      )}
      <p role="status" className="empty:hidden">
        {said}
      </p>
    </article>
  );
}
