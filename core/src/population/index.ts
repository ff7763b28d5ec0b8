export { sampleDrive, DRIVE_CLASSES, worksIn, type DriveClass, type TrueDrive } from './drive';
export { EFFORTS, measured, upTo, type BenchView, type Effort } from './bench';
export { gapClosed, playPopulation, type Calibration, type Closed, type Population, type Score } from './play';
