import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { type Method, usableInput } from '..';
import type { Facts } from '../facts';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { visitsBefore, visitText } from './visits';

const slabHumidity = findMethod('slab-humidity') as Method;
const GOOD = {
  service: 'proven',
  capped: true,
  probe: 'HP-9',
  salt: 'nacl',
  saltTemperature: '77',
  saltShown: '76.1',
  saltAt: '2031-02-20T09:00:00-05:00',
  slabTemperature: '70',
  probeTemperature: '70',
  humidityFirst: '84.6',
  humidity: '84.9',
  airTemperature: '72',
  airHumidity: '48',
  readAt: '2031-03-03T11:05:00-05:00',
};
const FACTS: Facts = { sealedAt: '2031-03-02T10:20:00-05:00', hole: 'right', humidityMost: '85 percent' };
const PROBE = { number: 'HP-9', kind: 'humidity probe', verifiedOn: '2030-11-12' };
const read = (
  over: object = {},
  facts: Facts = {},
  system: 'US' | 'SI' = 'US',
  equipment: RunSetup['equipment'] = [PROBE],
) => {
  const { input } = usableInput(slabHumidity, { system, ...GOOD, ...over });
  const setup: RunSetup = { zone: 'America/New_York', equipment, facts: { ...FACTS, ...facts } };
  return slabHumidity.compute(input, setup);
};
const found = (over: object = {}, facts: Facts = {}) =>
  read(over, facts).findings.map(({ id, severity }) => `${severity} ${id}`);

