import { useEffect, useRef } from 'react';
import { NavLink, useLocation, useSearchParams } from 'react-router';
import { stillDirty } from '@loose-pulley/core/work/cleaning';
import { openRemoval } from '@loose-pulley/core/work/strip';
import { counted } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { driveFactsOf, marksOf, type Ticket } from '@loose-pulley/core/record/ticket';
import { formatLength, type LengthUnit, formatSpread } from '@loose-pulley/core/base/units';
import { useUnit } from '../../state/store/hooks';
import { cx } from '../../parts/ui/cx';
import { Mark } from '../../parts/ui/Mark';
import { MARK_NAMES, STATION_NAMES, STATIONS, type StationId } from '@loose-pulley/core/record/stations';

/** A few words under each station: what it holds so far. */
function wordsOf(ticket: Ticket, station: StationId, driveName: string | null, unit: LengthUnit): string {
  const drive = ticket.drives.find(({ name }) => name === driveName) ?? ticket.drives[0];
  if (station === 'takeIn') {
    const open = ticket.complaints.filter(({ state }) => state === 'open').length;
    return ticket.owner || (open > 0 ? `${open} unanswered` : '');
  }
  if (station === 'find') {
    const said = ticket.verdicts.find(({ state }) => state !== 'ruledOut');
    const answers = ticket.observations.length;
    return said?.words ?? (answers > 0 ? counted(answers, 'answer') : '');
  }
  if (station === 'strip' || station === 'rebuild') {
    const { steps } = ticket.strip;
    const off = steps.filter((step) => openRemoval(step)).length;
    if (steps.length > 0)
      return station === 'strip' ? `${counted(steps.length, 'step')}, ${off} off` : `${off} to refit`;
  }
  if (station === 'prove') {
    const cycles = ticket.cycles.filter(({ cleanRunId }) => cleanRunId !== null).length;
    if (cycles > 0) return counted(cycles, 'cycle');
  }
  if (station === 'clean') {
    const { places, treatments, jam } = ticket.cleaning;
    if (jam && !jam.out) return 'something in the way';
    const dirty = stillDirty(ticket).length;
    if (dirty > 0) return `${counted(dirty, 'place')} still dirty`;
    if (treatments.length > 0) return `${counted(places.length, 'place')}, ${counted(treatments.length, 'treatment')}`;
  }
  if (station === 'measure' && drive) {
    const { path, pathConflict } = driveFactsOf(drive);
    return path
      ? pathConflict && !pathConflict.alone
        ? `path ${formatLength(pathConflict.pulleys.value, unit)} or ${formatLength(pathConflict.string.value, unit)}`
        : `path ${formatLength(path.value, unit)} ± ${formatSpread(2 * path.std, unit)}`
      : drive.readings.length > 0
        ? counted(drive.readings.length, 'reading')
        : 'no readings';
  }
  if (station === 'size' && drive) {
    const last = drive.tries[drive.tries.length - 1];
    return last ? `tried ${beltLabel(last, unit).size}` : '';
  }
  if (station === 'handBack') return ticket.closedAt ? 'handed back' : '';
  return ticket.notes[station].split('\n')[0] ?? '';
}

/** The nine stations, set like the parts list of a drawing: number, name, how it stands. */
export function StationRail({ ticket }: { readonly ticket: Ticket }) {
  const unit = useUnit();
  const [search] = useSearchParams();
  const drive = search.get('drive');
  const marks = marksOf(ticket);
  const { pathname } = useLocation();
  const list = useRef<HTMLOListElement>(null);
  // On a phone the rail is wider than the screen: it goes to where one is.
  useEffect(() => {
    const here = list.current?.querySelector<HTMLElement>('[aria-current=page]');
    const nav = list.current?.parentElement;
    if (!here || !nav || nav.scrollWidth <= nav.clientWidth) return;
    const [at, frame] = [here.getBoundingClientRect(), nav.getBoundingClientRect()];
    nav.scrollLeft += at.left - frame.left - (frame.width - at.width) / 2;
  }, [pathname]);
  return (
    <nav
      aria-label="Stations"
      className="border-ink max-lg:overflow-x-auto max-lg:border-b lg:w-[188px] lg:shrink-0 lg:border-r print:hidden"
    >
      <ol ref={list} className="flex lg:sticky lg:top-0 lg:block">
        {STATIONS.map((station, index) => {
          const mark = marks[station];
          const words = wordsOf(ticket, station, drive, unit);
          return (
            <li key={station} className="shrink-0 border-hair max-lg:border-r lg:border-b">
              <NavLink
                to={{ pathname: `/t/${ticket.id}/${station}`, search: drive ? `?drive=${drive}` : '' }}
                aria-label={`${index + 1} ${STATION_NAMES[station]}, ${MARK_NAMES[mark]}`}
                className={({ isActive }) =>
                  cx(
                    'flex min-h-12 gap-2.5 px-3 py-2 lg:min-h-[62px] [@media(max-height:760px)]:lg:min-h-[46px]',
                    isActive
                      ? 'bg-sheet shadow-[inset_0_-4px_0_var(--live)] lg:shadow-[inset_4px_0_0_var(--live)]'
                      : 'hover:bg-sheet',
                  )
                }
              >
                {({ isActive }) => (
                  <>
                    <span className="w-3 shrink-0 text-sm text-soft">{index + 1}</span>
                    <span className="min-w-0 grow">
                      <span
                        className={cx(
                          'block leading-snug whitespace-nowrap',
                          mark === 'open' && !isActive ? '' : 'font-semibold',
                        )}
                      >
                        {STATION_NAMES[station]}
                      </span>
                      <span className="line-clamp-2 text-sm leading-tight text-soft max-lg:hidden [@media(max-height:760px)]:hidden">
                        {mark === 'notNeeded' ? 'not needed' : words}
                      </span>
                    </span>
                    <span className={isActive && mark === 'open' ? 'text-live' : ''}>
                      <Mark mark={mark} current={isActive} />
                    </span>
                  </>
                )}
              </NavLink>
            </li>
          );
        })}
        <li className="shrink-0 border-hair max-lg:border-r lg:border-b">
          <NavLink
            to={{ pathname: `/t/${ticket.id}/swap`, search: drive ? `?drive=${drive}` : '' }}
            className={({ isActive }) =>
              cx(
                'flex min-h-12 items-center py-2 pr-3 pl-[34px] text-[15px] whitespace-nowrap',
                isActive
                  ? 'bg-sheet font-semibold shadow-[inset_0_-4px_0_var(--live)] lg:shadow-[inset_4px_0_0_var(--live)]'
                  : 'text-soft hover:bg-sheet',
              )
            }
          >
            All on one page: swap
          </NavLink>
        </li>
      </ol>
    </nav>
  );
}
