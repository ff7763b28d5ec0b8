export { AUX, type AuxFact } from './aux';
export { METHODS, findMethod, methodsFor } from './methods';
export { checkAmount, parseAmount, readAmount, readReading, type ReadReading } from './read';
export { suspectLength } from './suspect';
export { parseBenchLine, type BenchLine } from './line';
export { driveFacts, type DriveFacts, type DriveSetting, type ReadingResult } from './facts';
export type { Aux, AuxKey, Converted, Measurand, Method, Reading, WriteLength } from './types';
export { mistakeOf } from './mistakes';
export { oddReason } from './oddReason';
