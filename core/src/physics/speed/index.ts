export { drivenSpeed, type DrivenSpeed } from './driven';
export { MAINS_HZ, strobePath, strobeRing, type MainsHz, type StrobeRing } from './strobe';
export {
  COMMAS,
  readPulses,
  TIME_UNITS,
  type Comma,
  type PulseOptions,
  type PulsesRead,
  type PulseSpeed,
  type TimeUnit,
} from './pulses';
