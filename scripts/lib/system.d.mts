/** What the tests use of system.mjs. */
export const HOME: string;
export const PROJECT: string;
export function noteOf(cluster: string): string;
