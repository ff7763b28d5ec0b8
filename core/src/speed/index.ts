export { drivenSpeed, type DrivenSpeed } from './driven';
export { MAINS_HZ, strobePath, strobeRing, type MainsHz, type StrobeRing } from './strobe';
export { readPulses, TIME_UNITS, type PulseSpeed, type TimeUnit } from './pulses';
