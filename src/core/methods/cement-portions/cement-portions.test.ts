import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('cement-portions') as NonNullable<ReturnType<typeof findMethod>>;
type Taken = readonly [name: string, mass: string];
const kept = (taken: readonly Taken[], reserve = '2300') => {
  const { input } = usableInput(method, {
    system: 'US',
    portions: [
      { name: 'A', use: 'tests', mass: '3000' },
      { name: 'R', use: 'reserve', mass: reserve },
    ],
    taken: taken.map(([name, mass]) => ({ name, mass, at: '2031-09-12T13:00:00Z' })),
  });
  const done = method.compute(input, {});
  return {
    left: done.results.map(({ text }) => text),
    ids: done.findings.map(({ id }) => id.replace(/\.r\d+$/u, '')),
    lines: done.lines.map(({ rounded }) => rounded),
  };
};

describe('the portions of a sample', () => {
  it('have left what was not taken', () => {
    const { left, ids, lines } = kept([
      ['A', '650'],
      [' a ', '500.5'],
    ]);
    expect(left).toEqual(['1,850', '2,300']);
    expect(lines).toEqual(['1849.5', '2300']);
    expect(ids).toEqual([]);
  });
  it.each<[Taken[], string]>([
    [[['A', '3001']], 'portions.more'],
    [[['R', '100']], 'portions.reserve'],
    [[['B', '100']], 'portions.unknown'],
    [[['A', '2400']], 'portions.low'],
  ])('%j: %s', (taken, id) => {
    expect(kept(taken).ids).toContain(id);
  });
  it('a reserve that is little is said while there is more', () => {
    expect(kept([], '900').ids).toEqual(['portions.little']);
  });
  it('exactly one paste is enough', () => {
    expect(kept([['A', '2350']]).ids).toEqual([]);
  });
});
