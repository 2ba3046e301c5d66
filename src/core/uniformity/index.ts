export * from './acceptability';
export * from './charts';
export * from './decisions';
export * from './facts';
export * from './follows';
export * from './scatter';
export * from './series';
export * from './sheets';
