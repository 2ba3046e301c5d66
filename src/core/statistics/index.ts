export * from './summary';
