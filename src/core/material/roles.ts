import type { Role } from './contract';

/**
 * What the next specimen of a sample is for: as many for each role as it says, in the order of the roles.
 * @param before how many the sample has @param rest the role of those beyond
 */
export function roleByCount(roles: readonly Role[], rest: string, before: number): string {
  return roles.flatMap(({ id, count = 0 }) => Array<string>(count).fill(id))[before] ?? rest;
}
