import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, Outlet, useLocation, useParams } from 'react-router';
import { ago, clockBehindS } from '@loose-pulley/core/base/timers';
import { headline } from '@loose-pulley/core/record/ticket';
import { openTicket, takeOver } from '../../state/persistence/opening';
import { tabsSeeEachOther } from '../../state/persistence/tabs';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { useStart } from '../../parts/ui/useStart';
import { ticketPlace } from '../places';
import { useTitle } from '../../parts/ui/title';
import { Words } from '../../parts/ui/Words';
import { DriveTabs } from '../../parts/ticket/DriveTabs';
import { PageBroken } from '../PageBroken';
import { StationRail } from './StationRail';
import { useAsFound } from '../../parts/ticket/useAsFound';
import { useReadPast } from '../../parts/ticket/usePastTickets';
import { TicketContext } from '../../parts/ticket/useTicket';
import { STATION_NAMES } from '@loose-pulley/core/record/stations';
import { isStation } from './stationPages';

const Asked = lazy(() => import('./Asked'));
// Only where a machine is hidden.
const HandsPanel = lazy(() => import('../../parts/practice/HandsPanel'));
const Covered = lazy(() => import('../../parts/practice/Covered'));

/** A clock that was set back: what is timed and dated from here on is off. Looked at when the ticket is opened. */
function ClockBehind({ at }: { readonly at: string }) {
  const [behindS] = useState(() => clockBehindS(at, Date.now()));
  if (behindS === 0) return null;
  return (
    <p role="status" className="border-b border-live bg-sheet px-5 py-2 print:hidden">
      <strong>This computer’s clock is {ago(behindS)} behind the last entry of this ticket.</strong> Timers and dates
      from here on will be off: set it right before you go on.
    </p>
  );
}

/** The frame of a ticket: its head, its stations, and whichever of them is open. */
export function TicketPage() {
  const { id = '' } = useParams();
  const place = useLocation().pathname.split('/')[3] ?? '';
  const dispatch = useAppDispatch();
  const open = useAppSelector(({ openTicket: state }) => state.ticket);
  useEffect(() => {
    void dispatch(openTicket(id));
  }, [dispatch, id]);
  // Going on starts at the top.
  useEffect(() => {
    scrollTo(0, 0);
  }, [id, place]);
  const isOpen = open.status === 'open' && open.id === id;
  const record = isOpen ? open.record : null;
  const canWrite = isOpen && open.access === 'writer';
  const past = useReadPast(record?.ticket);
  const found = useAsFound(record?.ticket);
  const view = useMemo(
    () => record && found && { record, ticket: found, canWrite, past },
    [record, found, canWrite, past],
  );
  useStart(Boolean(view) && canWrite);
  const name = isStation(place) ? STATION_NAMES[place] : ticketPlace(place)?.name;
  useTitle(view ? [`${view.ticket.number} ${view.ticket.machine}`, ...(name ? [name] : [])].join(', ') : 'Ticket');

  if (open.status === 'missing' && open.id === id) {
    return (
      <Words title="No such ticket on this bench">
        It may be on another browser or machine: each keeps its own. Import its file from the{' '}
        <Link className="underline" to="/log">
          Log
        </Link>
        , or go back to the{' '}
        <Link className="underline" to="/">
          Bench
        </Link>
        .
      </Words>
    );
  }
  if (open.status === 'failed' && open.id === id)
    return <Words title="The ticket could not be read">{open.problem.sentence}</Words>;
  if (!view || open.status !== 'open') return <Words title="Fetching the ticket…">One moment.</Words>;
  const { ticket } = view;
  return (
    <TicketContext value={view}>
      <header className="flex flex-wrap items-end justify-between gap-x-6 gap-y-1 border-b border-hair px-5 pt-3 print:hidden">
        <h1 className="flex flex-wrap items-baseline gap-x-3 pb-3">
          <Link
            to={`/t/${ticket.id}/timeline`}
            className="text-lg font-medium text-soft underline decoration-hair underline-offset-4"
            aria-label={`Ticket ${ticket.number}, its history`}
          >
            {ticket.number}
          </Link>
          <span className="text-2xl leading-tight font-bold">{ticket.machine || 'Unnamed machine'}</span>
          {headline(ticket) && <q className="font-normal text-soft italic">{headline(ticket)}</q>}
        </h1>
        <DriveTabs ticket={ticket} canWrite={view.canWrite} />
      </header>
      <Suspense fallback={null}>
        {ticket.practice && (
          <HandsPanel
            key={id}
            ticket={ticket}
            practice={ticket.practice}
            station={isStation(place) ? place : undefined}
            canWrite={canWrite}
          />
        )}
        <Asked />
      </Suspense>
      <ClockBehind key={id} at={open.record.events.at(-1)?.at ?? ''} />
      {!tabsSeeEachOther && (
        <p className="border-b border-hair bg-sheet px-5 py-1 text-sm text-soft print:hidden">
          Over this connection tabs cannot see each other: keep this ticket open in one tab only. One that was changed
          elsewhere is never written over.
        </p>
      )}
      {open.newer && (
        <p role="status" className="border-b border-live bg-sheet px-5 py-2 print:hidden">
          <strong>Shown read only.</strong> A newer Loose Pulley wrote this ticket; update this one to change it.
        </p>
      )}
      {open.access !== 'writer' && !open.newer && (
        <p
          role="status"
          className="flex flex-wrap items-center gap-4 border-b border-live bg-sheet px-5 py-2 print:hidden"
        >
          <span>
            <strong>Shown live, read only.</strong> Another tab writes this ticket.
          </span>
          <Button disabled={open.access === 'asking'} onClick={() => void dispatch(takeOver(id))}>
            {open.access === 'asking' ? 'Taking over…' : 'Take it over here'}
          </Button>
        </p>
      )}
      {open.problem && (
        <p role="alert" className="border-b-2 border-live bg-sheet px-5 py-2 font-semibold text-live print:hidden">
          {open.problem.sentence}{' '}
          <Link className="underline" to={`/t/${id}/handBack`}>
            Export it
          </Link>
        </p>
      )}
      <div className="flex grow max-lg:flex-col">
        <StationRail ticket={ticket} />
        <div className="min-w-0 grow">
          <PageBroken at={place}>
            {ticket.practice ? (
              <Suspense fallback={<p className="p-5">One moment.</p>}>
                <Covered practice={ticket.practice} place={place} canWrite={canWrite}>
                  <Outlet />
                </Covered>
              </Suspense>
            ) : (
              <Outlet />
            )}
          </PageBroken>
        </div>
      </div>
    </TicketContext>
  );
}
