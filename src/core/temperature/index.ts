export * from './analyse';
export * from './compare';
export * from './maturity-index';
export * from './read';
export * from './spans';
export * from './stamps';
export * from './types';
