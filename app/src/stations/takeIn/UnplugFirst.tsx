import { nanoid } from 'nanoid';
import { useState } from 'react';
import { parseNumber } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Input } from '../../parts/ui/Input';

const MIN_MIN = 0.1;
const MAX_MIN = 10_080;

/** First of all unplugged for a few minutes: electronics that need a power reset cost nothing to fix. Other waits start here too. */
export function UnplugFirst() {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [minutes, setMinutes] = useState('5');
  const [what, setWhat] = useState('unplugged');
  const parsed = parseNumber(minutes);
  const possible = parsed.ok && parsed.value >= MIN_MIN && parsed.value <= MAX_MIN;
  const problem = possible
    ? null
    : parsed.ok
      ? `Read ${minutes} minutes. Allowed: ${MIN_MIN} to ${MAX_MIN}, a week.`
      : parsed.problem;
  const start = (): void => {
    if (!parsed.ok || !possible) return;
    const now = Date.now();
    const startedAt = new Date(now).toISOString();
    const named = what.trim() || 'waiting';
    if (named === 'unplugged')
      dispatch(recordEvent({ type: 'mainsSaid', mains: { state: 'unplugged', since: startedAt } }));
    dispatch(
      recordEvent({
        type: 'timerPut',
        timer: {
          id: nanoid(10),
          what: named.slice(0, 80),
          startedAt,
          endsAt: new Date(now + parsed.value * 60_000).toISOString(),
          endedAt: null,
        },
      }),
    );
  };
  return (
    <section aria-labelledby="first-of-all" className="grid gap-2">
      <h3 id="first-of-all" className="text-lg">
        First of all
      </h3>
      <p>
        Unplugged for a few minutes, then tried again before it is opened: electronics that need a power reset cost
        nothing to fix.
      </p>
      <div className="flex items-end gap-2">
        <label className="grid gap-1 text-sm text-soft">
          What waits
          <Input
            value={what}
            maxLength={80}
            disabled={!canWrite}
            onChange={(event) => setWhat(event.target.value)}
            onEnter={() => possible && start()}
            className="w-full text-base text-ink"
          />
        </label>
        <label className="grid gap-1 text-sm text-soft">
          minutes
          <Input
            inputMode="decimal"
            value={minutes}
            disabled={!canWrite}
            onChange={(event) => setMinutes(event.target.value)}
            onEnter={() => possible && start()}
            className="w-20 text-base text-ink"
          />
        </label>
      </div>
      {problem && (
        <p role="alert" className="text-live">
          {problem}
        </p>
      )}
      <Button disabled={!canWrite || !possible} onClick={start}>
        Start the timer
      </Button>
      <p className="text-sm text-soft">
        It runs on while this page is closed, but a closed page cannot ring. When you come back it says how late it is.
      </p>
    </section>
  );
}
