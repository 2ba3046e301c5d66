export * from './low-strength';
export * from './series';
export * from './strength-test';
