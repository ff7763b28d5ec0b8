export { machineView, type FailureCount, type FittedBelt, type MachineDrive, type MachineView } from './view';
