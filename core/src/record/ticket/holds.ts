import { stillDirty } from '../../work/cleaning';
import { countedBefore } from '../../work/proving';
import { STATIONS, type StationId, type StationMark } from '../stations';
import { openRemoval } from '../../work/strip';
import type { Ticket } from './schema';

const HOLDS: Readonly<Record<StationId, (ticket: Ticket) => boolean>> = {
  takeIn: ({ complaints, cycles }) => complaints.length > 0 || countedBefore(cycles).length > 0,
  find: ({ observations, verdicts }) => observations.length > 0 || verdicts.length > 0,
  strip: ({ strip }) => strip.steps.length > 0 || strip.found.length > 0,
  measure: ({ drives }) => drives.some(({ readings }) => readings.length > 0),
  size: ({ drives }) => drives.some(({ tries }) => tries.length > 0),
  // What is found dirty is not clean yet, and what is in the way not cleared.
  clean: (ticket) =>
    (ticket.cleaning.treatments.length > 0 || ticket.cleaning.places.length > 0 || ticket.cleaning.jam !== null) &&
    ticket.cleaning.jam?.out !== false &&
    stillDirty(ticket).length === 0,
  // What never came off is not brought back either.
  rebuild: ({ strip }) =>
    strip.steps.some(({ removals }) => removals.length > 0) && !strip.steps.some((step) => openRemoval(step)),
  prove: ({ cycles, checks }) =>
    checks.some(({ state }) => state !== 'notDone') || cycles.some(({ cleanRunId }) => cleanRunId !== null),
  handBack: ({ closedAt }) => closedAt !== null,
};

/**
 * How each station stands: what it holds says so, without being signed off; one said not to be needed is so.
 *
 * @example marksOf(ticket).measure // 'done'
 */
export const marksOf = (ticket: Ticket): Readonly<Record<StationId, StationMark>> =>
  Object.fromEntries(
    STATIONS.map((station) => {
      const mark = ticket.stations[station];
      return [
        station,
        mark === 'open' && (HOLDS[station](ticket) || ticket.notes[station].trim() !== '') ? 'done' : mark,
      ];
    }),
  ) as Record<StationId, StationMark>;

/**
 * Where to go on: after the last station that holds anything, at the first that does not; while something is off and
 * a belt is in, at Rebuild.
 *
 * @example nextStation(ticket) // 'rebuild'
 */
export function nextStation(ticket: Ticket): StationId {
  if (ticket.closedAt !== null) return 'handBack';
  const marks = marksOf(ticket);
  const off = ticket.strip.steps.some((step) => openRemoval(step));
  const fitted = ticket.drives.some(({ tries }) => tries[tries.length - 1]?.verdict === 'right');
  if (off && fitted) return 'rebuild';
  const last = STATIONS.findLastIndex((station) => marks[station] === 'done');
  const later = STATIONS.slice(last + 1).filter((station) => marks[station] === 'open');
  // What was never taken apart is not rebuilt, and a belt is measured without a wash where nothing asks for one.
  return (
    later.find(
      (station) => (station !== 'clean' || off || stillDirty(ticket).length > 0) && (station !== 'rebuild' || off),
    ) ?? 'handBack'
  );
}

/** What a swap does without: with any of it said, it is a whole repair. */
const BEYOND_A_SWAP: readonly StationId[] = ['find', 'strip', 'clean'];

/**
 * The page where the work goes on: the next station, or for a swap that stayed one its own page.
 *
 * @example nextPage(ticket) // 'rebuild'
 */
export function nextPage(ticket: Ticket): StationId | 'swap' {
  const marks = marksOf(ticket);
  const swap = ticket.way === 'swap' && ticket.closedAt === null && BEYOND_A_SWAP.every((one) => marks[one] !== 'done');
  return swap ? 'swap' : nextStation(ticket);
}
