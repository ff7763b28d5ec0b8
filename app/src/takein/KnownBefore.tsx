import { nanoid } from 'nanoid';
import { useEffect, useMemo, useState } from 'react';
import { carryOver, knownFrom, type Ticket } from '@loose-pulley/core/ticket';
import { beltLabel } from '@loose-pulley/core/units';
import { happen } from '../keeping/actions';
import { loadTicket } from '../keeping/tickets';
import { selectSummaries, useAppDispatch, useAppSelector, useUnit } from '../store/store';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';

const SHOWN = 3;

/** Past tickets of the same machine or mechanism, newest first, as far as they can be read. */
function usePastTickets(): readonly Ticket[] {
  const { ticket } = useTicket();
  const summaries = useAppSelector(selectSummaries);
  const machine = ticket.machine.trim().toLowerCase();
  const mechanisms = ticket.drives.map(({ mechanism }) => mechanism).join('\n');
  const ids = useMemo(() => {
    const wanted = new Set(mechanisms.split('\n').filter((name) => name !== ''));
    return summaries
      .filter(
        (one) =>
          one.id !== ticket.id &&
          ((machine !== '' && one.machine.trim().toLowerCase() === machine) ||
            one.mechanisms.some((name) => wanted.has(name))),
      )
      .sort((a, b) => b.openedAt.localeCompare(a.openedAt))
      .map(({ id }) => id)
      .slice(0, SHOWN)
      .join(' ');
  }, [summaries, machine, mechanisms, ticket.id]);
  const [past, setPast] = useState<readonly Ticket[]>([]);
  useEffect(() => {
    let current = true;
    const read = ids === '' ? [] : ids.split(' ').map((id) => loadTicket(id).catch(() => null));
    void Promise.all(read).then((records) => {
      if (current) setPast(records.flatMap((record) => (record ? [record.ticket] : [])));
    });
    return () => {
      current = false;
    };
  }, [ids]);
  return past;
}

/** What earlier tickets of this machine or mechanism know, to start from. */
export function KnownBefore() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const past = usePastTickets();
  const knowing = past.filter((one) => knownFrom(one).words.length > 0);
  if (knowing.length === 0) return null;
  return (
    <section aria-labelledby="known-before" className="grid gap-2 border border-ink px-4 py-3">
      <h3 id="known-before" className="text-lg">
        Known from before
      </h3>
      {knowing.map((one) => {
        const { words } = knownFrom(one);
        const events = carryOver(one, ticket, () => nanoid(12));
        const ran = one.drives.flatMap(({ name, tries }) =>
          tries
            .filter(({ verdict }) => verdict === 'right')
            .slice(-1)
            .map((belt) => `drive ${name} ran with ${beltLabel(belt, unit).sign} ${beltLabel(belt, unit).size}`),
        );
        return (
          <div key={one.id} className="flex flex-wrap items-center justify-between gap-2 border-t border-hair pt-2">
            <p>
              <strong>{one.number}</strong> {one.machine}: {[...words, ...ran].join('; ')}.
            </p>
            {events.length > 0 && (
              <Button
                disabled={!canWrite}
                onClick={() => events.forEach((event) => dispatch(happen(event)))}
                aria-label={`Carry over what ${one.number} knows`}
              >
                Carry it over
              </Button>
            )}
          </div>
        );
      })}
      <p className="text-sm text-soft">
        Carried over: mechanism, what is normal, error codes, pulleys, shafts and tray figures. Belts stretch, so they
        are measured anew.
      </p>
    </section>
  );
}
