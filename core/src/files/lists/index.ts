export { meet, type Meeting } from './meet';
export {
  COLUMN_NAMES,
  columnDoubts,
  COLUMNS,
  matchColumns,
  type Column,
  type ColumnDoubt,
  type Matching,
} from './columns';
export { isOwnList, writeList } from './write';
export { LINES_MAX, readList, type LineProblem, type ReadList, type SaidOfList } from './read';
