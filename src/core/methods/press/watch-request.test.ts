import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import type { PressTest } from '../contract';
import type { MachineFacts } from '../machine-facts';
import type { EquipmentFacts } from '../setup';
import { bendRequestOf, watchRequestOf } from './watch-request';

const limits = new Limits();
const TEST: PressTest = {
  area: exact('12.5664'),
  factor: exact(1),
  band: limits.of('cylinder.loading-rate', 'US'),
  from: 'half',
  expected: exact(55_000),
  width: exact(4),
  height: exact(8),
  ends: 'pads',
  measured: true,
};
const machine = (facts: MachineFacts, more: Partial<EquipmentFacts> = {}): EquipmentFacts => ({
  number: 'PRESS-1',
  kind: 'compression machine',
  machine: facts,
  ...more,
});
const DIGITAL: MachineFacts = { indicator: 'digital', increment: '10 lbf', capacity: '250000 lbf' };

describe('what a break is watched with', () => {
  it('has the band of this specimen: 28 to 42 psi/s over 12.57 in² (ASTM C39, from memory)', () => {
    const request = watchRequestOf(TEST, machine(DIGITAL), limits, 'US');
    expect(request.low).toBeCloseTo(351.86, 2);
    expect(request.high).toBeCloseTo(527.79, 2);
    expect([request.from, request.pads, request.expected]).toEqual([0.5, true, 55_000]);
  });
  it('counts from the beginning where the method says so', () => {
    expect(watchRequestOf({ ...TEST, from: 'start' }, undefined, limits, 'US').from).toBe(0);
  });
  it.each([
    ['a fifth of a percent of the scale', DIGITAL, 500],
    ['five steps, where they are more', { ...DIGITAL, increment: '200 lbf' }, 1000],
    ['half marks of a dial', { indicator: 'dial', minor: '500 lbf', fullScale: '100000 lbf' }, 1250],
    ['what a press usually has, where nothing is known', { capacity: '250000 lbf' }, 500],
  ] as const)('knows a contact by %s', (_how, facts, load) => {
    expect(watchRequestOf(TEST, machine({ ...facts } as MachineFacts), limits, 'US').contact).toBe(load);
  });
  it('ends at the lower of capacity and verification, and knows neither without a machine', () => {
    const top = (more: Partial<EquipmentFacts>): number | undefined =>
      watchRequestOf(TEST, machine(DIGITAL, more), limits, 'US').most;
    expect(top({ verifiedTo: '200000 lbf' })).toBe(200_000);
    expect(top({ verifiedTo: '300000 lbf' })).toBe(250_000);
    expect(watchRequestOf(TEST, undefined, limits, 'US').most).toBeUndefined();
  });
  it('gives the alarm of the stroke in millimetres, before what may be used of it ends', () => {
    const facts: MachineFacts = { ...DIGITAL, clearHeight: '18 in', stroke: '2.5 in', lowerBlock: '2 in' };
    // Rated 2.5 in: the larger of 0.5 in and 20 % is kept free; the alarm comes 0.2 in before. Our choice.
    expect(watchRequestOf(TEST, machine(facts), limits, 'US').travel).toBeCloseTo(1.8 * 25.4, 6);
    expect(watchRequestOf(TEST, machine(DIGITAL), limits, 'US').travel).toBeUndefined();
  });
  it('holds the indicator’s stress only against an area that was measured, mm²', () => {
    expect(watchRequestOf(TEST, undefined, limits, 'US').area).toBeCloseTo(8107.3, 1);
    expect(watchRequestOf({ ...TEST, measured: false }, undefined, limits, 'US').area).toBeUndefined();
  });
});

describe('what a bend is watched with', () => {
  const DRIVEN: PressTest = {
    ...TEST,
    driven: {
      what: 'Net deflection',
      own: true,
      parts: [
        { to: 0.5, word: ' up to L/900', speed: limits.of('fibre.rate-first-large', 'US') },
        { to: null, word: ' beyond L/900', speed: limits.of('fibre.rate-then-large', 'US') },
      ],
      marks: [],
      end: 3,
      behaves: 'softens',
    },
  };
  it('has the speed of each part in mm/min, whatever the run is read in (ASTM C1609, from memory)', () => {
    const request = bendRequestOf(DRIVEN, machine(DIGITAL), 'US');
    expect(request?.sections.map(({ to }) => to)).toEqual([0.5, null]);
    // 0.0015 to 0.004 in/min, then 0.002 to 0.012.
    expect(request?.sections[0]?.low).toBeCloseTo(0.0381, 6);
    expect(request?.sections[0]?.high).toBeCloseTo(0.1016, 6);
    expect(request?.sections[1]?.high).toBeCloseTo(0.3048, 6);
    expect([request?.own, request?.end, request?.most]).toEqual([true, 3, 250_000]);
  });
  it('is nothing for what is loaded at a rate', () =>
    expect(bendRequestOf(TEST, machine(DIGITAL), 'US')).toBeUndefined());
});
