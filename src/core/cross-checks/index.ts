export * from './pairs';
