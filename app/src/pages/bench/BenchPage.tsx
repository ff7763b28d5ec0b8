import { ButtonLink } from '../../parts/ui/ButtonLink';
import { formatDay } from '@loose-pulley/core/base/units';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { type TicketSummary } from '@loose-pulley/core/record/ticket';
import { today } from '../../state/written';
import { keepFront } from '../../state/persistence/front';
import { waitingOf } from '@loose-pulley/core/shop/day';
import { selectOrders, selectSummaries, useAppSelector } from '../../state/store/hooks';
import { MeasureNow } from './MeasureNow';
import { SetAside } from './SetAside';
import { WhatIsOn } from './WhatIsOn';
import { TicketRow } from '../../parts/ticket/TicketRow';
import { STATION_NAMES } from '@loose-pulley/core/record/stations';

const GROUPS = [
  ['nothing', 'Ready to work on'],
  ['clock', 'On the clock'],
  ['parts', 'Waiting for parts'],
  ['owner', 'Waiting for the owner'],
] as const;

/** How long nothing new is drawn before what is seen is kept for the next start. */
const FRONT_AFTER_MS = 700;

/** More than a bench can hold; past it the Log searches better than a list. */
const MAX_ROWS = 60;

/** The one thing to do next: the ticket furthest along among those that want hands. */
function nextUp(open: readonly TicketSummary[], waitOf: (one: TicketSummary) => string): TicketSummary | undefined {
  const progress = ({ marks }: TicketSummary) => [...marks].filter((mark) => mark !== 'o').length;
  return open
    .filter((one) => waitOf(one) === 'nothing')
    .reduce<TicketSummary | undefined>(
      (best, one) => (!best || progress(one) > progress(best) ? one : best),
      undefined,
    );
}

/** The Bench: what is open, what each waits for, and measuring without a ticket. */
export function BenchPage() {
  const status = useAppSelector(({ bench }) => bench.status);
  const problem = useAppSelector(({ bench }) => bench.problem);
  const summaries = useAppSelector(selectSummaries);
  const open = summaries.filter(({ closedAt }) => closedAt === null);
  useEffect(() => {
    if (status !== 'ready') return undefined;
    const settled = setTimeout(keepFront, FRONT_AFTER_MS);
    return () => clearTimeout(settled);
  });
  const orders = useAppSelector(selectOrders);
  const waitOf = (one: TicketSummary) => waitingOf(one, orders);
  const next = nextUp(open, waitOf);
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="bg-sheet px-5 py-5 lg:px-7">
        {status === 'failed' && (
          <p role="alert" className="mb-4 border-b-2 border-live pb-2 font-semibold text-live">
            {problem?.sentence}
          </p>
        )}
        <WhatIsOn />
        {next ? (
          <div className="mb-5 flex flex-wrap items-center justify-between gap-4">
            <div>
              <h1 className="text-[30px] leading-tight font-bold">
                {STATION_NAMES[next.next]}: {next.machine || `ticket ${next.number}`}
              </h1>
              <p className="text-soft">
                {next.number}
                {next.complaint && (
                  <>
                    , <q>{next.complaint}</q>
                  </>
                )}
              </p>
            </div>
            <div className="flex gap-2">
              <ButtonLink to={`/t/${next.id}/${next.next}`} look="strong" className="min-h-12 min-w-40">
                Carry on
              </ButtonLink>
              <a
                href="#measure-now"
                className="inline-flex min-h-12 items-center border border-ink px-4 font-semibold lg:hidden"
              >
                Measure now
              </a>
            </div>
          </div>
        ) : open.length > 0 ? (
          <h1 className="mb-5 text-[30px] leading-tight font-bold">Nothing is ready to work on</h1>
        ) : (
          <EmptyBench loading={status === 'loading'} />
        )}
        <SetAside />
        {GROUPS.map(([waiting, title]) => {
          const rows = open.filter((one) => waitOf(one) === waiting);
          if (rows.length === 0) return null;
          return (
            <section key={waiting} aria-label={title} className="mb-4">
              <h2 className="flex items-baseline justify-between border-b border-ink pb-1">
                <span className="text-base">{title}</span>
                <span className="text-sm font-normal text-soft">{rows.length}</span>
              </h2>
              <ul>
                {rows.slice(0, MAX_ROWS).map((summary) => (
                  <li key={summary.id}>
                    <TicketRow summary={summary} />
                  </li>
                ))}
              </ul>
              {rows.length > MAX_ROWS && (
                <Link
                  to="/log"
                  className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
                >
                  {rows.length - MAX_ROWS} more, in the Log
                </Link>
              )}
            </section>
          );
        })}
      </div>
      <aside className="border-hair px-5 py-5 max-lg:border-t lg:border-l">
        {open.length > 0 ? <MeasureNow /> : <FirstMinute />}
        <CameDue summaries={summaries} />
      </aside>
    </div>
  );
}

/** A bench without tickets starts with the measuring itself. */
function EmptyBench({ loading }: { readonly loading: boolean }) {
  if (loading) return <h1 className="text-[30px] leading-tight font-bold">Looking at the bench…</h1>;
  return (
    <div className="max-w-xl">
      <h1 className="mb-4 text-[30px] leading-tight font-bold">The bench is clear</h1>
      <MeasureNow />
    </div>
  );
}

/** What the first minute is spent on. */
function FirstMinute() {
  return (
    <section aria-labelledby="first-minute">
      <h2 id="first-minute" className="text-lg">
        The first minute
      </h2>
      <ol className="mt-2 grid list-decimal gap-2 pl-5">
        <li>Measure the old belt, any way you like, and say which. Each method’s own error is corrected.</li>
        <li>Open a ticket with it.</li>
        <li>Measure both pulleys and the distance between their shafts: those do not stretch.</li>
        <li>Size names the belt, and why.</li>
      </ol>
      <p className="mt-3 text-soft">Tickets from another bench come in by the Log.</p>
    </section>
  );
}

/** Repairs handed back as provisional whose day has come. */
function CameDue({ summaries }: { readonly summaries: readonly TicketSummary[] }) {
  const now = today();
  const due = summaries.filter((one) => one.closedAt !== null && one.due !== null && one.due.on <= now);
  if (due.length === 0) return null;
  return (
    <section aria-labelledby="came-due" className="mt-8 grid gap-1">
      <h2 id="came-due" className="border-b border-ink pb-1 text-base">
        Follow-ups due
      </h2>
      <ul>
        {due.map((one) => (
          <li key={one.id} className="border-b border-hair">
            <Link to={`/t/${one.id}/handBack`} className="block py-2 hover:bg-sheet">
              <span className="font-semibold">
                {one.number} {one.machine}
              </span>
              <span className="block text-sm">{one.due?.what}</span>
              <span className="block text-sm text-soft">due {formatDay(one.due?.on ?? '')}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
