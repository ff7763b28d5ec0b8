export { ago, clock, timerState, timerWords, type Timer, type TimerState } from './timer';
export { monthsLater } from './due';
