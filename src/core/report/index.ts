export * from './content';
export * from './course';
export * from './curve-path';
export * from './drawing';
export * from './plan-drawing';
export * from './plot-marks';
export * from './sections';
