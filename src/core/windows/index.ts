export * from './age-window';
export * from './due-on';
export * from './duration-text';
export * from './window-state';
