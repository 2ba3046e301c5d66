export * from './duties';
export * from './extremes';
export * from './lime';
export * from './positions';
