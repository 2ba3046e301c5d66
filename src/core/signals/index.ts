export * from './analyse-log';
export * from './bend';
export * from './cleaned-csv';
export * from './read-log';
export * from './stamped-rows';
export { STAMPS, type Stamp } from './stamps';
export * from './tests-in-log';
export { DELIMITERS, type Delimiter, firstRows, MOST_BEFORE, type RowsMapping } from './text-rows';
export * from './thin';
