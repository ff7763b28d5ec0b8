export { machineView, type FailureCount, type FittedBelt, type MachineDrive, type MachineView } from './view';
export { countingNow, type Counting } from './counting';
export { chosenBelt, driveOfBelt, fittingOf } from './fitting';
