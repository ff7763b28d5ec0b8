import { counted } from '../units';
import type { Timer } from './schema';

/** How a timer stands at a moment. */
export type TimerState =
  | { readonly status: 'running'; readonly leftS: number }
  | { readonly status: 'due'; readonly lateS: number }
  | { readonly status: 'seen' };

/**
 * How a timer stands. A clock set back does not make it longer than it was.
 *
 * @param nowMs milliseconds since 1970, UTC
 * @example timerState(timer of 5 min begun a minute ago, now) // { status: 'running', leftS: 240 }
 */
export function timerState(timer: Timer, nowMs: number): TimerState {
  if (timer.endedAt !== null) return { status: 'seen' };
  const [startMs, endMs] = [Date.parse(timer.startedAt), Date.parse(timer.endsAt)];
  const leftS = Math.min(endMs - nowMs, endMs - startMs) / 1000;
  return leftS > 0 ? { status: 'running', leftS } : { status: 'due', lateS: -leftS };
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
  if (state.status === 'running') return `${what}: ${clock(state.leftS)} to go`;
  return state.status === 'due' ? `${what}: time is up, ${ago(state.lateS)} ago` : `${what}: seen to`;
}
