export * from './change';
export * from './limits';
export { PROFILE_WORDS, PROFILES, type Profile } from './profiles';
export * from './register';
