export * from './day';
export * from './hands';