describe('a reading of a hole', () => {
  it('is reported to one percent, and nothing is wrong with a good one', () => {
    const { results, findings } = read();
    expect(findings).toEqual([]);
    expect(results).toMatchObject([{ quantity: 'relative humidity', text: '85', unit: 'percent' }]);
    expect(results[0]?.bound).toBeUndefined();
  });
  // ASTM F2170 (from memory): sealed 24 h; drift of 1 % in five minutes; salt within 2 %.
  it.each([
    [{ readAt: '2031-03-03T10:05:00-05:00' }, 'invalid slab.sealed'],
    [{ humidityFirst: '84.0', humidity: '85.2' }, 'invalid slab.drift'],
    [{ probeTemperature: '72' }, 'invalid slab.apart'],
    [{ saltShown: '77.8' }, 'invalid slab.salt'],
    [{ humidityFirst: '100', humidity: '100.4' }, 'invalid slab.wet-sensor'],
    [{ capped: false }, 'invalid slab.cap'],
    [{ probe: undefined }, 'invalid slab.certificate'],
    [{ saltAt: '2031-01-20T09:00:00-05:00' }, 'departure slab.salt-age'],
    [{ saltAt: '2031-03-05T09:00:00-05:00' }, 'departure slab.salt-age'],
    [{ salt: undefined }, 'departure slab.salt-age'],
    [{ service: 'unproven' }, 'departure slab.service'],
    [{ airHumidity: '82' }, 'advice slab.room'],
  ])('with %j is told: %s', (over, finding) => {
    expect(found(over)).toEqual([finding]);
  });
  it.each([
    [{ readAt: '2031-03-03T10:20:00-05:00' }],
    [{ humidityFirst: '84.6', humidity: '85.3' }],
    [{ saltShown: '76.9' }],
    [{ probeTemperature: '71' }],
  ])('with %j is as good as any', (over) => {
    expect(found(over)).toEqual([]);
  });
  it.each([
    ['RH-0412', 'RH-0400 to RH-0460', []],
    ['RH-0475', 'RH-0400 to RH-0460', ['invalid slab.serial']],
    ['RH-0412', undefined, ['invalid slab.serial']],
    [undefined, 'RH-0400 to RH-0460', ['departure slab.serial']],
  ])('sensor %s under a certificate of %s is told: %j', (sensor, serials, told) => {
    const pack = {
      number: 'SP-4',
      kind: 'sensor pack',
      verifiedOn: '2030-01-20',
      ...(serials ? { serials } : {}),
    };
    const findings = (over: object) =>
      read({ probe: undefined, pack: 'SP-4' }, sensor ? { sensor } : {}, 'US', [
        { ...pack, ...over },
      ]).findings.map(({ id, severity }) => `${severity} ${id}`);
    expect(findings({})).toEqual(told);
    // A certificate of three years ago shows nothing any more.
    expect(findings({ verifiedOn: '2028-01-20' })).toContain('invalid equipment.overdue');
  });
  // ASTM F2170: 72 h in its editions to 2011; Nordic practice adds the uncertainty first (all from memory).
  it('is read as its project reads: by an older edition, conditions counted from the reading, less an uncertainty', () => {
    const days = (sealed: number) => ({
      sealedAt: new Date(Date.parse(GOOD.readAt) - sealed * 24 * 3_600_000).toISOString(),
      edition: '2011',
    });
    expect(found({}, { edition: '2011' })).toEqual(['invalid slab.sealed-2011']);
    expect(found({}, days(3))).toEqual([]);
    expect(found({}, days(2.99))).toEqual(['invalid slab.sealed-2011']);
    // The air is held for 50 h before the reading, and for 25 h before the hole was sealed.
    const air = { airSince: '2031-03-01T09:05:00-05:00', airUntil: '2031-03-03T11:00:00-05:00' };
    expect(found({}, air)).toEqual(['departure slab.service']);
    expect(found({}, { ...air, conditions: 'sealed' })).toEqual(['departure slab.service']);
    expect(found({}, { ...air, conditions: 'read' })).toEqual([]);
    expect(read({}, { uncertainty: '2 percent' }).picture.values.allowed).toBe(83);
    expect(read({}, { uncertainty: '2 percent', humidityMost: '' }).picture.values.allowed).toBeNull();
  });
  it('waits for its next visit until it was read again', () => {
    const waits = (nextVisit: string, lastRead?: string) => {
      const { input } = usableInput(slabHumidity, { system: 'US', ...GOOD, nextVisit });
      return slabHumidity.waits?.(input, { facts: lastRead ? { lastRead } : {} });
    };
    const readAt = '2031-03-03T11:05:00-05:00';
    expect(waits('none')).toEqual([]);
    expect(waits('7', readAt)).toMatchObject([{ id: 'visit', opens: '2031-03-10T16:05:00.000Z' }]);
    expect(waits('7', readAt)?.[0]?.done).toBeUndefined();
    expect(waits('7', '2031-03-09T11:00:00-05:00')?.[0]?.done).toBe('2031-03-09T16:00:00.000Z');
  });
  it('of a night in which the clocks change is counted by the hours that passed', () => {
    // 23:30 to 23:00 the next day, and the clock jumped an hour forward: 22.5 h.
    const over = { readAt: '2031-03-09T23:00:00-04:00' };
    expect(found(over, { sealedAt: '2031-03-08T23:30:00-05:00' })).toEqual(['invalid slab.sealed']);
    expect(read(over, { sealedAt: '2031-03-08T23:30:00-05:00' }).findings[0]?.message).toBe(
      'Sealed 22 h 30 min before: 1 h 30 min too early.',
    );
  });
  it('of a hole off its depth is a bound, and of an unproven service it decides nothing', () => {
    expect(read({}, { hole: 'shallow' }).results[0]).toMatchObject({ bound: 'at least', text: '≥ 85' });
    expect(read({}, { hole: 'deep' }).results[0]).toMatchObject({ bound: 'at most' });
    expect(read({ service: 'off' }).results[0]?.provisional).toBe('not at service conditions');
  });
  it('has no result without the temperature of the concrete', () => {
    expect(read({ slabTemperature: undefined }).results).toEqual([]);
  });
  it('shows what its floor allows: what is asked for, else the usual where its maker is silent', () => {
    const allowed = (facts: Facts) => read({}, facts).picture.values.allowed;
    expect(allowed({})).toBe(85);
    expect(allowed({ humidityMost: undefined as never, floor: 'resilient' })).toBe(75);
    expect(allowed({ humidityMost: undefined as never, floor: 'other' })).toBeNull();
  });
});

const celsius = (fahrenheit: number): number => (fahrenheit - 32) / 1.8;
const visitOn = (iso: string, humidity: number, slab: number, room: readonly [number, number]) =>
  visitText(iso, humidity, celsius(slab), { celsius: celsius(room[0]), humidity: room[1] });

