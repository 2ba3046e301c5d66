export * from './limits';
export * from './register';
