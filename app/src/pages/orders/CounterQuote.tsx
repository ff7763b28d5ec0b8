import { nanoid } from 'nanoid';
import { useState } from 'react';
import { sameSize, type BeltFields } from '@loose-pulley/core/shop/drawer';
import { newLine, type Order, type WantOf } from '@loose-pulley/core/shop/orders';
import { inHundred } from '@loose-pulley/core/belts/probability';
import { capital, counted, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Button, CommitButton } from '../../parts/ui/Button';
import { changeBook } from '../../state/persistence/book';
import { MAY_BE_ORDERED, type Asked, type Offered, type PartsCounter } from '../../state/counter';
import { useAppDispatch } from '../../state/store/hooks';

/** What a substitute is worth to those who wait for the line: its chance where it was worked out, else that it was not. */
function judged(belt: BeltFields, lineWants: Order['lines'][number]['wants'], wants: readonly WantOf[]): string {
  const chances = lineWants.flatMap(({ ticketId, wantId }) => {
    const of = wants.find((one) => one.ticketId === ticketId && one.want.id === wantId);
    const would = of?.want.alternates.find((one) => sameSize(one.belt, belt));
    return of ? [`${of.ticketNumber}: ${would ? inHundred(would.chance) : 'not among what would do'}`] : [];
  });
  return chances.length > 0 ? chances.join(', ') : 'no ticket waits for it';
}

/** The lines of an order as the counter is asked for them. */
export const askedOf = ({ lines }: Order): readonly Asked[] =>
  lines.map(({ id, quantity, shape, thicknessMm, widthMm, innerLengthMm }) => ({
    lineId: id,
    quantity,
    belt: { shape, thicknessMm, widthMm, innerLengthMm },
  }));

/** A list shown to the parts counter: what it has, what it would send instead; nothing is taken that was not chosen. */
export function CounterQuote({
  order,
  counter,
  wants,
  unit,
}: {
  readonly order: Order;
  readonly counter: PartsCounter;
  readonly wants: readonly WantOf[];
  readonly unit: LengthUnit;
}) {
  const dispatch = useAppDispatch();
  const [offers, setOffers] = useState<readonly Offered[] | null>(null);
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState('');
  const [unsure, setUnsure] = useState(false);
  const asked = askedOf(order);
  const ask = async (): Promise<void> => {
    setBusy(true);
    setSaid('Asking…');
    const answer = await counter.ask(asked);
    setBusy(false);
    setOffers(answer.ok ? answer.value : null);
    setSaid(answer.ok ? '' : answer.problem);
  };
  const swap = (lineId: string, belt: BeltFields, price: number): void => {
    const line = order.lines.find(({ id }) => id === lineId);
    if (!line) return;
    const { shape, thicknessMm, widthMm, innerLengthMm } = belt;
    const insteadOf = line.insteadOf || beltLabel(line, 'mm').size;
    setOffers(null);
    void dispatch(
      changeBook([
        {
          type: 'lineSwapped',
          orderId: order.id,
          lineId,
          shape,
          thicknessMm,
          widthMm,
          innerLengthMm,
          price,
          insteadOf,
        },
      ]),
    );
  };
  const drop = (lineId: string): void => {
    setOffers((before) => before && before.filter((one) => one.lineId !== lineId));
    void dispatch(changeBook([{ type: 'lineTakenOff', orderId: order.id, lineId }]));
  };
  const place = async (): Promise<void> => {
    setBusy(true);
    // By its own number the counter knows it again: asked twice, or by two tabs, it is ordered once.
    const placed = await counter.order(order.id, asked);
    setBusy(false);
    if (!placed.ok) {
      setSaid(placed.problem);
      setUnsure(placed.problem === MAY_BE_ORDERED);
      return;
    }
    setUnsure(false);
    const { reference, expectedOn, lines } = placed.value;
    // By what the counter has ordered: what came upon the list meanwhile stays on one.
    const ordered = lines.map(({ lineId, quantity, belt }) => {
      const line = order.lines.find(({ id }) => id === lineId);
      return line ? { ...line, ...belt, quantity } : newLine(lineId, belt, quantity);
    });
    const prices = new Map((offers ?? []).map(({ lineId, price }) => [lineId, price]));
    await dispatch(
      changeBook([
        ...(order.supplier === ''
          ? [{ type: 'supplierNamed', orderId: order.id, supplier: counter.name } as const]
          : []),
        {
          type: 'orderPlaced',
          orderId: order.id,
          expectedOn,
          reference,
          byCounter: true,
          ordered: {
            lines: ordered.map((line) => ({ ...line, price: prices.get(line.id) ?? line.price })),
            restId: nanoid(12),
          },
        },
      ]),
    );
  };
  const lacking = offers?.some(({ state }) => state === 'soldOut') ?? false;
  return (
    <div className="grid gap-2">
      <Button disabled={busy} className="justify-self-start" onClick={() => void ask()}>
        Ask the parts counter
      </Button>
      <p role="status" className="empty:hidden">
        {said}
      </p>
      {offers && (
        <>
          <ul className="border-t border-hair">
            {offers.map(({ lineId, state, inStock, price, days, substitute }) => {
              const line = order.lines.find(({ id }) => id === lineId);
              if (!line) return null;
              return (
                <li key={lineId} className="grid gap-1 border-b border-hair py-2">
                  <p>
                    <strong>{beltLabel(line, unit).size}</strong>:{' '}
                    {state === 'soldOut'
                      ? 'sold out'
                      : `${state === 'few' ? `only ${inStock}` : `${inStock} there`}, ${price.toFixed(2)} each, about ${counted(days, 'day')}`}
                  </p>
                  {substitute && (
                    <p className="flex flex-wrap items-center gap-x-3">
                      <span>
                        Offered instead: {beltLabel(substitute.belt, unit).size}, {substitute.price.toFixed(2)} each.{' '}
                        {capital(judged(substitute.belt, line.wants, wants))}.
                      </span>
                      <Button onClick={() => swap(lineId, substitute.belt, substitute.price)}>Take that one</Button>
                    </p>
                  )}
                  {state === 'soldOut' && (
                    <Button look="quiet" className="justify-self-start" onClick={() => drop(lineId)}>
                      Take it off this list
                    </Button>
                  )}
                </li>
              );
            })}
          </ul>
          <CommitButton
            look="strong"
            className="justify-self-start"
            disabled={busy || lacking}
            onClick={() => void place()}
          >
            {unsure ? 'Ask again: it is ordered once' : 'Order this at the counter'}
          </CommitButton>
          {lacking && (
            <p className="text-sm text-soft">
              What is sold out comes off the list first, or is taken as the other one.
            </p>
          )}
        </>
      )}
    </div>
  );
}
