export * from './consolidation';
export * from './moulds';
