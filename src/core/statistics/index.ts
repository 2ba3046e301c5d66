export * from './summary';
export * from './trend';
