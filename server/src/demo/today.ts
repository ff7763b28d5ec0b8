/*
 * Days of the demo that are told from the day on which it is begun: a promise for this afternoon, a parcel three days on its
 * way. They stand about a day that no bench will see, and become real ones when the demo is planted (`persistence/demo.ts`).
 */

const ANCHOR = Date.UTC(2099, 5, 15);
const DAY_MS = 86_400_000;

/** So many days from the day on which the demo is begun. @example TODAY(1) // '2099-06-16': tomorrow */
export const TODAY = (days: number): string => new Date(ANCHOR + days * DAY_MS).toISOString().slice(0, 10);
