export * from './relation';
