export {
  sampleDrive,
  sisterOf,
  DRIVE_CLASSES,
  failsIn,
  truthOf,
  verdictOn,
  worksIn,
  type DriveClass,
  type TrueDrive,
} from './drive';
export { EFFORTS, measured, upTo, type BenchView, type Effort } from './bench';
export { gapClosed, type Calibration, type Closed } from './outcomes';
export { playPopulation, type Population, type Score } from './play';
