import fc from 'fast-check';
import { expect, it } from 'vitest';
import { roleByCount } from './roles';

const ROLES = [
  { id: 'broken', text: 'Strength', count: 3 },
  { id: 'soaked', text: 'Absorption', count: 2 },
  { id: 'spare', text: 'Spare' },
];

it('specimens are given their roles in order, and what is beyond is the rest', () => {
  expect([0, 1, 2, 3, 4, 5, 50].map((before) => roleByCount(ROLES, 'spare', before))).toEqual([
    'broken',
    'broken',
    'broken',
    'soaked',
    'soaked',
    'spare',
    'spare',
  ]);
});

it('of any number no role has more than it says, but for the rest', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 40 }), (count) => {
      const given = Array.from({ length: count }, (_, before) => roleByCount(ROLES, 'spare', before));
      expect(given.filter((role) => role === 'broken')).toHaveLength(Math.min(3, count));
      expect(given.filter((role) => role === 'soaked')).toHaveLength(Math.min(2, Math.max(0, count - 3)));
    }),
  );
});
