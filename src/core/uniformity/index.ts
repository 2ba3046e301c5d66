export * from './charts';
export * from './decisions';
export * from './scatter';
export * from './series';
