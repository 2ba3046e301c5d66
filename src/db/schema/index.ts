export * from './jobs';
export * from './people';
export * from './reports';
export * from './runs';
