export { ago, clock, clockBehindS, timerState, timerWords, type TimerState } from './timer';
export { monthsLater } from './due';
export { timer, type Timer } from './schema';
