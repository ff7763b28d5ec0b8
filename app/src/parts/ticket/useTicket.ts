import { createContext, useContext } from 'react';
import { useSearchParams } from 'react-router';
import { loaderOf, type Driven } from '@loose-pulley/core/base/loaders';
import type { DriveRecord } from '@loose-pulley/core/record/stations';
import type { Ticket, TicketRecord } from '@loose-pulley/core/record/ticket';

/** The open ticket, as its pages see it. */
export interface TicketView {
  readonly record: TicketRecord;
  readonly ticket: Ticket;
  readonly canWrite: boolean;
  /** Past tickets of the same machine or mechanism, as far as they have been read. */
  readonly past: readonly Ticket[];
}

export const TicketContext = createContext<TicketView | null>(null);

export function useTicket(): TicketView {
  const view = useContext(TicketContext);
  if (!view) throw new Error('useTicket is for the pages of a ticket.');
  return view;
}

/** The drive on screen, by the letter in the address, and what its belt moves. */
export function useDrive(): { readonly drive: DriveRecord; readonly driven: Driven } {
  const { ticket } = useTicket();
  const [search] = useSearchParams();
  const letter = search.get('drive');
  const drive = ticket.drives.find(({ name }) => name === letter) ?? ticket.drives[0];
  if (!drive) throw new Error('A ticket keeps at least one drive.');
  return { drive, driven: loaderOf(ticket.loader).driven };
}
