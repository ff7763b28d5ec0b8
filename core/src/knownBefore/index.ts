export { carryOver, knownFrom, type KnownFrom } from './carryOver';
