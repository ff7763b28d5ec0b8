export const TICKET_FORMAT = 'loose-pulley/ticket';
export const TICKET_VERSION = 5;
export const EVENTS_MAX = 100_000;
