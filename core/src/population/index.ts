export { drawDrive, DRIVE_CLASSES, worksIn, type DriveClass, type TrueDrive } from './drive';
export { EFFORTS, measured, upTo, type BenchView, type Effort } from './bench';
export { playPopulation, type Calibration, type Population, type Score } from './play';
