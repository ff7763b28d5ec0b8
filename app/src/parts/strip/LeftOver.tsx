import { useState } from 'react';
import { leftOverList, placedLate, type LeftOver as LeftOverItem } from '@loose-pulley/core/work/strip';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { Input } from '../ui/Input';
import { useUnsaved } from '../ui/useUnsaved';

/** What is left over, through every opening until it is placed or explained. */
export function LeftOver() {
  const { ticket } = useTicket();
  const over = leftOverList(ticket.strip);
  if (over.length === 0) return null;
  return (
    <section aria-labelledby="left-over" className="border-2 border-live px-4 py-3">
      <h3 id="left-over" className="text-lg">
        Left over
      </h3>
      <ul>
        {over.map((one) => (
          <li key={one.step?.id ?? one.found?.id} className="grid gap-2 border-b border-hair py-2 last:border-0">
            {one.words}
            {one.step && <PlacedOrExplained item={one} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

function PlacedOrExplained({ item }: { readonly item: LeftOverItem }) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [why, setWhy] = useState('');
  useUnsaved('enter', why.trim() !== '');
  const { step, count } = item;
  if (!step) return null;
  const explain = () =>
    dispatch(recordEvent({ type: 'stepPut', step: { ...step, explained: why.trim().slice(0, 400) } }));
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button
        disabled={!canWrite}
        onClick={() => dispatch(recordEvent({ type: 'stepPut', step: placedLate(step, count) }))}
      >
        {count === 1 ? 'It is placed now' : `All ${count} are placed now`}
      </Button>
      <Input
        aria-label={`Why ${count} of number ${step.number} stay out`}
        placeholder="Or it stays out, because…"
        value={why}
        maxLength={400}
        disabled={!canWrite}
        onChange={(event) => setWhy(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && why.trim() !== '' && explain()}
        className="min-w-0 grow"
      />
      <Button disabled={!canWrite || why.trim() === ''} onClick={explain}>
        Say why
      </Button>
    </div>
  );
}
