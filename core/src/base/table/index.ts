export { disarmed, writeTable } from './write';
export { readTable, type Table } from './read';
