export * from './member-heat';
