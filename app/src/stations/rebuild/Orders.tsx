import { nanoid } from 'nanoid';
import { useState } from 'react';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Select } from '../../parts/ui/Select';
import { Input } from '../../parts/ui/Input';
import { useUnsaved } from '../../parts/ui/useUnsaved';

/** “This before that” on the way back: by number, with why; a circle is refused and named. */
export function Orders() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [first, setFirst] = useState('');
  const [then, setThen] = useState('');
  const [why, setWhy] = useState('');
  useUnsaved('enter', why.trim() !== '');
  /** Whether anybody came near: a strip may have thousands of steps to choose from. */
  const { steps, orders } = ticket.strip;
  const named = steps.filter(({ number }) => number > 0);
  const nameOf = (id: string): string => {
    const step = steps.find((one) => one.id === id);
    return step ? `${step.number} ${step.what}` : 'a step that is gone';
  };
  if (named.length < 2) return null;
  const choice = (label: string, value: string, set: (id: string) => void) => (
    <label className="grid gap-1 text-sm text-soft">
      {label}
      <Select
        value={value}
        disabled={!canWrite}
        onChoose={(chosen) => set(chosen)}
        className="min-w-0"
        options={[['', 'Choose…'] as const, ...named.map(({ id, number, what }) => [id, `${number} ${what}`] as const)]}
      />
    </label>
  );
  const say = (): void => {
    const done = dispatch(
      recordEvent({
        type: 'orderSaid',
        order: { id: nanoid(10), firstId: first, thenId: then, why: why.trim().slice(0, 400) },
      }),
    );
    if (!done) return;
    setFirst('');
    setThen('');
    setWhy('');
  };
  return (
    <section aria-labelledby="orders" className="grid gap-2">
      <h3 id="orders" className="text-lg">
        This before that
      </h3>
      <ul>
        {orders.map(({ id, firstId, thenId, why: because }) => (
          <li key={id} className="flex items-center justify-between gap-2 border-b border-hair py-1">
            <span>
              {nameOf(firstId)} before {nameOf(thenId)}
              {because && `, ${because}`}
            </span>
            <Button
              look="quiet"
              disabled={!canWrite}
              aria-label={`Remove: ${nameOf(firstId)} before ${nameOf(thenId)}`}
              onClick={() => dispatch(recordEvent({ type: 'orderRemoved', orderId: id }))}
            >
              out
            </Button>
          </li>
        ))}
      </ul>
      {choice('First goes back', first, setFirst)}
      {choice('Only then', then, setThen)}
      <label className="grid gap-1 text-sm text-soft">
        Because
        <Input
          value={why}
          maxLength={400}
          disabled={!canWrite}
          placeholder="hides under the cables"
          onChange={(event) => setWhy(event.target.value)}
          className="text-ink"
        />
      </label>
      <Button disabled={!canWrite || first === '' || then === ''} onClick={say}>
        Keep this order
      </Button>
    </section>
  );
}
