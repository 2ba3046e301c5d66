export * from './curve';
export * from './datum';
export * from './forecast';
