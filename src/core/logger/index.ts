export * from './reading';
export * from './simulated-logger';
