import { midnight } from '@loose-pulley/core/shop/day';
import { timeOfDay, writtenMoment } from '../../state/written';

export const HOUR_MS = 3_600_000;
export const at = (ms: number): string => timeOfDay(new Date(ms).toISOString());
export const iso = (ms: number): string => new Date(ms).toISOString();
export const sameDay = (a: number, b: number): boolean => midnight(a) === midnight(b);
/** A moment as it is said today: the hour, else the day with it. */
export const moment = (ms: number, nowMs: number): string => (sameDay(ms, nowMs) ? at(ms) : writtenMoment(iso(ms)));
