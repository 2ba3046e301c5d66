export * from './concrete-curve';
export * from './dial';
export * from './protocol';
export * from './record';
export * from './scenarios';
export * from './simulated-press';
export * from './spacers';
export * from './watch';
