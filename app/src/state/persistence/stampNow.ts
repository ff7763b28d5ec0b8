import { nanoid } from 'nanoid';
import type { EventBody, TicketEvent } from '@loose-pulley/core/record/ticket';

/** An event as it happens now. */
export const stampNow = (body: EventBody, gesture?: string, together?: string): TicketEvent => ({
  ...body,
  id: nanoid(12),
  at: new Date().toISOString(),
  ...(gesture !== undefined && { gesture }),
  ...(together !== undefined && { together }),
});
