import { useEffect, useRef, useState, type FormEvent } from 'react';
import { Link, useSearchParams } from 'react-router';
import { loaderNamed, loaderOf } from '@loose-pulley/core/base/loaders';
import { readFirst, readOwner } from '@loose-pulley/core/work/ownerLine';
import { rightBefore } from '@loose-pulley/core/views/knownBefore';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { newTicket } from '../../state/persistence/newTicket';
import { selectSummaries, useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { Input } from '../../parts/ui/Input';
import { useGoOn } from '../../parts/ui/useGoOn';
import { WordsTaken } from '../../parts/typed/WordsTaken';
import type { FirstFigures } from './useFirstFigures';

/** The one door in: the machine, and what it does wrong; with all figures that were typed. */
export function Door({
  figures,
  line,
  setLine,
}: {
  readonly figures: FirstFigures;
  readonly line: string;
  readonly setLine: (line: string) => void;
}) {
  const dispatch = useAppDispatch();
  const leave = useGoOn();
  const summaries = useAppSelector(selectSummaries);
  const field = useRef<HTMLInputElement>(null);
  const [search, setSearch] = useSearchParams();
  const [busy, setBusy] = useState(false);
  const [lacking, setLacking] = useState(false);
  const asked = search.has('new');
  useEffect(() => {
    if (!asked) return;
    field.current?.focus();
    setSearch({}, { replace: true });
  }, [asked, setSearch]);
  const loader = loaderNamed(line);
  const { machine, complaint } = readFirst(line, loader);
  const nothing = line.trim() === '';
  const before = rightBefore(summaries, machine).slice(0, 2);
  const known =
    machine.length < 2
      ? []
      : summaries
          .filter(({ closedAt, searchText }) => closedAt === null && searchText.includes(machine.toLowerCase()))
          .slice(0, 3);
  const open = async (where: 'takeIn' | 'swap'): Promise<void> => {
    if (busy) return;
    if (nothing && !figures.any) {
      setLacking(true);
      field.current?.focus();
      return;
    }
    setBusy(true);
    const goOn = leave();
    const id = await dispatch(
      newTicket({ machine, complaint, loader, owner: '', serial: '' }, (driveId) => [
        ...(where === 'swap' ? [{ type: 'wayChosen' as const, way: 'swap' as const }] : []),
        ...figures.readingsOf(driveId),
      ]),
    );
    goOn(`/t/${id}/${where}`, { state: { start: true } });
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    void open(figures.any ? 'swap' : 'takeIn');
  };
  return (
    <form onSubmit={submit} aria-label="What is on the bench" className="grid gap-2">
      <label htmlFor="on-the-bench" className="text-lg font-semibold">
        What is on the bench?
      </label>
      <Input
        ref={field}
        id="on-the-bench"
        value={line}
        maxLength={600}
        autoComplete="off"
        placeholder="booth deck, opens only when helped"
        aria-describedby="on-the-bench-note"
        onChange={(event) => {
          setLacking(false);
          setLine(event.target.value);
        }}
        className="w-full text-lg"
      />
      <WordsTaken words={complaint === '' ? [] : readOwner(complaint, loader).words} />
      <p
        id="on-the-bench-note"
        aria-live="polite"
        className={`min-h-[2.8em] text-sm ${lacking ? 'text-live' : 'text-soft'}`}
      >
        {lacking
          ? 'Say which machine, or type one figure of its belt.'
          : nothing
            ? figures.any
              ? 'The machine may be named later.'
              : 'The machine, and what it does wrong.'
            : `${machine === '' ? 'No machine named' : machine}${complaint === '' ? '; after it, what it does wrong' : `: “${complaint}”`}; a ${loaderOf(loader).name}, which Take in changes.`}
      </p>
      {before.length > 0 && (
        <p aria-label="On machines called so" className="border-l-4 border-ink pl-3 text-[15px]">
          On machines called so{' '}
          {before.map(({ belt, numbers }, at) => (
            <span key={beltLabel(belt, figures.unit).size}>
              {at > 0 && ', '}
              <strong>{beltLabel(belt, figures.unit).size}</strong> ({numbers.slice(0, 3).join(', ')})
            </span>
          ))}{' '}
          was right. By name alone: measure before buying.
        </p>
      )}
      {known.length > 0 && (
        <p className="flex flex-wrap gap-x-4">
          <span className="self-center">On the bench already:</span>
          {known.map((one) => (
            <Link key={one.id} to={`/t/${one.id}/${one.page}`} className="inline-flex min-h-11 items-center underline">
              {one.number} {one.machine}
            </Link>
          ))}
        </p>
      )}
      <div className="grid gap-2">
        {figures.any ? (
          <>
            <Button type="submit" look="strong" disabled={busy} className="min-h-12">
              Keep it as a ticket
            </Button>
            <Button disabled={busy} className="min-h-12" onClick={() => void open('takeIn')}>
              Start a full repair
            </Button>
          </>
        ) : (
          <>
            <Button type="submit" look="strong" disabled={busy} className="min-h-12">
              Start a full repair
            </Button>
            <Button disabled={busy} className="min-h-12" onClick={() => void open('swap')}>
              Swap the belt
            </Button>
          </>
        )}
      </div>
    </form>
  );
}
