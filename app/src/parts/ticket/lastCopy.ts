import type { TicketSummary } from '@loose-pulley/core/record/ticket';
import { counted } from '@loose-pulley/core/base/units';
import { writtenDay } from '../../state/written';

/** So many changed tickets, and the Bench reminds of a copy. Common practice, no source. */
const REMIND_AFTER = 10;

/** How many tickets were touched since the last copy of everything. */
export const changedSince = (copiedAt: string, all: readonly TicketSummary[]): number =>
  all.filter(({ touchedAt }) => touchedAt > copiedAt).length;

/** When the last copy was saved, and how much has changed since. */
export function copyWords(copiedAt: string, all: readonly TicketSummary[]): string {
  const changed = changedSince(copiedAt, all);
  if (copiedAt === '') return all.length === 0 ? 'Nothing is here yet.' : 'No copy was saved on this computer yet.';
  return `Last saved ${writtenDay(copiedAt)}; ${changed === 0 ? 'no ticket has' : `${counted(changed, 'ticket')} ${changed === 1 ? 'has' : 'have'}`} changed since.`;
}

/** Whether it is time to be reminded. */
export const wantsCopy = (copiedAt: string, all: readonly TicketSummary[]): boolean =>
  changedSince(copiedAt, all) >= REMIND_AFTER;
