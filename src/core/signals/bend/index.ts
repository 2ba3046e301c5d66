export * from './analyse';
export * from './of-log';
export * from './types';
