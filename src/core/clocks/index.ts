export * from './definitions';
export * from './events';
export * from './state';
