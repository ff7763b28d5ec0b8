import type { Ticket } from '@loose-pulley/core/record/ticket';
import { fileName } from '../ui/download';

/** The file name of a ticket, number first. @example writeTicketName(ticket) // '0147-pennerley-t9-booth-deck' */
export const writeTicketName = (ticket: Ticket): string => fileName(`${ticket.number} ${ticket.machine}`);
