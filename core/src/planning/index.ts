export { ago, clock, timerState, timerWords, type Timer, type TimerState } from './timer';
