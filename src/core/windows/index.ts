export * from './age-window';
export * from './opening-hours';
