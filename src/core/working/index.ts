export * from './finding';
export * from './sheet';
export * from './source';
