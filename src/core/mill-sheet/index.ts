export * from './beside';
export * from './compounds';
