import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import { findMethod } from '../registry';
import { waitsOf } from '../step-clock';
import { unitSoak } from '.';

const method = findMethod(unitSoak.id) ?? unitSoak;
const setup = {
  batch: { label: 'SK-1', seed: 1, specimens: [{ label: 'U4' }, { label: 'U5' }] },
};
const input = (typed: Record<string, unknown>) =>
  usableInput(method as never, { system: 'US', tared: true, lies: 'apart', ...typed }).input as never;
const ids = (typed: Record<string, unknown>) =>
  method.compute(input(typed), setup).findings.map(({ id, severity }) => `${severity} ${id}`);
const row = (over: Record<string, string> = {}) => ({
  specimen: 'U4',
  immersed: '17.28',
  drained: '60',
  saturated: '34.94',
  at: '2031-05-21T10:08:00Z',
  ...over,
});

// ASTM C140/C140M 8 (from memory): 24 to 28 h in water of 60 to 80 °F, drained for one minute.
describe('units in the tank', () => {
  const inAt = '2031-05-20T10:00:00Z';
  it.each([
    ['2031-05-21T09:59:00Z', true],
    ['2031-05-21T10:00:00Z', false],
    ['2031-05-21T14:00:00Z', false],
    ['2031-05-21T14:01:00Z', true],
  ])('out at %s is said: %s', (outAt, said) => {
    expect(ids({ inAt, outAt }).includes('departure soak.time')).toBe(said);
  });
  it('wait from a day on, until four hours later', () => {
    expect(waitsOf(method, input({ inAt }), setup)).toMatchObject([
      { lane: 'tank', opens: '2031-05-21T10:00:00.000Z', closes: '2031-05-21T14:00:00.000Z' },
    ]);
    expect(waitsOf(method, input({ inAt, outAt: '2031-05-21T10:05:00Z' }), setup)).toEqual([]);
  });
  it.each([
    [{ water: '81' }, 'departure soak.water'],
    [{ lies: 'crowded' }, 'departure soak.crowded'],
    [{ tared: false }, 'invalid soak.tare'],
    [{ units: [row({ drained: '70' })] }, 'departure soak.drain.U4'],
    [{ units: [row({ immersed: '34.94' })] }, 'invalid soak.order.U4'],
    [{ units: [row({ immersed: '23.00' })] }, 'advice soak.share.U4'],
    [{ units: [row({ specimen: 'U9' })] }, 'departure units.strange'],
  ])('%j: %s', (typed, said) => expect(ids(typed)).toContain(said));
  it('tell each its two masses, the last that were read, and nothing of one that is not weighed', () => {
    const tell = (label: string) =>
      method.batch?.tells(
        input({ units: [row(), row({ saturated: '34.90' })] }),
        { label, batch: 'SK-1', remarks: [] },
        setup,
      );
    expect(tell('U4')).toEqual({ immersed: '17.28 lb', saturated: '34.9 lb' });
    expect(tell('U5')).toEqual({});
  });
});
