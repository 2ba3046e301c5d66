export * from './expected';
export * from './findings';
export * from './load-log';
export * from './plan';
export * from './rates';
export * from './space';
export * from './units';
