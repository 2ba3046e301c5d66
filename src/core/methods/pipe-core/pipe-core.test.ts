import { describe, expect, it } from 'vitest';
import { type CoredPipe, coreChain } from '../../pipe/core-chain';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('pipe-core') as NonNullable<ReturnType<typeof findMethod>>;
const cored = (read: Readonly<Record<string, string>>, system: 'US' | 'SI' = 'US') => {
  const { input } = usableInput(method, { system, steel: 'none', kept: 'sealed', ends: 'compound', ...read });
  return method.compute(input, { facts: { specifiedStrength: '5,000 psi' } });
};
const ids = ({ findings }: ReturnType<typeof cored>): string[] => findings.map(({ id }) => id);

// ASTM C42 (from memory): factors 0.87, 0.93, 0.96, 0.98 at L/D of 1.00, 1.25, 1.50, 1.75 and straight between; quotients by hand.
describe('a core of the wall', () => {
  it.each([
    ['US', '3.75', '4.50', '54,300', '4,510'],
    // Longer than 1.75 times as wide it needs none.
    ['US', '2.75', '5.00', '29,800', '5,020'],
    ['US', '3.74', '6.54', '52,000', '4,640'],
    ['SI', '94.5', '113.0', '241.8', '31.6'],
  ] as const)('%s: %s wide, %s long, %s: %s', (system, d, length, maximumLoad, text) => {
    const done = cored({ diameter1: d, diameter2: d, length, maximumLoad }, system);
    expect(done.results[0]?.text).toBe(text);
  });
  it('shorter than wide has no strength', () => {
    const done = cored({ diameter1: '3.72', diameter2: '3.72', length: '3.70', maximumLoad: '50,000' });
    expect(done.results).toEqual([]);
    expect(done.findings.find(({ id }) => id === 'factor.smallest')?.severity).toBe('invalid');
  });
  it.each([
    [{ diameter1: '3.70', diameter2: '3.80' }, 'pipe-core.spread'],
    [{ length: '8.0' }, 'pipe-core.most'],
    [{ lengthBefore: '4.6' }, 'pipe-core.caps'],
    [{ aggregate: '1.5' }, 'pipe-core.aggregate'],
    [{ aggregate: '2' }, 'pipe-core.agreed'],
    [{ steel: 'inside' }, 'pipe-core.steel'],
    [{ ends: 'loose' }, 'pipe-core.loose'],
  ])('%j is told', (read, id) => {
    const good = { diameter1: '3.75', diameter2: '3.75', length: '4.5', maximumLoad: '54,300' };
    expect(ids(cored(good)).filter((each) => each.startsWith('pipe-core'))).toEqual([]);
    expect(ids(cored({ ...good, ...read }))).toContain(id);
  });
  it('is planned no wider than the wall', () => {
    const plan = method.plan('US', { facts: { design: 'c76-III', span: '36 in', wallLetter: 'B' } });
    expect(plan[0]).toMatchObject({ label: 'Core no wider than', text: '4 in' });
  });
});

// ASTM C76 (from memory): recore the same pipe; where that is low too, it goes and two others are drawn.
describe('the cores of a group', () => {
  const pipe = (mark: string, ...cores: boolean[]): CoredPipe => ({ mark, cores });
  it.each([
    [[], undefined],
    [[pipe('a', true)], { state: 'accepted' }],
    [[pipe('a', false)], { state: 'recore', mark: 'a' }],
    [[pipe('a', false, true)], { state: 'accepted' }],
    [[pipe('a', false, false)], { state: 'two more', mark: 'a', owed: 2 }],
    [[pipe('a', false, false), pipe('b', true)], { state: 'two more', mark: 'a', owed: 1 }],
    [[pipe('a', false, false), pipe('b', true), pipe('c', true)], { state: 'accepted without', mark: 'a' }],
    [[pipe('a', false, false), pipe('b', true), pipe('c', false)], { state: 'each or reject', mark: 'a' }],
    [[pipe('a', false, false), pipe('b', false)], { state: 'each or reject', mark: 'a' }],
    [[pipe('z'), pipe('a', true)], { state: 'accepted' }],
  ])('%#', (pipes, says) => {
    expect(coreChain(pipes, 2)).toEqual(says);
  });
});
