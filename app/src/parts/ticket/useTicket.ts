import { createContext, useContext } from 'react';
import { useSearchParams } from 'react-router';
import { driveView, type DriveView } from '@loose-pulley/core/views/drive';
import type { Ticket, TicketRecord } from '@loose-pulley/core/record/ticket';
import { useBench } from '../../state/store/hooks';

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

/** The drive on screen, by the letter in the address, with everything that its readings give. Derived, never kept. */
export function useDrive(): DriveView {
  const { ticket, past } = useTicket();
  const [search] = useSearchParams();
  const bench = useBench();
  const letter = search.get('drive');
  const drive = ticket.drives.find(({ name }) => name === letter) ?? ticket.drives[0];
  if (!drive) throw new Error('A ticket keeps at least one drive.');
  return driveView(ticket, drive, bench, past);
}

/** Every drive of the ticket, as the papers show them. */
export function useDrives(): readonly DriveView[] {
  const { ticket, past } = useTicket();
  const bench = useBench();
  return ticket.drives.map((drive) => driveView(ticket, drive, bench, past));
}
