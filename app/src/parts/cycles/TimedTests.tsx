import { nanoid } from 'nanoid';
import { useId, useState } from 'react';
import { timedPairs, timedTestsFor, timesWords, type Timing } from '@loose-pulley/core/work/proving';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { NumberLine } from '../ui/NumberLine';
import { Folded } from '../ui/Folded';
import { Input } from '../ui/Input';

/** Named timed tests, before beside after: how long it takes to load, to spin up, to read, and how often it had to be tried. */
export function TimedTests({ side }: { readonly side: Timing['side'] }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const names = useId();
  const known = timedTestsFor(ticket.loader);
  const [what, setWhat] = useState<string>(known[0] ?? '');
  const [seconds, setSeconds] = useState<number | null>(null);
  const [retries, setRetries] = useState<number | null>(0);
  // The fields are emptied by being made anew.
  const [round, setRound] = useState(0);
  const named = what.trim().slice(0, 80);
  const take = (timing: Pick<Timing, 'seconds'>): void => {
    const done = dispatch(
      recordEvent({
        type: 'timingPut',
        timing: {
          id: nanoid(10),
          at: new Date().toISOString(),
          what: named,
          side,
          retries: Math.round(retries ?? 0),
          ...timing,
        },
      }),
    );
    if (!done) return;
    setSeconds(null);
    setRetries(0);
    setRound(round + 1);
  };
  const pairs = timedPairs(ticket.timings);
  const last = ticket.timings.findLast((one) => one.side === side);
  return (
    <Folded
      name={`timed-${side}`}
      title={`Timed tests, ${side === 'before' ? 'before anything is done' : 'after the repair'}`}
      open={pairs.length > 0}
    >
      {pairs.length > 0 && (
        <table className="w-full border-collapse text-[15px]">
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 font-semibold">what</th>
              <th className="font-semibold">before</th>
              <th className="font-semibold">after</th>
            </tr>
          </thead>
          <tbody>
            {pairs.map((pair) => (
              <tr key={pair.what} className="border-b border-hair align-top">
                <td className="py-1.5">{pair.what}</td>
                <td className="py-1.5">{timesWords(pair.before) || '–'}</td>
                <td className="py-1.5">{timesWords(pair.after) || '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {canWrite && (
        <div className="flex flex-wrap items-end gap-3">
          <label className="grid gap-1 text-sm text-soft">
            Test
            <Input
              list={names}
              value={what}
              maxLength={80}
              onChange={(event) => setWhat(event.target.value)}
              className="w-60 text-lg text-ink"
            />
          </label>
          <datalist id={names}>
            {[...new Set([...known, ...pairs.map((pair) => pair.what)])].map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          <NumberLine
            key={`s${round}`}
            label="It took"
            unit="s"
            max={86_400}
            value={seconds}
            onNumber={(value) => setSeconds(value)}
          />
          <NumberLine
            key={`r${round}`}
            label="Tried again"
            unit="times"
            max={999}
            value={retries}
            onNumber={(value) => setRetries(value)}
          />
          <Button
            disabled={named === '' || seconds === null}
            onClick={() => take({ seconds: seconds === null ? null : Math.round(seconds * 100) / 100 })}
          >
            Write it down
          </Button>
          <Button look="quiet" disabled={named === ''} onClick={() => take({ seconds: null })}>
            Never finished
          </Button>
          {last && (
            <Button look="quiet" onClick={() => dispatch(recordEvent({ type: 'timingRemoved', timingId: last.id }))}>
              Take the last one out
            </Button>
          )}
        </div>
      )}
    </Folded>
  );
}
