import 'reflect-metadata';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { convert, exact, type System } from '../../quantity';
import { type Method, usableInput } from '..';
import type { Facts } from '../facts';
import { findMethod } from '../registry';
import { noDishOver } from '../slab/surfaces';

const method = findMethod('slab-emission') as Method;
const HOUR = 3_600_000;
const OPENED = Date.parse('2031-03-02T16:00:00Z');
const dish = (
  [before, after]: readonly [string, string],
  hours: number,
  over: Record<string, unknown> = {},
  facts: Facts = {},
  system: System = 'US',
) => {
  const { input } = usableInput(method, {
    system,
    service: 'proven',
    surface: 'ground',
    bareAt: new Date(OPENED - 30 * HOUR).toISOString(),
    kit: 'K',
    // Inside 10 × 7 in, dish 2.75 in across (common practice, no source).
    cover: system === 'US' ? '70' : '70 in2',
    dish: system === 'US' ? '2.75' : '2.75 in',
    balance: 'B',
    checked: true,
    massBefore: before,
    massAfter: after,
    openedAt: new Date(OPENED).toISOString(),
    closedAt: new Date(OPENED + hours * HOUR).toISOString(),
    found: 'whole',
    lid: true,
    airTemperature: system === 'US' ? '72' : '22',
    airHumidity: '50',
    ...over,
  });
  return method.compute(input, {
    zone: 'America/Chicago',
    equipment: [{ number: 'B', kind: 'balance', verifiedOn: '2031-01-01' }],
    facts: { aggregate: 'normal', top: 'bare', ...facts },
  });
};
const found = (...given: Parameters<typeof dish>) =>
  dish(...given).findings.map(({ id, severity }) => `${severity} ${id}`);

describe('the emission of a slab', () => {
  // ASTM F1869: 52.91 g/(ft² h) to lb/(1000 ft² 24 h) (from memory); the area by geometry, 0.44486 ft².
  it.each([
    ['33.0', '34.6', 66, 2.8833, '2.9'],
    ['33.0', '34.7', 66, 3.0635, '3.1'],
    ['32.8', '34.4', 60, 3.1716, '3.2'],
    ['33.1', '35.0', 72, 3.1386, '3.1'],
    ['31.62', '35.87', 64.25, 7.8673, '7.9'],
  ])('of %s to %s g in %d h', (before, after, hours, value, text) => {
    const { results } = dish([before, after], hours);
    expect(Number(results[0]?.value)).toBeCloseTo(value, 3);
    expect(results[0]?.text).toBe(text);
  });
  it('is the same in the other system, within its factors', () => {
    const [us] = dish(['33.0', '34.6'], 66).results;
    const [si] = dish(['33.0', '34.6'], 66, {}, {}, 'SI').results;
    expect(si?.text).toBe('163');
    const converted = convert(exact(us?.value ?? 0), 'lb/1000ft2/d', 'ug/m2/s').toNumber();
    expect(converted / Number(si?.value)).toBeCloseTo(1, 3);
    expect(us?.converted?.text).toBe('14.1');
  });
  it('grows with what was taken up and falls with time and area', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 60, max: 72 }), (tenths, hours) => {
        const of = (gain: number, open: number, cover = '70') =>
          Number(dish(['33', (33 + gain / 10).toFixed(1)], open, { cover }).results[0]?.value);
        expect(of(tenths + 1, hours)).toBeGreaterThan(of(tenths, hours));
        expect(of(tenths, hours + 1)).toBeLessThan(of(tenths, hours));
        expect(of(tenths, hours, '80')).toBeLessThan(of(tenths, hours));
      }),
      { numRuns: 25 },
    );
  });
  it('says when the balance cannot tell it from its limit', () => {
    expect(found(['33.0', '34.6'], 66, {}, { emissionMost: '3 lb/1000ft2/d' })).toContain(
      'advice emission.division',
    );
    expect(found(['31.62', '35.87'], 64.25)).not.toContain('advice emission.division');
  });
  it('is at least so much where the salt is nearly used up', () => {
    const full = dish(['33', '38.3'], 66);
    expect(full.results[0]?.bound).toBe('at least');
    expect(dish(['33', '38.2'], 66).results[0]).not.toHaveProperty('bound');
  });
  it('cannot be of a dish that lost mass, and is looked at where it took up nothing', () => {
    expect(found(['34', '33.5'], 66)).toContain('invalid emission.lost');
    expect(dish(['34', '33.5'], 66).results).toEqual([]);
    expect(found(['34.0', '34.0'], 66)).toContain('advice emission.nothing');
  });
  it('is for the trend where service conditions are not proven', () => {
    expect(dish(['33', '34.6'], 66, { service: 'off' }).results[0]?.provisional).toContain('service');
  });
});

