export * from './acceptability';
export * from './charts';
export * from './decisions';
export * from './follows';
export * from './scatter';
export * from './series';
