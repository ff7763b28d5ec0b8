import { ButtonLink } from '../../parts/ui/ButtonLink';
import { formatDay } from '@loose-pulley/core/base/units';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { type TicketSummary } from '@loose-pulley/core/record/ticket';
import { today } from '../../state/written';
import { keepFront } from '../../state/persistence/front';
import { waitingOf } from '@loose-pulley/core/shop/day';
import { selectOrders, selectSummaries, useAppSelector } from '../../state/store/hooks';
import { Door } from './Door';
import { Question } from './Question';
import { SetAside } from './SetAside';
import { useFirstFigures } from './useFirstFigures';
import { isDemo } from '../../state/boot';
import { copyWords, wantsCopy } from '../../parts/ticket/lastCopy';
import { pageName, TicketRow } from '../../parts/ticket/TicketRow';

const fetchAtOnce = () => import('./AtOnce');
const AtOnce = lazy(fetchAtOnce);

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
  // The first figure is answered at once: what answers it is here before.
  useEffect(() => {
    const timer = setTimeout(() => void fetchAtOnce().catch(() => undefined), FRONT_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  const copiedAt = useAppSelector(({ settings }) => settings.copiedAt);
  const orders = useAppSelector(selectOrders);
  const waitOf = (one: TicketSummary) => waitingOf(one, orders);
  const next = nextUp(open, waitOf);
  const figures = useFirstFigures();
  const [machineLine, setMachineLine] = useState('');
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px] lg:grid-rows-[auto_1fr]">
      <div className="bg-sheet px-5 pt-4 pb-3 lg:px-7">
        {status === 'failed' && (
          <p role="alert" className="mb-4 border-b-2 border-live pb-2 font-semibold text-live">
            {problem?.sentence}
          </p>
        )}
        <Question
          figures={figures}
          onMachine={(words) => {
            setMachineLine(words);
            figures.line.setText('');
          }}
        />
      </div>
      <aside className="grid content-start gap-5 border-hair px-5 py-4 max-lg:border-y lg:row-span-2 lg:border-l">
        <div aria-live="polite" className="lg:min-h-[240px]">
          {figures.any ? (
            <Suspense fallback={null}>
              <AtOnce readingsOf={figures.readingsOf} />
            </Suspense>
          ) : (
            <div className="grid gap-3">
              <p className="text-soft">
                The belt to buy, or to take from the drawer, stands here after the first figure.
              </p>
              <svg viewBox="0 0 260 110" aria-hidden className="w-full max-w-[260px] max-lg:hidden">
                <path
                  d="M44 38L176 14A42 42 0 1 1 176 96L44 72A17 17 0 1 1 44 38Z"
                  fill="none"
                  className="stroke-hair"
                  strokeWidth="5"
                  strokeDasharray="12 8"
                />
              </svg>
            </div>
          )}
        </div>
        <Door figures={figures} line={machineLine} setLine={setMachineLine} />
        <p className="text-sm text-soft">
          Unplug it before a hand goes in. Local rules and licensed practice come first.
        </p>
        {/* Where there is room it stands in the head. */}
        <a href="/practice" className="inline-flex min-h-11 items-center underline sm:hidden">
          Practice on a machine with a hidden fault
        </a>
        <CameDue summaries={summaries} />
        {!isDemo && wantsCopy(copiedAt, summaries) && (
          <p className="text-sm">
            {copyWords(copiedAt, summaries)}{' '}
            <Link to="/log" className="inline-flex min-h-11 items-center underline">
              Save a copy of everything
            </Link>
          </p>
        )}
      </aside>
      <div className="border-hair bg-sheet px-5 pt-4 pb-5 lg:border-t lg:px-7">
        {next ? (
          <div className="mb-4 flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
            <div>
              <h2 className="text-[22px] leading-tight font-bold">
                {pageName(next)}: {next.machine || `ticket ${next.number}`}
              </h2>
              <p className="text-soft">
                {next.number}
                {next.complaint && (
                  <>
                    , <q>{next.complaint}</q>
                  </>
                )}
              </p>
            </div>
            <ButtonLink to={`/t/${next.id}/${next.page}`} look="strong" className="min-h-12 min-w-40">
              Carry on
            </ButtonLink>
          </div>
        ) : (
          <h2 className="mb-3 text-lg">
            {status === 'loading'
              ? 'Looking at the bench…'
              : open.length > 0
                ? 'Nothing is ready to work on'
                : 'The bench is clear'}
          </h2>
        )}
        <SetAside />
        {GROUPS.map(([waiting, title]) => {
          const rows = open.filter((one) => waitOf(one) === waiting);
          if (rows.length === 0) return null;
          return (
            <section key={waiting} aria-label={title} className="mb-4">
              <h3 className="flex items-baseline justify-between border-b border-ink pb-1">
                <span className="text-base">{title}</span>
                <span className="text-sm font-normal text-soft">{rows.length}</span>
              </h3>
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
        {open.length === 0 && status === 'ready' && (
          <p className="flex flex-wrap gap-x-5">
            <Link
              to="/guide"
              className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
            >
              Your first belt, in pictures
            </Link>
            <Link
              to="/log"
              className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
            >
              Tickets from another bench
            </Link>
          </p>
        )}
      </div>
    </div>
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
