export * from './analyse';
export * from './cleaned-record';
export * from './compare';
export * from './maturity-index';
export * from './read';
export * from './spans';
export * from './stamps';
export * from './types';
