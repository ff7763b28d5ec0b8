import { formatDay } from '@loose-pulley/core/base/units';

/* Days and times as every page and paper writes them, by this machine's own clock and calendar. */

const pad = (n: number): string => String(n).padStart(2, '0');

/** The time of day of a moment, as `17:20`. By hand: the platform's words take 20 ms to begin. */
export function timeOfDay(moment: string): string {
  const at = new Date(moment);
  return `${pad(at.getHours())}:${pad(at.getMinutes())}`;
}

/** The calendar day of a moment here, as `2026-12-31`; the text itself where it is no moment. */
export function dayOf(moment: string): string {
  const at = new Date(moment);
  return Number.isNaN(at.getTime()) ? moment : `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`;
}

/** Today, as `2026-12-31`. */
export const today = (): string => dayOf(new Date().toISOString());

/** The day of a moment, as `31 December 2026`. */
export const writtenDay = (moment: string): string => formatDay(dayOf(moment));

/** Day and time of a moment, as `31 December 2026, 17:20`. */
export const writtenMoment = (moment: string): string => `${writtenDay(moment)}, ${timeOfDay(moment)}`;
