export * from './content';
export * from './curve-path';
export * from './plot-marks';
export * from './sections';
