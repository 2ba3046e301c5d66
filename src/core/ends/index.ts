export * from './compound';
export * from './compound-qualification';
export * from './draw';
export * from './gypsum';
export * from './hardening';
export * from './pads';
export * from './qualification';
export * from './thickness';
