import type { Role } from '../../material/contract';
import { schoolOf } from '../schools';
import { ABSORPTION, COMPRESSION, PAIR, TO_HALVE, WHOLE } from './forms';

/** What bricks and halves are for, in the order that bricks are numbered: pairs for efflorescence come last. */
export const ROLES: readonly Role[] = [
  { id: TO_HALVE, text: 'To be halved', count: 5 },
  { id: WHOLE, text: 'Whole: suction, bending', count: 5 },
  { id: PAIR, text: 'Pairs for efflorescence' },
  { id: COMPRESSION, text: 'Strength' },
  { id: ABSORPTION, text: 'Absorption' },
];

/** The same where a school breaks whole bricks. Source: EN 772-1, IS 3495 (from memory). */
const WHOLE_BRICKS: Readonly<Record<string, readonly Role[]>> = {
  en: [{ id: COMPRESSION, text: 'Strength', count: 10 }],
  is: [
    { id: COMPRESSION, text: 'Strength', count: 5 },
    { id: ABSORPTION, text: 'Absorption', count: 5 },
  ],
};

/** The roles that bricks of a product are given as they are numbered. */
export function rolesOf(product: unknown): readonly Role[] {
  return WHOLE_BRICKS[schoolOf(product) ?? ''] ?? ROLES;
}
