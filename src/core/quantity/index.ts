export * from './exact';
export * from './instant';
export * from './interpolate';
export * from './memo';
export * from './parse';
export * from './round';
export * from './show';
export * from './units';
