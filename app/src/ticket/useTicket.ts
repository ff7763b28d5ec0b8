import { createContext, useContext, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import { situationOf, type Situation } from '@loose-pulley/core/sizing';
import { factsOf, type Ticket, type TicketRecord } from '@loose-pulley/core/ticket';
import type { Result } from '@loose-pulley/core/units';
import { useAppSelector } from '../store/store';
import type { DriveRecord } from '@loose-pulley/core/stations';
import { type Driven, DRIVEN_OF } from '@loose-pulley/core/loaders';

/** The open ticket, as its pages see it. */
export interface TicketView {
  readonly record: TicketRecord;
  readonly ticket: Ticket;
  readonly canWrite: boolean;
}

export const TicketContext = createContext<TicketView | null>(null);

export function useTicket(): TicketView {
  const view = useContext(TicketContext);
  if (!view) throw new Error('useTicket is for the pages of a ticket.');
  return view;
}

/** The drive on screen, by the letter in the address, with everything that its readings give. Derived, never kept. */
export function useDrive(): {
  readonly drive: DriveRecord;
  readonly facts: DriveFacts;
  readonly situation: Result<Situation>;
  /** What its belt moves. */
  readonly driven: Driven;
} {
  const { ticket } = useTicket();
  const [search] = useSearchParams();
  const letter = search.get('drive');
  const drive = ticket.drives.find(({ name }) => name === letter) ?? ticket.drives[0];
  if (!drive) throw new Error('A ticket keeps at least one drive.');
  const facts = useMemo(() => factsOf(drive), [drive]);
  const driven = DRIVEN_OF[ticket.loader];
  const limits = useAppSelector(({ settings }) => settings.limits);
  const situation = useMemo(() => situationOf(facts, { ...drive, limits, driven }), [facts, drive, limits, driven]);
  return { drive, facts, situation, driven };
}
