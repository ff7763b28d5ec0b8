import { counted } from '../units';
import type { Timer } from './schema';

/** How a timer stands at a moment. */
export type TimerState =
  | {
      readonly status: 'running';
      readonly leftS: number;
      /** The clock stands before the timer's start, so that it cannot tell how much has gone. */
      readonly clockBack?: true;
    }
  | { readonly status: 'due'; readonly lateS: number }
  | { readonly status: 'seen' };

/**
 * How a timer stands. A clock set back does not make it longer than it was.
 *
 * @param nowMs milliseconds since 1970, UTC
 * @example timerState(ticket.timers[0], Date.parse('2026-01-12T09:06:00Z')) // { status: 'running', leftS: 240 }
 */
export function timerState(timer: Timer, nowMs: number): TimerState {
  if (timer.endedAt !== null) return { status: 'seen' };
  const [startMs, endMs] = [Date.parse(timer.startedAt), Date.parse(timer.endsAt)];
  const leftS = Math.min(endMs - nowMs, endMs - startMs) / 1000;
  if (leftS <= 0) return { status: 'due', lateS: -leftS };
  return { status: 'running', leftS, ...(nowMs < startMs - CLOCK_SLACK_MS && { clockBack: true }) };
}

/** Clocks that are set by a network are put right by a second or two. */
const CLOCK_SLACK_MS = 2000;
/** A clock this far behind was set back; less may be two computers' clocks. */
const BEHIND_MS = 60_000;

/**
 * How far this computer's clock is behind what was last entered.
 *
 * @param at when that was, ISO 8601 in UTC
 * @returns seconds; 0 where it is not behind, or by less than a minute
 * @example clockBehindS('2026-03-01T10:00:00Z', Date.parse('2026-03-01T08:00:00Z')) // 7200
 */
export function clockBehindS(at: string, nowMs: number): number {
  const behindMs = Date.parse(at) - nowMs;
  return behindMs > BEHIND_MS ? behindMs / 1000 : 0;
}

/** Minutes and seconds of a countdown, hours where there are any. @example clock(192) // '3:12' */
export function clock(seconds: number): string {
  const whole = Math.ceil(seconds);
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  const pad = (n: number) => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${pad(m)}:${pad(s)}` : `${m}:${pad(s)}`;
}

/** How long ago, in the unit a bench would say. @example ago(200) // '3 min' */
export function ago(seconds: number): string {
  if (seconds < 60) return `${Math.max(1, Math.round(seconds))} s`;
  if (seconds < 3600) return `${Math.round(seconds / 60)} min`;
  if (seconds < 86_400) return `${Math.round(seconds / 3600)} h`;
  return counted(Math.round(seconds / 86_400), 'day');
}

/** A timer in words. @example timerWords('unplugged', { status: 'due', lateS: 200 }) // 'unplugged: time is up, 3 min ago' */
export function timerWords(what: string, state: TimerState): string {
  if (state.status === 'running') {
    return state.clockBack
      ? `${what}: the clock was set back; wait ${clock(state.leftS)} by another`
      : `${what}: ${clock(state.leftS)} to go`;
  }
  return state.status === 'due' ? `${what}: time is up, ${ago(state.lateS)} ago` : `${what}: seen to`;
}
