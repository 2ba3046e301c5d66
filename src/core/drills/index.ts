export * from './exercises';
export * from './play';
export * from './registry';
export * from './score';
export * from './types';
