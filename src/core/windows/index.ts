export * from './age-window';
