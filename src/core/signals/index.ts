export * from './analyse-log';
export * from './read-log';
