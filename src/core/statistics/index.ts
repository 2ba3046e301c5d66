export * from './chance';
export * from './summary';
export * from './trend';
