export * from './draw';
export * from './frequency';
export * from './load-decision';
export * from './size';