describe('what became of it since', () => {
  const now = {
    slabTemperature: '79',
    probeTemperature: '79',
    humidityFirst: '88',
    humidity: '88',
    airTemperature: '80',
    airHumidity: '62',
  };
  it('is explained by the temperature where that explains it, with the numbers it rests on', () => {
    const { picture, findings, lines } = read(now, {
      earlier: [visitOn('2031-02-20T10:00:00-05:00', 83, 64, [62, 45])],
    });
    expect(findings).toEqual([]);
    expect(picture.values.change).toContain('no change of its water is shown');
    expect(picture.values.change).toContain(
      '83 % then, 88 % now, 15 °F warmer: 86.8 % was to be expected, 1.2 % more was read.',
    );
    expect(picture.values.change).toContain('Vapour pressure up 76 %. Dew point of the room up to 66 °F.');
    const value = (symbol: string) => Number(lines.find((line) => line.symbol === symbol)?.value);
    expect(value('RH2')).toBeCloseTo(86.78, 1);
    // 16.85 and 29.70 hPa, worked by hand from the formula of the WMO.
    expect(value('e')).toBeCloseTo(2970, -1);
    expect(value('r')).toBeCloseTo(1.22, 1);
  });
  it('is told to be wetter, with what may have brought it, where it is not', () => {
    const over = {
      slabTemperature: '71',
      probeTemperature: '71',
      humidityFirst: '91',
      humidity: '91',
      airHumidity: '55',
    };
    const { findings } = read(over, {
      earlier: [visitOn('2031-02-20T10:00:00-05:00', 84, 70, [71, 48])],
    });
    expect(findings).toMatchObject([{ id: 'slab.band', severity: 'advice' }]);
    expect(findings[0]?.message).toContain('6.8 % above');
    expect(findings[0]?.action).toContain('heating');
  });
  it('goes by the visits before it, whatever order they come in, and passes over what cannot be read', () => {
    const setup = {
      facts: {
        earlier: [
          visitOn('2031-02-25T10:00:00-05:00', 86, 70, [70, 40]),
          'nonsense',
          visitOn('2031-02-11T10:00:00-05:00', 88, 70, [70, 40]),
          visitOn('2031-05-11T10:00:00-04:00', 60, 70, [70, 40]),
        ],
      },
    };
    expect(visitsBefore(setup, GOOD.readAt).map(({ humidity }) => humidity)).toEqual([88, 86]);
    expect(visitsBefore({}, GOOD.readAt)).toEqual([]);
  });
});

describe('when it may be dry', () => {
  const visits = [
    visitOn('2031-01-20T11:05:00-05:00', 93, 70, [70, 42]),
    visitOn('2031-02-03T11:05:00-05:00', 91, 70, [70, 42]),
    visitOn('2031-02-17T11:05:00-05:00', 90, 70, [70, 42]),
  ];
  const over = { humidityFirst: '88', humidity: '88' };
  it('is told as dates from earliest to latest, and releases nothing', () => {
    const dry = read(over, { earlier: visits, dryingFrom: '2030-12-21T11:05:00-05:00' }).picture.values.dry;
    // Days 53, 69 and 123 after the first reading, worked by hand.
    expect(dry).toBe(
      'It may come down to 85 % from 2031-03-14, about 2031-03-30, at the latest about 2031-05-23. A floor is released by a reading, never by this.',
    );
  });
  it('is not told from too few, nor from readings that were not at service conditions', () => {
    expect(read(over, { earlier: visits.slice(1) }).picture.values.dry).toBe(
      'No date for it: 4 readings are needed for a date.',
    );
    expect(read({ ...over, service: 'off' }, { earlier: visits }).picture.values.dry).toBe('');
  });
});

describe('a record of the air', () => {
  const on = (since: string | undefined, until: string) =>
    read(
      {},
      { airUntil: until, ...(since ? { airSince: since } : {}), sealedAt: '2031-03-02T10:20:00-05:00' },
    );
  // ASTM F2170: 48 h before the test and throughout (from memory); before the hole was sealed, as the strict reading has it.
  it('goes before what is only said of service conditions', () => {
    const proven = on('2031-02-28T10:00:00-05:00', '2031-03-03T11:00:00-05:00');
    expect(proven.results[0]).not.toHaveProperty('provisional');
    const short = on('2031-03-01T10:00:00-05:00', '2031-03-03T11:00:00-05:00');
    expect(short.results[0]?.provisional).toContain('held for 24 h before it only');
    expect(short.findings.map(({ id }) => id)).toContain('slab.service');
    expect(on('2031-02-20T10:00:00-05:00', '2031-03-02T20:00:00-05:00').results[0]?.provisional).toContain(
      'ends 15 h before the reading',
    );
    expect(on(undefined, '2031-03-03T11:00:00-05:00').results[0]?.provisional).toContain(
      'not held at the end',
    );
  });
});
