export * from './attachments';
export * from './question';
export * from './simple-beam';
