import type { Timer } from '@loose-pulley/core/base/timers';

/** A timer that nobody has seen to, with its ticket. */
export interface Waiting {
  readonly ticketId: string;
  readonly number: string;
  readonly timer: Timer;
  /** It is of the ticket that is open. */
  readonly own: boolean;
}
