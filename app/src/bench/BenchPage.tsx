import { Link } from 'react-router';
import { STATION_NAMES, type TicketSummary } from '@loose-pulley/core/ticket';
import { selectSummaries, useAppSelector } from '../store/store';
import { useTitle } from '../ui/title';
import { MeasureNow } from './MeasureNow';
import { TicketRow } from './TicketRow';

const GROUPS = [
  ['hands', 'Wants hands'],
  ['post', 'Waits for the post'],
  ['owner', 'Waits for the owner'],
] as const;

/** More than a bench can hold; past it the Log searches better than a list. */
const MOST_ROWS = 60;

/** The one thing to do next: the ticket furthest along among those that want hands. */
function nextUp(open: readonly TicketSummary[]): TicketSummary | undefined {
  const progress = ({ marks }: TicketSummary) => [...marks].filter((mark) => mark !== 'o').length;
  return open
    .filter(({ waiting }) => waiting.for === 'hands')
    .reduce<TicketSummary | undefined>(
      (best, one) => (!best || progress(one) > progress(best) ? one : best),
      undefined,
    );
}

/** The Bench: what is open, what each waits for, and measuring without a ticket. */
export function BenchPage() {
  useTitle('Bench');
  const status = useAppSelector(({ bench }) => bench.status);
  const problem = useAppSelector(({ bench }) => bench.problem);
  const summaries = useAppSelector(selectSummaries);
  const open = summaries.filter(({ closedAt }) => closedAt === null);
  const next = nextUp(open);
  return (
    <div className="grid grow lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="bg-sheet px-5 py-5 lg:px-7">
        {status === 'failed' && (
          <p role="alert" className="mb-4 border-b-2 border-live pb-2 font-semibold text-live">
            {problem?.sentence}
          </p>
        )}
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
              <Link
                to={`/t/${next.id}/${next.next}`}
                className="inline-flex min-h-12 min-w-40 items-center bg-ink px-4 font-semibold text-paper"
              >
                Carry on
              </Link>
              <a
                href="#measure-now"
                className="inline-flex min-h-12 items-center border border-ink px-4 font-semibold lg:hidden"
              >
                Measure now
              </a>
            </div>
          </div>
        ) : (
          <div className="mb-5">
            <h1 className="text-[30px] leading-tight font-bold">
              {status === 'loading' ? 'Looking at the bench…' : 'The bench is clear'}
            </h1>
            {status !== 'loading' && (
              <p className="max-w-xl text-lg">
                Measure a belt with the line on this page: type what the rule or the caliper says and how you held it.
                From one reading you can open a ticket; both pulleys and their distance are a minute more, and then the
                right belt is named.
              </p>
            )}
          </div>
        )}
        {GROUPS.map(([waiting, title]) => {
          const rows = open.filter((one) => one.waiting.for === waiting);
          if (rows.length === 0) return null;
          return (
            <section key={waiting} aria-label={title} className="mb-4">
              <h2 className="flex items-baseline justify-between border-b border-ink pb-1">
                <span className="text-base">{title}</span>
                <span className="text-sm font-normal text-soft">{rows.length}</span>
              </h2>
              <ul>
                {rows.slice(0, MOST_ROWS).map((summary) => (
                  <TicketRow key={summary.id} summary={summary} />
                ))}
              </ul>
              {rows.length > MOST_ROWS && (
                <Link
                  to="/log"
                  className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
                >
                  {rows.length - MOST_ROWS} more, in the Log
                </Link>
              )}
            </section>
          );
        })}
      </div>
      <aside className="border-hair px-5 py-5 max-lg:border-t lg:border-l">
        <MeasureNow />
      </aside>
    </div>
  );
}
