export * from './check';
export * from './geometry';
export * from './mark';
export * from './page';
export * from './plan';
export * from './propose';
export * from './round';
