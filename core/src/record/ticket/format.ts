export const TICKET_FORMAT = 'loose-pulley/ticket';
export const TICKET_VERSION = 8;
export const EVENTS_MAX = 100_000;
/** Raised whenever a summary says more or otherwise: older ones are made anew. */
export const SUMMARY_VERSION = 5;
