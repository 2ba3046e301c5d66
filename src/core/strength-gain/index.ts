export * from './later';
export * from './shares';
export * from './two-places';
