export * from './compound';
export * from './draw';
export * from './hardening';
export * from './pads';
export * from './qualification';
export * from './thickness';
