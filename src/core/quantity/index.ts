export * from './exact';
export * from './parse';
export * from './round';
export * from './show';
export * from './units';
