export * from './core-set';
export * from './cube-set';
export * from './low-strength';
export * from './other-set';
export * from './series';
export * from './small-set';
export * from './strength-test';
export * from './within-trend';
