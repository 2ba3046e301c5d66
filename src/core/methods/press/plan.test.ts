import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { exact, PI } from '../../quantity';
import type { PressTest } from '../contract';
import type { EquipmentFacts, RunSetup } from '../setup';
import { expectedStrength } from './expected';
import { pressBrief, pressPlan, specimenPlan } from './plan';
import { dialOf, loadBand, rateItems, readableChange } from './rates';
import { spaceOf, spokenStack } from './space';

const limits = new Limits();
const circle = (diameter: string) => exact(diameter).pow(2).times(PI).div(4);

const CYLINDER: PressTest = {
  area: circle('4.00'),
  factor: exact(1),
  band: limits.of('cylinder.loading-rate', 'US'),
  from: 'half',
  expected: exact(56_000),
  width: exact(4),
  height: exact(8),
  ends: 'pads',
  measured: true,
};
const CUBE: PressTest = {
  area: exact(22_500),
  factor: exact(1000),
  band: limits.of('cube.rate', 'SI'),
  from: 'start',
  expected: exact(900),
  ends: 'bare',
  measured: true,
};
const DIAL: EquipmentFacts = {
  number: 'PRESS-2',
  kind: 'compression machine',
  machine: { indicator: 'dial', major: '5000 lbf', minor: '500 lbf', fullScale: '250000 lbf' },
};
const textOf = (items: readonly { label: string; text: string }[], label: string): string | undefined =>
  items.find((each) => each.label.startsWith(label))?.text;

describe('the rate at the machine', () => {
  it('is 11,300 to 22,600 lbf a minute when a 6 × 12 in cylinder is split (printed in ASTM C496, from memory)', () => {
    const split: PressTest = {
      ...CYLINDER,
      // Over πLD/2, so that the stress is the splitting stress.
      area: exact(6).times(12).times(PI).div(2),
      band: limits.of('splitting.rate', 'US'),
      from: 'start',
    };
    const { low, high } = loadBand(split, 'US');
    expect(low.times(60).toNumber() / 11_300).toBeCloseTo(1, 2);
    expect(high.times(60).toNumber() / 22_600).toBeCloseTo(1, 2);
  });
  it('is 13.5 kN/s for a cube of 150 mm at 0.6 MPa/s (EN 12390-3, arithmetic, from memory)', () => {
    expect(loadBand(CUBE, 'SI').target.toNumber()).toBeCloseTo(13.5, 9);
  });
  it('is 315 kN a minute for it at 14 N/mm² a minute (IS 516, arithmetic, from memory)', () => {
    const is = { ...CUBE, band: new Limits({}, 0, 'is').of('cube.rate', 'SI') };
    expect(loadBand(is, 'SI').target.times(60).toNumber()).toBeCloseTo(315, 6);
  });
  it('is the load’s own where the band is one: no area comes into it', () => {
    const mortar: PressTest = { ...CYLINDER, band: limits.of('mortar-cube.rate', 'US'), area: exact(4) };
    const { low, high } = loadBand(mortar, 'US');
    // 2-in mortar cubes: 200 to 400 lbf/s, ASTM C109 (from memory).
    expect([low.toNumber(), high.toNumber()]).toEqual([200, 400]);
  });
  it('goes by 5,000 lbf in ten seconds, within the band of a 4 × 8 (common practice, no source)', () => {
    const { low, high } = loadBand(CYLINDER, 'US');
    expect(low.times(10).toNumber()).toBeLessThan(5000);
    expect(high.times(10).toNumber()).toBeGreaterThan(5000);
    expect(5000 / 10 / CYLINDER.area.toNumber()).toBeCloseTo(39.8, 1);
  });
  it('is told from mark to mark of a dial, and by small marks in ten seconds', () => {
    const items = rateItems(CYLINDER, DIAL, 'US');
    // 28 and 42 psi/s over 12.566 in² are 351.9 and 527.8 lbf/s: 5,000 lbf in 14.2 and 9.5 s.
    expect(textOf(items, 'Rate at the machine')).toBe('352 to 528 lbf/s');
    expect(textOf(items, 'From mark to mark')).toBe('9.5 to 14.2 s');
    expect(textOf(items, 'Small marks in 10 s')).toBe('7.0 to 10.6');
    expect(textOf(rateItems(CYLINDER, undefined, 'US'), 'From mark to mark')).toBeUndefined();
  });
});

describe('what can be read off a machine', () => {
  it.each([
    [{ indicator: 'digital', increment: '10 lbf', capacity: '250000 lbf' }, '10', '250000'],
    [
      { indicator: 'dial', minor: '500 lbf', fullScale: '100000 lbf', capacity: '250000 lbf' },
      '250',
      '100000',
    ],
    [{ indicator: 'digital', increment: '0.05 kN', capacity: '1000 kN' }, '11.24', '224808.94'],
  ] as const)('%j', (facts, change, scale) => {
    const found = readableChange({ ...facts }, 'US');
    expect(found?.change.toNumber()).toBeCloseTo(Number(change), 2);
    expect(found?.scale?.toNumber()).toBeCloseTo(Number(scale), 1);
  });
  it('is not known of a machine that nobody described', () => {
    expect(readableChange(undefined, 'US')).toBeUndefined();
    expect(readableChange({ indicator: 'dial', fullScale: '100000 lbf' }, 'US')).toBeUndefined();
    expect(readableChange({ capacity: '100000 lbf' }, 'US')).toBeUndefined();
  });
  it('is a dial only where all its marks are known', () => {
    expect(dialOf(DIAL, 'US')?.major.toNumber()).toBe(5000);
    expect(dialOf({ ...DIAL, machine: { ...DIAL.machine, minor: undefined } }, 'US')).toBeUndefined();
    expect(dialOf({ ...DIAL, machine: { indicator: 'digital' } }, 'US')).toBeUndefined();
  });
});