describe('the hours of a dish', () => {
  const stands = (openedAt: string, closedAt: string) =>
    found(['33.0', '34.6'], 66, {
      openedAt,
      closedAt,
      bareAt: new Date(Date.parse(openedAt) - 30 * HOUR).toISOString(),
    }).includes('invalid emission.time');
  // ASTM F1869: 60 to 72 h, both included (from memory), by instants.
  it.each([
    [60, false],
    [72, false],
    [59.99, true],
    [72.01, true],
  ])('of %d', (hours, invalid) => {
    expect(found(['33.0', '34.6'], hours).includes('invalid emission.time')).toBe(invalid);
  });
  it('are shorter over the night in which the clocks go forward, longer over that in which they go back', () => {
    // US Central, rules of 2007: forward on 8 March 2026, back on 1 November 2026.
    expect(stands('2026-03-06T15:00:00-06:00', '2026-03-09T03:30:00-05:00')).toBe(true);
    expect(stands('2026-03-06T15:00:00-06:00', '2026-03-09T04:00:00-05:00')).toBe(false);
    expect(stands('2026-10-30T14:00:00-05:00', '2026-11-02T13:45:00-06:00')).toBe(true);
    expect(stands('2026-10-30T14:00:00-05:00', '2026-11-02T13:00:00-06:00')).toBe(false);
  });
  it('wait to be over, and say when nobody will be there', () => {
    const { input } = usableInput(method, {
      system: 'US',
      bareAt: '2031-03-04T06:00:00Z',
      openedAt: '2031-03-05T13:00:00Z',
    });
    const setup = { zone: 'utc' };
    // Wednesday 13:00: over from Saturday 01:00 to 13:00, with the laboratory closed.
    expect(method.compute(input, setup).findings.map(({ id }) => id)).toContain('lab.closed');
  });
});

it('of a dish that was sent away is told with its days and how it came in', () => {
  const of = (over: Record<string, unknown>) =>
    found(['33.0', '34.6'], 66, over).filter((each) => each !== 'advice emission.division');
  expect(of({ weighed: 'here' })).toEqual([]);
  expect(of({ weighed: 'sent', daysSent: '3', cameIn: 'whole' })).toEqual(['departure emission.sent']);
  expect(of({ weighed: 'sent', daysSent: '3' })).toEqual([
    'departure emission.unsaid',
    'departure emission.sent',
  ]);
  expect(of({ weighed: 'sent', daysSent: '3', cameIn: 'open' })[0]).toBe('invalid emission.came-open');
});

describe('where no dish says anything', () => {
  it('is refused with why', () => {
    for (const [aggregate, top] of [
      ['light', 'bare'],
      ['normal', 'gypsum'],
      ['normal', 'film'],
      ['normal', 'penetrant'],
    ] as const) {
      expect(noDishOver(aggregate, top)).toBeTruthy();
      expect(found(['33.0', '34.6'], 66, {}, { aggregate, top })).toContain('invalid emission.refused');
    }
    expect(noDishOver('normal', 'bare')).toBeUndefined();
    expect(noDishOver(undefined, undefined)).toBeUndefined();
  });
  it('nor one that was kicked, torn, taped or set on a surface that was not ground a day before', () => {
    const ok = ['33.0', '34.6'] as const;
    expect(found(ok, 66, { found: 'moved' })).toContain('invalid emission.moved');
    expect(found(ok, 66, { found: 'torn' })).toContain('invalid emission.torn');
    expect(found(ok, 66, { lid: false })).toContain('invalid emission.lid');
    expect(found(ok, 66, { surface: 'bare' })).toContain('invalid emission.not-ground');
    expect(found(ok, 66, { bareAt: new Date(OPENED - 23 * HOUR).toISOString() })).toContain(
      'invalid emission.bare',
    );
    expect(found(ok, 66, { printed: '33.3' })).toContain('departure emission.printed');
    expect(found(['33', '35'], 66)).toContain('advice reading.coarse');
  });
});
