export { disarmed, writeTable } from './write';
export { readTable, rowsOf, type Table } from './read';
