export * from './chance';
export * from './line';
export * from './summary';
export * from './trend';
