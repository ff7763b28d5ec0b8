import { nanoid } from 'nanoid';
import { useState } from 'react';
import { bookedIn, newStep } from '@loose-pulley/core/work/strip';
import { readLine } from '@loose-pulley/core/work/stripLine';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Input } from '../../parts/ui/Input';
import { useUnsaved } from '../../parts/ui/useUnsaved';

/** A screw that was never logged, booked in as it goes back, so that the counts stay true. */
export function BookIn() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [text, setText] = useState('');
  useUnsaved('enter', text.trim() !== '');
  const [way] = readLine(text)?.ways ?? [];
  const [deed] = way?.does ?? [];
  const screws =
    deed?.type === 'step' && ['screws', 'nuts', 'clips', 'springs'].includes(deed.step.kind) ? deed.step : undefined;
  const book = (): void => {
    if (!screws) return;
    const step = bookedIn(newStep(ticket.strip, screws, nanoid(10), new Date().toISOString()));
    if (dispatch(recordEvent({ type: 'stepPut', step }))) setText('');
  };
  return (
    <div className="grid gap-1">
      <label htmlFor="book-in" className="text-sm text-soft">
        A screw that was never logged, as it goes in
      </label>
      <div className="flex gap-2">
        <Input
          id="book-in"
          value={text}
          maxLength={400}
          autoComplete="off"
          disabled={!canWrite}
          placeholder="1 ph1 left of the fan"
          onChange={(event) => setText(event.target.value)}
          className="w-full max-w-96 min-w-0 text-lg"
        />
        <Button disabled={!canWrite || !screws} onClick={book}>
          Add the screw
        </Button>
      </div>
      <p aria-live="polite" className="text-sm text-soft empty:hidden">
        {screws && way?.echo}
        {way && !screws && 'No screw was read in that.'}
      </p>
    </div>
  );
}
