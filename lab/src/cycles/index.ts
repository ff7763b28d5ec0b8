export { tableAgainstCycles, type Against } from './againstTable';
