export * from './definitions';
export * from './events';
export * from './plan';
export * from './state';
