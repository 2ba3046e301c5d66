export * from './draw';
export * from './frequency';
export * from './load-decision';
export * from './random-table';
export * from './size';
