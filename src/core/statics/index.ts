export * from './attachments';
export * from './simple-beam';
