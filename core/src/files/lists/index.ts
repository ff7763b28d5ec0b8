export { COLUMN_NAMES, COLUMNS, matchColumns, type Column, type Matching } from './columns';
export { LINES_MAX, readList, writeList, type LineProblem, type ReadList } from './read';
