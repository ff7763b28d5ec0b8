import type { Timer } from '@loose-pulley/core/base/timers';

/** A timer that nobody has seen to, with its ticket. */
export interface Waiting {
  readonly ticketId: string;
  readonly number: string;
  readonly timer: Timer;
}
