export * from './summary';
export * from './trend';
export * from "./chance";
