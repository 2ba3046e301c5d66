export * from './contract';
export * from './equipment-checks';
export * from './fields';
export * from './kinds';
export * from './machine-facts';
export * from './registry';
export * from './setup';
export * from './validate';
