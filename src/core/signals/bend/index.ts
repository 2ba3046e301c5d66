export * from './analyse';
export * from './types';
