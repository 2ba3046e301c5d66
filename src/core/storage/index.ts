export * from './duties';
export * from './lime';
export * from './positions';
