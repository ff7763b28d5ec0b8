export { perhapsSame } from './perhapsSame';
export { carryOver, knownFrom, type KnownFrom } from './carryOver';
export { workedBefore, type WorkedBefore } from './worked';
export { rightBefore, type RightBefore } from './rightBefore';
