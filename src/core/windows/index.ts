export * from './age-window';
export * from './due-on';
