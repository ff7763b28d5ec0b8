import { nanoid } from 'nanoid';
import { useEffect, useRef, useState } from 'react';
import { listing, newLine } from '@loose-pulley/core/shop/orders';
import { restockQuestion, type Cover, type RestockQuestion } from '@loose-pulley/core/shop/restock';
import type { TicketSummary } from '@loose-pulley/core/record/ticket';
import { counted } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Button, CommitButton } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { changeBook } from '../../state/persistence/book';
import { selectItems, selectOrders, useAppDispatch, useAppSelector, useUnit } from '../../state/store/hooks';
import { restockBeside } from '../../workers/restock';

/** Which belts to buy for a sum, so that the most jobs of a year find one that works in the drawer. */
export function Stock({ all }: { readonly all: readonly TicketSummary[] }) {
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const items = useAppSelector(selectItems);
  const orders = useAppSelector(selectOrders);
  // Counted over a part of the bench it would be the answer to another question.
  const read = useAppSelector(({ bench, book }) => bench.status !== 'loading' && book.status !== 'loading');
  const [budget, setBudget] = useState<number | null>(20);
  const [asked, setAsked] = useState<RestockQuestion | null>(null);
  const [found, setFound] = useState<Cover | null>(null);
  const [said, setSaid] = useState('');
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const begin = (): void => {
    const question = restockQuestion(all, items, Date.now());
    stop.current?.();
    setAsked(question);
    setFound(null);
    if (question.demands.length === 0) {
      setSaid(
        'No mechanism of this log has a belt that was judged or wanted yet: name the mechanism at Take in, and judge what is fitted.',
      );
      return;
    }
    setSaid('Working it out…');
    stop.current = restockBeside(
      { question, budget: budget ?? 0 },
      {
        found: (cover) => {
          stop.current = null;
          setFound(cover);
          setSaid('');
        },
        stopped: () => {
          stop.current = null;
          setSaid('The calculation stopped. Try again.');
        },
      },
    );
  };
  const cancel = (): void => {
    stop.current?.();
    stop.current = null;
    setSaid('Stopped.');
  };
  const expected = asked?.demands.reduce((sum, one) => sum + one.expected, 0) ?? 0;
  const already = asked?.demands.reduce((sum, one, index) => sum + one.expected * (asked.owned[index] ?? 0), 0) ?? 0;
  const name = (id: string): string => (asked?.belts[id] ? beltLabel(asked.belts[id], unit).words : id);
  const order = (): void => {
    if (!asked || !found) return;
    const lines = found.bought.flatMap((id) => (asked.belts[id] ? [newLine(nanoid(12), asked.belts[id], 1)] : []));
    void dispatch(changeBook(listing(orders, '', lines, () => nanoid(12)))).then((done) => {
      if (done) setSaid('On the list, under Orders.');
    });
  };
  return (
    <div className="grid gap-3 pb-4">
      <p className="text-sm text-soft">
        For the mechanisms of this log, as often as they came, with what was right there and what was calculated to do.
        The best set is found exactly.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <NumberLine label="To spend" unit="own money" max={100_000} value={budget} onNumber={setBudget} />
        <Button look="strong" disabled={budget === null || !read} onClick={begin}>
          What to stock
        </Button>
        {said === 'Working it out…' && <Button onClick={cancel}>Stop</Button>}
      </div>
      <p role="status" className="empty:hidden">
        {read ? said : 'Reading the bench…'}
      </p>
      {asked && found && (
        <>
          <p>
            Of {expected.toFixed(1)} jobs expected in a year, the drawer serves {already.toFixed(1)} now and{' '}
            <strong>{found.served.toFixed(1)}</strong> with these, for {found.cost.toFixed(2)}
            {found.proved ? '' : ' (the best found in the time; not proved)'}.
          </p>
          {found.bought.length === 0 ? (
            <p>For that sum nothing more would serve.</p>
          ) : (
            <ul>
              {found.bought.map((id) => (
                <li key={id} className="border-b border-hair py-1">
                  {name(id)}
                </li>
              ))}
            </ul>
          )}
          {found.oneMore && (
            <p>
              One more, {name(found.oneMore.id)}, would add{' '}
              {found.oneMore.adds < 0.05 ? 'under 0.1' : found.oneMore.adds.toFixed(1)} jobs a year for{' '}
              {found.oneMore.cost.toFixed(2)}.
            </p>
          )}
          {found.bought.length > 0 && (
            <CommitButton className="justify-self-start" onClick={order}>
              Put {counted(found.bought.length, 'belt')} on the order
            </CommitButton>
          )}
        </>
      )}
    </div>
  );
}