describe('before the press is started', () => {
  it('says the load, where the band begins and how long it takes', () => {
    const items = pressPlan(CYLINDER, undefined, limits, 'US');
    expect(textOf(items, 'Expected load')).toBe('56,000 lbf');
    expect(textOf(items, 'Hold the rate from')).toBe('28,000 lbf');
    // 56,000 lbf at 35 psi/s over 12.566 in², 439.8 lbf/s: 127 s; 64 s and a third of it when the first half is faster.
    expect(textOf(items, 'Time at the target rate')).toBe('127 s');
    expect(items.find(({ label }) => label === 'Time at the target rate')?.note).toMatch(/^85 s when/);
  });
  it('has no half where the rate counts from the beginning', () => {
    const items = pressPlan(CUBE, undefined, limits, 'SI');
    expect(textOf(items, 'Hold the rate from')).toBeUndefined();
    expect(textOf(items, 'Time at the target rate')).toBe('67 s');
  });
  it('says the rate all the same when no strength is expected', () => {
    const items = pressPlan({ ...CYLINDER, expected: undefined }, undefined, limits, 'US');
    expect(items.map(({ label }) => label)).toEqual(['Rate at the machine', 'In 10 s']);
  });
  it.each([
    [CYLINDER, 'US', 'About 56,000 lbf is expected: from 28,000 lbf on keep 352 to 528 lbf/s.'],
    [{ ...CYLINDER, expected: undefined }, 'US', 'From half of the load on keep 352 to 528 lbf/s.'],
    [CUBE, 'SI', 'About 900 kN is expected: keep 9.00 to 18.00 kN/s from the beginning.'],
    [{ ...CUBE, expected: undefined }, 'SI', 'Keep 9.00 to 18.00 kN/s.'],
  ] as const)('has it in one line', (test, system, words) => {
    expect(pressBrief(test, system)).toBe(words);
  });
  it('names the size of the specimen first', () => {
    const setup: RunSetup = { specimen: { form: '4x8' } };
    expect(specimenPlan(CYLINDER, setup, 'US')[0]).toEqual({ label: 'Size', text: '4 × 8 in' });
    expect(specimenPlan(undefined, setup, 'US')).toEqual([]);
    expect(specimenPlan(CYLINDER, {}, 'US')).toEqual([]);
  });
});

describe('the strength that is expected', () => {
  // 1.15 times the specified strength, and 45, 70 and 87 % of it by 3, 7 and 14 d: ours, and common practice.
  const at = (ageHours: number | undefined) =>
    expectedStrength(
      {
        specimen: { ageHours },
        facts: { specifiedStrength: '4,000 psi', designatedAgeHours: '672' },
      } as RunSetup,
      'US',
      limits,
    )?.toNumber();
  it.each([
    [48, 2070],
    [72, 2070],
    [72.5, 3220],
    [168, 3220],
    [336, 4002],
    [337, 4600],
    [672, 4600],
    [1344, 4600],
    [undefined, 4600],
  ])('at %s h: %s psi', (hours, psi) => {
    expect(at(hours)).toBeCloseTo(psi, 6);
  });
  it('is not known where nothing is asked', () => {
    expect(expectedStrength({}, 'US', limits)).toBeUndefined();
    expect(expectedStrength({ specimen: { ageHours: 72 } } as RunSetup, 'US', limits)).toBeUndefined();
  });
});

describe('the stack that is said', () => {
  it.each([
    ['4 + 2', ['4', '2']],
    ['4 in, 2 in', ['4', '2']],
    ['5; 1', ['5', '1']],
    ['5 and 1', ['5', '1']],
    ['101.6 mm', ['4']],
    ['4 1/2 + 1', ['4.5', '1']],
    ['none', []],
    ['No spacers', []],
    ['0', []],
  ])('%s', (words, heights) => {
    expect(spokenStack(words, 'US')?.map((height) => height.toString())).toEqual(heights);
  });
  it.each([undefined, '', '   ', 'two big', '4 + big'])('%s says none', (words) => {
    expect(spokenStack(words, 'US')).toBeUndefined();
  });
});

describe('the room in the press', () => {
  const machine: EquipmentFacts = {
    ...DIAL,
    machine: { clearHeight: '18 in', stroke: '2.5 in', lowerBlock: '2 in', spacers: ['4 in', '100 mm', 'x'] },
  };
  it('takes pads, caps or bare ends into its height', () => {
    const height = (ends: PressTest['ends']) =>
      spaceOf({ ...CYLINDER, ends }, machine, limits, 'US')?.assembly.toNumber();
    expect([height('pads'), height('bonded'), height('bare')]).toEqual([10, 8.25, 8]);
  });
  it('knows the machine’s spacers in the units of the run, and leaves out what is no height', () => {
    const spacers = spaceOf(CYLINDER, machine, limits, 'US')?.spacers.map((each) => each.toNumber());
    expect(spacers?.length).toBe(2);
    expect(spacers?.[1]).toBeCloseTo(100 / 25.4, 9);
  });
  it('is not known without the heights of press and specimen', () => {
    expect(spaceOf({ ...CYLINDER, height: undefined }, machine, limits, 'US')).toBeUndefined();
    expect(spaceOf(CYLINDER, DIAL, limits, 'US')).toBeUndefined();
    expect(spaceOf(CYLINDER, undefined, limits, 'US')).toBeUndefined();
  });
  it('gives way more under a stronger specimen', () => {
    const give = (expected: number) =>
      spaceOf({ ...CYLINDER, expected: exact(expected) }, machine, limits, 'US')?.give.toNumber() ?? 0;
    expect(give(100_000)).toBeGreaterThan(give(50_000));
  });
});
