export * from './definitions';
export * from './device-clock';
export * from './events';
export * from './order';
export * from './plan';
export * from './state';
