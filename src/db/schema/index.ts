export * from './batches';
export * from './jobs';
export * from './people';
export * from './practice';
export * from './press';
export * from './reports';
export * from './runs';
export * from './storage';
