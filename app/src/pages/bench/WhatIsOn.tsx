import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { loaderNamed, loaderOf } from '@loose-pulley/core/base/loaders';
import { readFirst, readOwner } from '@loose-pulley/core/work/ownerLine';
import { newTicket } from '../../state/persistence/newTicket';
import { selectSummaries, useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { Input } from '../../parts/ui/Input';
import { useGoOn } from '../../parts/ui/useGoOn';
import { WordsTaken } from '../../parts/typed/WordsTaken';

/** What is on the bench? A machine, and what it does wrong: a swap on one page, or the whole way. */
export function WhatIsOn() {
  const dispatch = useAppDispatch();
  const leave = useGoOn();
  const summaries = useAppSelector(selectSummaries);
  const [line, setLine] = useState('');
  const [busy, setBusy] = useState(false);
  const loader = loaderNamed(line);
  const { machine, complaint } = readFirst(line, loader);
  const nothing = line.trim() === '';
  const known =
    machine.length < 2
      ? []
      : summaries
          .filter(({ closedAt, searchText }) => closedAt === null && searchText.includes(machine.toLowerCase()))
          .slice(0, 3);
  const open = async (where: 'takeIn' | 'swap'): Promise<void> => {
    if (nothing || busy) return;
    setBusy(true);
    const goOn = leave();
    const id = await dispatch(newTicket({ machine, complaint, loader, owner: '', serial: '' }));
    goOn(`/t/${id}/${where}`, { state: { start: true } });
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    void open('takeIn');
  };
  return (
    <form onSubmit={submit} aria-label="What is on the bench" className="mb-6 grid gap-2">
      <p className="text-soft">From a minute of measuring to the right belt, and the whole repair around it.</p>
      <label htmlFor="on-the-bench" className="text-lg font-semibold">
        What is on the bench?
      </label>
      <div className="flex flex-wrap gap-2">
        <Input
          id="on-the-bench"
          value={line}
          maxLength={600}
          autoComplete="off"
          placeholder="booth deck, opens only when helped"
          onChange={(event) => setLine(event.target.value)}
          className="min-w-0 grow text-xl max-sm:w-full"
        />
        <Button disabled={nothing || busy} className="min-h-12" onClick={() => void open('swap')}>
          Swap the belt
        </Button>
        <Button type="submit" look="strong" disabled={nothing || busy} className="min-h-12">
          Start a full repair
        </Button>
      </div>
      <WordsTaken words={complaint === '' ? [] : readOwner(complaint, loader).words} />
      <p aria-live="polite" className="min-h-[1.4em] text-sm text-soft">
        {!nothing &&
          `${machine === '' ? 'No machine named' : machine}${complaint === '' ? '; after it, what it does wrong' : `: “${complaint}”`}; a ${loaderOf(loader).name}, which Take in changes.`}
      </p>
      {known.length > 0 && (
        <p className="flex flex-wrap gap-x-4">
          <span className="self-center">On the bench already:</span>
          {known.map((one) => (
            <Link key={one.id} to={`/t/${one.id}/${one.next}`} className="inline-flex min-h-11 items-center underline">
              {one.number} {one.machine}
            </Link>
          ))}
        </p>
      )}
    </form>
  );
}
