export * from './change';
export * from './limits';
export * from './register';
export { PROFILE_WORDS, PROFILES, type Profile } from './schools';
