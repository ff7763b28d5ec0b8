export { ago, clock, timerState, timerWords, type TimerState } from './timer';
export { monthsLater } from './due';
export { timer, type Timer } from './schema';
