import { Link } from 'react-router';
import { type TicketSummary } from '@loose-pulley/core/record/ticket';
import { timerState, timerWords, type Timer } from '@loose-pulley/core/base/timers';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { useNow } from '../clock/useNow';
import { DriveSketch } from '../draw/DriveSketch';
import { STATION_NAMES, STATIONS } from '@loose-pulley/core/record/stations';

const MARK_WORDS = { o: 'open', d: 'holds work', n: 'not needed' } as const;

/** The nine stations of a ticket as strokes: tall is done, low is not needed, a dot is open, the next one is live. */
function Strokes({ summary }: { readonly summary: TicketSummary }) {
  const done = [...summary.marks].filter((mark) => mark !== 'o').length;
  return (
    <svg
      viewBox="0 0 92 18"
      className="h-[18px] w-[92px]"
      role="img"
      aria-label={`${done} of nine stations hold work or are not needed`}
    >
      {[...summary.marks].map((mark, index) => {
        const x = 4 + index * 10;
        const next = STATIONS[index] === summary.next && summary.closedAt === null;
        return (
          <path
            key={STATIONS[index]}
            d={mark === 'd' ? `M${x} 3v12` : mark === 'n' ? `M${x - 2.5} 9h5` : `M${x} 8v2`}
            className={next ? 'stroke-live' : mark === 'o' ? 'stroke-soft' : 'stroke-ink'}
            strokeWidth={next || mark === 'd' ? 3.2 : 2.4}
          >
            <title>{`${STATION_NAMES[STATIONS[index] ?? 'takeIn']}: ${MARK_WORDS[mark as 'o']}`}</title>
          </path>
        );
      })}
    </svg>
  );
}

/** A running timer, to the second. */
function TimerWords({ timer }: { readonly timer: Timer }) {
  // What is kept of the Bench for the next start leaves it out.
  return <span data-ticking>{timerWords(timer.what, timerState(timer, useNow()))}</span>;
}

/** What the work goes on with, in words. */
export const pageName = ({ page }: TicketSummary): string => (page === 'swap' ? 'Swap the belt' : STATION_NAMES[page]);

/** A ticket on the Bench: its drive drawn small, what it is, how far it is, what is next. */
export function TicketRow({ summary }: { readonly summary: TicketSummary }) {
  const next = summary.closedAt ? 'handed back' : pageName(summary);
  const drives = summary.driveCount > 1 ? `${summary.driveCount} drives` : (summary.mechanisms[0] ?? '');
  return (
    <div className="border-b border-hair">
      <Link
        to={`/t/${summary.id}/${summary.page}`}
        className="grid min-h-[52px] grid-cols-[56px_2.6rem_minmax(0,1fr)_minmax(0,5.6rem)] items-center gap-x-3 py-1.5 hover:bg-paper sm:grid-cols-[56px_3.2rem_minmax(0,1fr)_92px_minmax(8rem,14rem)]"
      >
        <DriveSketch sketch={summary.sketch} />
        <span className="text-soft">{summary.number}</span>
        <span className="min-w-0">
          <span className="block leading-snug sm:truncate font-semibold">{summary.machine || 'Unnamed machine'}</span>
          <span className="block text-sm text-pretty sm:truncate leading-snug text-soft">
            {summary.parked ? `parked in pieces, ${summary.parked.lies}` : summary.complaint}
            {summary.closedAt !== null && summary.cleaned !== '' && ` · cleaned with ${summary.cleaned}`}
            {summary.temporaryChanges.length > 0 && summary.closedAt === null && (
              <span className="text-live"> ↺ {summary.temporaryChanges.join(', ')}</span>
            )}
          </span>
        </span>
        <span className="hidden sm:block">
          <Strokes summary={summary} />
        </span>
        <span className="min-w-0 text-right">
          <span className="block truncate leading-snug">{next}</span>
          <span className="line-clamp-3 text-sm leading-snug text-soft">
            {summary.timers[0] ? (
              <TimerWords timer={summary.timers[0]} />
            ) : summary.wants.length > 0 ? (
              summary.wants.map(({ belt }) => beltLabel(belt, 'mm').size).join(', ')
            ) : summary.waiting.for === 'nothing' ? (
              drives
            ) : (
              summary.waiting.what
            )}
          </span>
        </span>
      </Link>
    </div>
  );
}
