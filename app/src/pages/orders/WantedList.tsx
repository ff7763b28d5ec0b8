import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  gather,
  listing,
  newLine,
  supplierKey,
  type Order,
  type OrderLine,
  type Wanted,
  type WantOf,
} from '@loose-pulley/core/shop/orders';
import { itemFor, runsLow, type BeltFields, type Item } from '@loose-pulley/core/shop/drawer';
import { inHundred } from '@loose-pulley/core/belts/probability';
import { counted, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Button, CommitButton } from '../../parts/ui/Button';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { Select } from '../../parts/ui/Select';
import { Check } from '../../parts/ui/Check';

const keyOf = (belt: BeltFields): string => `${belt.shape} ${beltLabel(belt, 'mm').size}`;

/** What tickets want and what runs low, gathered: put on one list for each supplier. */
export function WantedList({
  wants,
  items,
  orders,
  unit,
}: {
  readonly wants: readonly WantOf[];
  readonly items: readonly Item[];
  readonly orders: readonly Order[];
  readonly unit: LengthUnit;
}) {
  const dispatch = useAppDispatch();
  const [instead, setInstead] = useState<Readonly<Record<string, BeltFields>>>({});
  const [leave, setLeave] = useState<ReadonlySet<string>>(new Set());
  const wanted = gather(wants, items.filter(runsLow), items, orders);
  if (wanted.length === 0) return <p className="text-soft">Nothing is wanted that is not ordered already.</p>;
  const chosen = wanted.filter(({ belt }) => !leave.has(keyOf(belt)));
  const put = async (): Promise<void> => {
    const lines = new Map<string, { readonly supplier: string; readonly lines: OrderLine[] }>();
    for (const one of chosen) {
      const other = instead[keyOf(one.belt)];
      const item = other && itemFor(items, other);
      const supplier = item?.supplier || one.supplier;
      const line = newLine(nanoid(12), other ?? one.belt, one.quantity, {
        label: other ? (item?.label ?? '') : one.label,
        sellerNumber: other ? (item?.sellerNumbers[0]?.number ?? '') : one.sellerNumber,
        price: other ? (item?.price ?? null) : one.price,
        insteadOf: other ? beltLabel(one.belt, 'mm').size : '',
        wants: one.wants.map(({ ticketId, want }) => ({ ticketId, wantId: want.id })),
      });
      const key = supplierKey(supplier);
      const list = lines.get(key) ?? { supplier, lines: [] };
      list.lines.push(line);
      lines.set(key, list);
    }
    await dispatch(
      changeBook([...lines.values()].flatMap((of) => listing(orders, of.supplier, of.lines, () => nanoid(12)))),
    );
  };
  const forWhom = ({ wants: of, low }: Wanted) => (
    <>
      {of.map(({ ticketId, ticketNumber, want }, index) => (
        <span key={want.id}>
          {index > 0 && ', '}
          <Link className="underline decoration-hair decoration-2 underline-offset-4" to={`/t/${ticketId}/size`}>
            {ticketNumber}
          </Link>{' '}
          ({inHundred(want.chance)})
        </span>
      ))}
      {of.length > 0 && low && ', '}
      {low && 'runs low'}
    </>
  );
  return (
    <div className="grid gap-3">
      <ul>
        {wanted.map((one) => {
          const key = keyOf(one.belt);
          const alternates = one.wants.length === 1 ? (one.wants[0]?.want.alternates ?? []) : [];
          return (
            <li
              key={key}
              className="grid gap-x-4 border-b border-hair py-2 sm:grid-cols-[minmax(0,1fr)_auto] sm:items-center"
            >
              <Check
                checked={!leave.has(key)}
                aria-label={`Order ${beltLabel(one.belt, unit).size}`}
                onCheck={() =>
                  setLeave(
                    (before) => new Set(before.has(key) ? [...before].filter((of) => of !== key) : [...before, key]),
                  )
                }
              >
                <span>
                  <strong>
                    {one.quantity} × {beltLabel(one.belt, unit).size}
                  </strong>
                  <span className="block text-sm text-soft">
                    {one.wants.length > 0 && 'for '}
                    {forWhom(one)}
                    {one.supplier
                      ? ` · ${one.supplier}${one.sellerNumber ? ` ${one.sellerNumber}` : ''}`
                      : ' · no supplier yet'}
                    {one.price !== null && ` · ${one.price.toFixed(2)} each`}
                  </span>
                </span>
              </Check>
              {alternates.length > 0 && (
                <Select
                  aria-label={`Would do instead of ${beltLabel(one.belt, unit).size}`}
                  value={instead[key] ? keyOf(instead[key]) : ''}
                  onChoose={(chosen) => {
                    const other = alternates.find(({ belt }) => keyOf(belt) === chosen)?.belt;
                    setInstead((before) =>
                      Object.fromEntries([
                        ...Object.entries(before).filter(([of]) => of !== key),
                        ...(other ? [[key, other] as const] : []),
                      ]),
                    );
                  }}
                  options={[
                    ['', 'this one'] as const,
                    ...alternates.map(
                      ({ belt, chance }) =>
                        [keyOf(belt), `or ${beltLabel(belt, unit).size}: ${inHundred(chance)}`] as const,
                    ),
                  ]}
                />
              )}
            </li>
          );
        })}
      </ul>
      <CommitButton
        look="strong"
        className="justify-self-start"
        disabled={chosen.length === 0}
        onClick={() => void put()}
      >
        Put {counted(chosen.length, 'size')} on the order
      </CommitButton>
      {leave.size > 0 && (
        <Button look="quiet" className="justify-self-start" onClick={() => setLeave(new Set())}>
          All of them
        </Button>
      )}
    </div>
  );
}
