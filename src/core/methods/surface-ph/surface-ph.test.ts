import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { type Method, usableInput } from '..';
import type { Facts } from '../facts';
import { findMethod } from '../registry';

const method = findMethod('surface-ph') as Method;
const read = (puddles: readonly (readonly [number, string])[], over: object = {}, facts: Facts = {}) => {
  const { input } = usableInput(method, {
    system: 'US',
    surface: 'ready',
    water: 'distilled',
    by: 'paper',
    readAt: '2031-03-03T11:40:00-05:00',
    puddles: puddles.map(([waited, pH], place) => ({
      id: `p${place}`,
      place: `H${place + 1}`,
      waited: String(waited),
      pH,
    })),
    ...over,
  });
  return method.compute(input, { facts });
};
const stands = (...given: Parameters<typeof read>) => read(...given).verdicts.map(({ state }) => state);
const found = (...given: Parameters<typeof read>) =>
  read(...given).findings.map(({ id, severity }) => `${severity} ${id}`);

describe('the pH of a surface', () => {
  it('is the highest and the lowest of its puddles, never their mean', () => {
    const { results, verdicts } = read([
      [60, '9'],
      [60, '10'],
      [60, '11'],
    ]);
    expect(results.map(({ quantity, text }) => [quantity, text])).toEqual([
      ['highest pH', '11.0'],
      ['lowest pH', '9.0'],
    ]);
    // ASTM F710: 7 to 10 where the maker says nothing (from memory). The mean, 10, would have passed.
    expect(verdicts.map(({ state }) => state)).toEqual(['does not meet', 'meets']);
    expect(verdicts[0]?.sentence).toContain('written consent of the floor’s maker');
  });
  it('goes by the maker of the floor where it says something', () => {
    expect(stands([[60, '10.5']], {}, { phHigh: '11' })).toEqual(['meets', 'meets']);
    expect(stands([[60, '8.5']], {}, { phLow: '9', phHigh: '12' })).toEqual(['meets', 'does not meet']);
  });
  it('says of a number that no concrete keeps that a test can promise nothing, and what washing does', () => {
    expect(found([[60, '8']], {}, { phHigh: '7' })).toContain('advice ph.goal');
    expect(found([[60, '8']], {}, { phHigh: '8' })).not.toContain('advice ph.goal');
    expect(found([[60, '8']])).not.toContain('advice ph.goal');
    const goal = read([[60, '8']], {}, { phHigh: '7' }).findings.find(({ id }) => id === 'ph.goal');
    expect(goal?.action).toContain('Washing lowers the skin');
    // After acid the rinse water decides.
    expect(found([[60, '7']], { surface: 'etched', rinse: '5.5' }, { phHigh: '7' })).not.toContain(
      'advice ph.goal',
    );
  });
  // ASTM F710: the puddle stands a minute (from memory).
  it.each([
    [54, false],
    [55, true],
    [65, true],
    [66, false],
    [5, false],
  ])('counts a puddle that stood %d s: %s', (seconds, counts) => {
    const { results, findings, picture } = read([[seconds, '9']]);
    expect(results.length > 0).toBe(counts);
    expect(findings.map(({ id }) => id)).toEqual(counts ? [] : ['ph.wait']);
    expect(String(picture.values.puddles).endsWith(counts ? 'in' : 'out')).toBe(true);
  });
  it('says that one dipped at once reads the water', () => {
    expect(read([[5, '7']]).findings[0]?.action).toContain('it reads the water');
    expect(read([[80, '7']]).findings[0]?.action).not.toContain('reads the water');
  });
  // ASTM D4262: from 1 below the rinse water to 2 above it (from memory).
  it('is held to its rinse water after acid', () => {
    expect(stands([[60, '9.4']], { surface: 'etched', rinse: '7.2' })).toEqual(['does not meet', 'meets']);
    expect(stands([[60, '9.2']], { surface: 'etched', rinse: '7.2' })).toEqual(['meets', 'meets']);
    expect(stands([[60, '6.1']], { surface: 'etched', rinse: '7.2' })).toEqual(['meets', 'does not meet']);
    expect(
      read([[60, '9']], { surface: 'etched', rinse: '7.2' }).lines.flatMap(({ symbol, value }) =>
        symbol.startsWith('pH') ? [] : [Number(value)],
      ),
    ).toEqual([6.2, 9.2]);
    expect(found([[60, '9']], { surface: 'etched' })).toEqual(['departure ph.rinse']);
  });
  it('is no test with water from the tap, and none of the surface that the floor goes on before it is ready', () => {
    expect(found([[60, '9']], { water: 'tap' })).toEqual(['invalid ph.tap']);
    expect(found([[60, '9']], { surface: 'before' })).toEqual(['departure ph.before']);
  });
  it('is nothing without a puddle', () => {
    expect(read([])).toMatchObject({ results: [], verdicts: [], findings: [] });
  });
});
