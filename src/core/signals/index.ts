export * from './analyse-log';
export * from './bend';
export * from './cleaned-csv';
export * from './read-log';
export * from './tests-in-log';
export { firstRows } from './text-rows';
export * from './thin';
