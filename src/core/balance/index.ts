export * from './reading';
export * from './simulated-balance';
export * from './weighing';
