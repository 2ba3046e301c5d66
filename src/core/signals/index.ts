export * from './analyse-log';
export * from './read-log';
export * from './thin';
