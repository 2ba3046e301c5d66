export * from './finding';
export * from './numbered';
export * from './sheet';
export * from './source';
