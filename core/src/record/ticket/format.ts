export const TICKET_FORMAT = 'loose-pulley/ticket';
export const TICKET_VERSION = 8;
export const EVENTS_MAX = 100_000;
