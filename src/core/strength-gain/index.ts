export * from './early-breaks';
export * from './later';
export * from './shares';
export * from './two-places';
