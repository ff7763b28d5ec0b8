import { SUMMARY_VERSION, type TicketSummary } from '@loose-pulley/core/record/ticket';
import { bench } from '../boot';
import type { StoredSummary } from './commit';
import { summaryTable } from './storage';

/*
 * Which tickets stand first in the Log: kept apart, since a full bench is read in some half second, and its first screen
 * in a twentieth of that. They are only shown sooner; what is true is what is read then.
 */
const KEY = `loose-pulley newest ${bench}`;
const FIRST = 24;
/** A bench of fewer is read whole as fast. */
const WORTH_IT = 500;

/** Keeps which are the first, newest first. */
export function keepNewest(summaries: readonly TicketSummary[]): void {
  try {
    if (summaries.length < WORTH_IT) localStorage.removeItem(KEY);
    else
      localStorage.setItem(
        KEY,
        summaries
          .slice(0, FIRST)
          .map(({ id }) => id)
          .join('\n'),
      );
  } catch {
    // A browser that lends no such store shows them with the rest.
  }
}

/** Those that were the first when the bench was read last, as they are now. */
export async function loadNewest(): Promise<readonly TicketSummary[]> {
  let ids: readonly string[] = [];
  try {
    ids = (localStorage.getItem(KEY) ?? '').split('\n').filter(Boolean);
  } catch {
    return [];
  }
  const found = await Promise.all(ids.map((id) => summaryTable.getItem<StoredSummary>(id).catch(() => null)));
  return found.flatMap((one) => (one?.version === SUMMARY_VERSION ? [one] : []));
}
