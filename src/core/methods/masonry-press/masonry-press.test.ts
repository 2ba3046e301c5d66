import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import type { Facts } from '../facts';
import { cappedFrom, capsFindings } from './caps';
import { plateNeeded } from './machine';
import { ratePlan } from './plan';
import { bandFor, expectedLoad, loadOn, ratesFor } from './rates';

const limits = new Limits();
const ENDS = { kind: 'gypsum', batch: 'CB-0004', finishedAt: '2031-06-11T08:00:00Z', remarks: [] };
const caps = (facts: Facts, testedAt?: string, asOf?: string) =>
  capsFindings(
    { system: 'US', ...(testedAt ? { testedAt } : {}) },
    { facts, ...(asOf ? { asOf } : {}) },
    limits,
  ).map(({ id, severity, needsReason, beforeLoad }) => `${severity} ${id} ${needsReason} ${beforeLoad}`);

// ASTM C1552 (from memory): two hours from the younger cap.
describe('caps before the load', () => {
  it.each([
    ['2031-06-11T09:59:00Z', ['invalid caps.unit-age true true']],
    ['2031-06-11T10:00:00Z', []],
  ])('at %s: %j', (at, said) => {
    expect(caps({ ends: ENDS }, at)).toEqual(said);
    // The same before it was broken, by what is so now.
    expect(caps({ ends: ENDS }, undefined, at)).toEqual(said);
  });
  it('nobody wrote down take a reason; what is wrong with them as well, what is said of all of them not', () => {
    expect(caps({})).toEqual(['departure caps.unknown true true']);
    expect(
      caps(
        { ends: { ...ENDS, remarks: ['Pot at 300 °F.'], troubles: ['end 1 tilted'] } },
        '2031-06-11T12:00:00Z',
      ),
    ).toEqual(['departure caps.batch-0 true true', 'departure caps.batch-1 false true']);
  });
  it('began with the older one, where it is on record', () => {
    expect(cappedFrom({ facts: { ends: ENDS } })).toBe(ENDS.finishedAt);
    expect(cappedFrom({ facts: { ends: { ...ENDS, beganAt: '2031-06-11T07:00:00Z' } } })).toBe(
      '2031-06-11T07:00:00Z',
    );
    expect(cappedFrom({})).toBeUndefined();
  });
});

// Arithmetic: at a steady rate the second half of a load is half of it.
describe('rates', () => {
  it('give the second half its time, whatever the load, and are rates of the load', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2_000, max: 900_000 }), (load) => {
        const { low, target, high } = ratesFor(exact(load), 'unit.second-half', limits, 'US');
        expect(Number(exact(load).div(2).div(high))).toBeCloseTo(60, 6);
        expect(Number(exact(load).div(2).div(low))).toBeCloseTo(120, 6);
        expect(target.greaterThan(low) && target.lessThan(high)).toBe(true);
      }),
    );
    expect(bandFor(exact(166_400), 'unit.second-half', limits, 'US')).toMatchObject({
      unit: 'lbf/s',
      text: '693 to 1,387 lbf/s',
    });
    expect(bandFor(exact(740), 'brick.second-half', limits, 'SI').unit).toBe('kN/s');
  });
  it('are planned from those before, else from what is expected, else from what is asked', () => {
    const load = (facts: Facts, required?: string) =>
      expectedLoad(exact(64), required ? exact(required) : undefined, { facts }, 'US', limits)?.toFixed(0);
    expect(load({ brokenLoads: ['170000 lbf', '180000 lbf'], expectedStrength: '2,000 psi' })).toBe('175000');
    expect(load({ expectedStrength: '2600 psi' }, '2000')).toBe('166400');
    expect(load({}, '2000')).toBe((64 * 2000 * 1.35).toFixed(0));
    expect(load({})).toBeUndefined();
    expect(loadOn(exact(64), exact(2000), 'US')?.toFixed()).toBe('128000');
    // A square metre of a thousandth of a newton: MPa on mm² in kN.
    expect(loadOn(exact(41_000), exact(14), 'SI')?.toFixed()).toBe('574');
  });
  it('are said with the loads they are good for, and each machine with its reason', () => {
    const press = (number: string, capacity: string) => ({
      number,
      kind: 'compression machine',
      machine: { capacity, indicator: 'digital' },
    });
    const items = ratePlan(
      { area: exact(64), expected: exact(166_400), stress: exact(2000), row: 'unit.second-half' },
      { equipment: [press('A', '500,000 lbf'), press('B', '100,000 lbf')] as never },
      'US',
    );
    const of = (label: string) => items.find((item) => item.label === label);
    // 166,400 / 170 is 978.8; good for 120 to 240 times that.
    expect(of('Rate to set')).toMatchObject({ text: '980 lbf/s' });
    expect(of('Rate to set')?.note).toContain('117,500 lbf to 234,900 lbf');
    expect(of('Required load')?.text).toBe('128,000 lbf');
    expect(of('A')?.text).toBe('can break it');
    expect(of('B')?.text).toBe('cannot break it');
  });
});

// Arithmetic: from the edge of the platen to the farthest corner.
it.each([
  ['15.63', '7.62', '10', 3.69],
  ['3.8', '3.6', '10', 0],
  ['15.63', '7.62', '18', 0],
])('a unit of %s × %s in on a platen of %s in wants a plate of %d in', (length, width, face, thick) => {
  const needed = plateNeeded({ length: exact(length), width: exact(width) }, exact(face));
  expect(Number(needed)).toBeCloseTo(thick, 1);
});
