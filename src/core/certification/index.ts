export * from './cards';
