import { describe, expect, it } from 'vitest';
import { INDEX, PAIRS } from '@/testing/calibration';
import { Limits } from '../../limits';
import { plainRecord, type TemperatureRecord } from '../../temperature';
import { usableInput } from '..';
import type { Method } from '../contract';
import type { Facts } from '../facts';
import { maturityCalibration } from '../maturity-calibration';
import { maturityDatum } from '../maturity-datum';
import { maturityEstimate } from '../maturity-estimate';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { functionOf, functionText, functionWords, readFunction } from './function';

const START = '2031-01-10T12:00:00.000Z';
const later = (hours: number): string => new Date(Date.parse(START) + hours * 3_600_000).toISOString();

const recordOf = (
  hours: readonly number[],
  sensors: Readonly<Record<string, readonly number[]>>,
): TemperatureRecord => plainRecord(hours, sensors, START);

function made(method: unknown, input: Record<string, unknown>, setup: Partial<RunSetup> = {}) {
  // With all that holds for every test.
  const own = findMethod((method as Method).id) as Method;
  const whole: RunSetup = { zone: 'America/New_York', lot: { label: 'TST' }, ...setup };
  const { input: usable } = usableInput(own, { system: 'US', ...input });
  const outcome = own.compute(usable, whole);
  return {
    outcome,
    waits: own.waits?.(usable, whole) ?? [],
    value: (quantity: string) => outcome.results.find((each) => each.quantity === quantity)?.text,
    found: (id: string) => outcome.findings.find((each) => each.id === id),
    ids: outcome.findings.map(({ id }) => id),
  };
}

describe('the function of an index', () => {
  it('goes as a text from a calibration to its estimates', () => {
    for (const how of [
      { kind: 'nurse-saul', datum: -10 },
      { kind: 'equivalent-age', q: 4312.6, reference: 20 },
      { kind: 'adjusted-age' },
    ] as const) {
      expect(readFunction(functionText(how))).toEqual(how);
      expect(functionWords(how, 'SI')).not.toContain('NaN');
    }
    for (const wrong of ['', 'nurse-saul', 'nurse-saul warm', 'equivalent-age 5000', 'magic 1', undefined])
      expect(readFunction(wrong)).toBeUndefined();
  });
  it('has the usual values where none were found', () => {
    const limits = new Limits({}, 0);
    const of = (how: string, more = {}) =>
      functionOf(
        usableInput(maturityCalibration as never, { system: 'SI', how, ...more }).input as never,
        limits,
      );
    expect(of('nurse-saul')).toEqual({ kind: 'nurse-saul', datum: 0 });
    expect(of('nurse-saul', { datum: '-10' })).toEqual({ kind: 'nurse-saul', datum: -10 });
    expect(of('equivalent-age')).toEqual({ kind: 'equivalent-age', q: 5000, reference: 23 });
  });
});

describe('what a cement makes of warmth', () => {
  const cubes = (rates: readonly (readonly [number, number])[], ages = [12, 24, 48, 96, 192, 384]) =>
    rates.flatMap(([celsius, k], place) =>
      ages.map((hours, row) => {
        const grown = k * (hours / 24 - 0.1);
        return {
          id: `r${place}x${row}`,
          temperature: `${celsius}`,
          age: `${hours}`,
          strength: ((40 * grown) / (1 + grown)).toFixed(2),
        };
      }),
    );
  it('rates at three temperatures: datum, Q, activation energy', () => {
    const { value, ids } = made(maturityDatum, {
      system: 'SI',
      cubes: cubes([
        [8, 0.16],
        [23, 0.38],
        [38, 0.7],
      ]),
    });
    expect(Number(value('datum temperature'))).toBeCloseTo(0.04, 0);
    expect(Number(value('activation energy over the gas constant')?.replace(',', ''))).toBeCloseTo(4310, -2);
    expect(Number(value('activation energy, kJ/mol'))).toBeCloseTo(35.9, 0);
    expect(ids).toEqual([]);
  });
  it('two temperatures, four ages, rates that fall: nothing, in words', () => {
    expect(
      made(maturityDatum, {
        system: 'SI',
        cubes: cubes([
          [8, 0.16],
          [23, 0.38],
        ]),
      }).ids,
    ).toContain('maturity.rise');
    expect(
      made(maturityDatum, {
        system: 'SI',
        cubes: cubes(
          [
            [8, 0.16],
            [23, 0.38],
            [38, 0.7],
          ],
          [12, 24, 48, 96],
        ),
      }).ids,
    ).toContain('maturity.ages');
    const falls = made(maturityDatum, {
      system: 'SI',
      cubes: cubes([
        [8, 0.7],
        [23, 0.38],
        [38, 0.16],
      ]),
    });
    expect(falls.ids).toContain('maturity.no-rate');
    expect(falls.outcome.results).toEqual([]);
  });
});

const breaks = (pairs: readonly (readonly number[])[] = PAIRS) =>
  pairs.flatMap((own, age) =>
    own.map((strength, place) => ({
      id: `r${age}x${place}`,
      specimen: `C${age}${place}`,
      index: `${INDEX[age]}`,
      strength: `${strength}`,
    })),
  );
const CALIBRATION = { how: 'nurse-saul', castAt: START, madeAt: later(700) };

describe('the strength curve of a mix', () => {
  it('by indices as a meter showed them: the curve that was worked outside', () => {
    const { outcome, value } = made(maturityCalibration, {
      ...CALIBRATION,
      breaks: breaks(),
      curve: 'hyperbolic',
    });
    expect(value('scatter of the breaks about the curve')).toBe('70');
    const line = (symbol: string) => Number(outcome.lines.find((each) => each.symbol === symbol)?.value);
    expect(line('Su')).toBeCloseTo(5370.5, 0);
    expect([588, 1692, 3912, 7776, 15_516].map((at) => Math.round(line(`S${at}`)))).toEqual([
      1224, 2399, 3478, 4211, 4718,
    ]);
    expect(outcome.picture.values.pairs).toContain('588/1180 588/1240');
    expect(outcome.picture.values.function).toBe('nurse-saul 0');
  });
  it('by the record of the instrumented cylinders, from the first row or a little before', () => {
    const hours = Array.from({ length: 28 * 24 + 3 }, (_, row) => row + 0.25);
    const record = recordOf(
      hours.map((at) => at - 0.25),
      { one: hours.map(() => 23), two: hours.map(() => 23.2) },
    );
    const at = [24, 72, 168, 336, 672];
    const rows = breaks().map((row, place) => ({
      ...row,
      index: '',
      at: later(at[Math.floor(place / 2)] ?? 0),
    }));
    const late = made(
      maturityCalibration,
      { ...CALIBRATION, castAt: later(-0.25), record: 'c.csv', breaks: rows },
      { records: { record } },
    );
    // 24.25 h at 23.1 °C.
    expect(late.outcome.picture.values.pairs).toContain('560/1180');
    expect(late.ids).not.toContain('maturity.delay');
    const tooLate = made(
      maturityCalibration,
      { ...CALIBRATION, castAt: later(-2), record: 'c.csv', breaks: rows },
      { records: { record } },
    );
    expect(tooLate.found('maturity.delay')?.message).toContain('counts nothing');
    expect(tooLate.outcome.picture.values.pairs).toContain('554/1180');
  });
  it('two instrumented cylinders that differ are told', () => {
    const hours = Array.from({ length: 700 }, (_, row) => row);
    const record = recordOf(hours, { one: hours.map(() => 23), two: hours.map(() => 20) });
    const rows = breaks().map((row, place) => ({
      ...row,
      index: '',
      at: later(24 * (1 + Math.floor(place / 2))),
    }));
    expect(
      made(maturityCalibration, { ...CALIBRATION, record: 'c.csv', breaks: rows }, { records: { record } })
        .ids,
    ).toContain('maturity.sensors');
  });
  it('a third cylinder where two differ by more than a tenth; 3,050 and 2,740 do', () => {
    const pairs = PAIRS.map((own, age) => (age === 2 ? [3050, 2740] : own));
    const { found } = made(maturityCalibration, { ...CALIBRATION, breaks: breaks(pairs) });
    expect(found('maturity.pair')?.message).toContain('10.7 %');
    expect(made(maturityCalibration, { ...CALIBRATION, breaks: breaks() }).ids).not.toContain(
      'maturity.pair',
    );
  });
  it('four ages make no curve; one left out needs its reason', () => {
    const few = made(maturityCalibration, { ...CALIBRATION, breaks: breaks(PAIRS.slice(0, 4)) });
    expect(few.found('maturity.ages')?.severity).toBe('invalid');
    expect(few.outcome.results).toEqual([]);
    const rows = breaks().map((row, place) => (place === 3 ? { ...row, leftOut: true } : row));
    const out = made(maturityCalibration, { ...CALIBRATION, breaks: rows });
    expect(out.found('maturity.left-out')?.needsReason).toBe(true);
    expect(out.outcome.picture.values.leftOut).toBe('1692/2400');
    const said = rows.map((row) => ({ ...row, why: 'honeycomb at the foot' }));
    expect(made(maturityCalibration, { ...CALIBRATION, breaks: said }).ids).not.toContain(
      'maturity.left-out',
    );
  });
});

describe('the strength of a member', () => {
  const facts = {
    calibration: breaks()
      .map(({ index, strength }) => `${index}/${strength}`)
      .join(' '),
    function: 'nurse-saul 0',
    curve: 'hyperbolic',
  };
  /** A record at one temperature for so long that it comes to an index. */
  const until = (index: number, celsius = 20): TemperatureRecord => {
    const hours = Array.from({ length: Math.round(index / celsius / 0.5) + 1 }, (_, row) => row / 2);
    return recordOf(hours, { wall: hours.map(() => celsius) });
  };
  const member = (index: number, more: Record<string, unknown> = {}, celsius = 20, known: Facts = {}) =>
    made(
      maturityEstimate,
      {
        operation: 'soffit',
        required: '3000',
        mix: 'same',
        placedAt: START,
        record: 'w.csv',
        outlook: '68',
        supplementary: 'C873',
        supplementaryStrength: '3150',
        readAt: later(200),
        ...more,
      },
      { facts: { ...facts, ...known }, records: { record: until(index, celsius) } },
    );

  it('not yet, though the best line is there already', () => {
    const { value, found } = member(2950);
    expect(value('strength to be counted on')).toBe('2,770');
    expect(value('strength by the curve')).toBe('3,120');
    expect(found('maturity.not-yet')?.message).toContain('do not let it tempt you');
    expect(Number(value('index that is asked, °C·h')?.replace(',', ''))).toBeCloseTo(3611, -1);
  });
  it.each([
    ['68', 20, 33],
    ['50', 10, 66],
  ])('with air at %s °F as the concrete is, it is expected in so many hours', (outlook, celsius, hours) => {
    const { value, waits } = member(2950, { outlook }, celsius);
    expect(Number(value('expected in'))).toBe(hours);
    const [wait] = waits;
    expect(wait?.what).toBe('Read the maturity again');
    expect(Date.parse(wait?.opens ?? '')).toBeLessThan(Date.parse(wait?.best ?? ''));
    expect(Date.parse(wait?.best ?? '')).toBeLessThan(Date.parse(wait?.closes ?? ''));
  });
  it('reached, and the engineer’s release is needed all the same', () => {
    const { found, waits, ids } = member(3700);
    expect(found('maturity.reached')?.message).toContain('release is needed');
    expect(waits).toEqual([]);
    expect(ids).not.toContain('maturity.hold');
  });
  it.each([
    ['without a supplementary test', { supplementary: 'none', supplementaryStrength: '' }],
    ['with one that came to less', { supplementaryStrength: '2600' }],
    [
      'with a cylinder of the job far below the curve',
      { verified: [{ id: 'r1', specimen: 'V1', index: '3000', strength: '2790' }] },
    ],
  ])('held %s', (_, more) => {
    const { found, ids } = member(3700, more);
    expect(found('maturity.hold')?.needsReason).toBe(true);
    expect(ids).not.toContain('maturity.reached');
  });
  it('cylinders of the job off the curve, by how much', () => {
    const { found } = member(3700, {
      verified: [
        { id: 'r1', specimen: 'V1', index: '3000', strength: '2790' },
        { id: 'r2', specimen: 'V2', index: '3000', strength: '3500' },
      ],
    });
    expect(found('maturity.verified')?.message).toBe('Off the curve: V1 −11.3 %, V2 +11.2 %.');
    expect(found('maturity.verified')?.action).toContain('calibrate the mix anew');
  });
  it('one outside after one outside before it: twice, and the curve is to be made anew', () => {
    const once = { verified: [{ id: 'r1', specimen: 'V1', index: '3000', strength: '2790' }] };
    const alone = member(3700, once, 20, { confirmed: ['3000/3100', '3000/3250 1700/2400'] });
    expect(alone.found('maturity.verified')?.action).toContain('break another one');
    const again = member(3700, once, 20, { confirmed: ['3000/3100', '3000/3550'] });
    expect(again.found('maturity.verified')?.action).toContain('calibrate the mix anew');
    expect(again.found('maturity.verified')?.message).toContain('; 1 of this mix before');
    // What lies outside from before is no finding of a member whose own cylinders fit.
    expect(
      member(3700, {}, 20, { confirmed: ['3000/3550 3000/2700'] }).found('maturity.verified'),
    ).toBeUndefined();
  });
  it('all of the mix one after the other, in percent off its curve', () => {
    const { outcome } = member(
      3700,
      { verified: [{ id: 'r1', specimen: 'V1', index: '3000', strength: '3146' }] },
      20,
      { confirmed: ['3000/2832', '3000/nothing 3000/3461'] },
    );
    const drawn = String(outcome.picture.values.confirmed)
      .split(',')
      .map((each) => each.split(/[=/]/u));
    expect(drawn.map(([of, place]) => `${of} ${place}`)).toEqual(['before 1', 'before 2', 'own 3']);
    expect(drawn.map((each) => Math.round(Number(each[2])) + 0)).toEqual([-10, 10, 0]);
  }, 20_000);
  it('another mix, no curve, an index beyond it: nothing is decided', () => {
    expect(member(3700, { mix: 'other' }).found('maturity.other-mix')?.severity).toBe('invalid');
    expect(member(20_000).found('maturity.outside')?.severity).toBe('invalid');
    const without = made(
      maturityEstimate,
      {
        operation: 'soffit',
        required: '3000',
        mix: 'same',
        placedAt: START,
        record: 'w.csv',
        readAt: later(9),
      },
      { records: { record: until(100) } },
    );
    expect(without.ids).toContain('maturity.no-calibration');
  });
  it('a gap of fourteen hours counts nothing and holds', () => {
    const hours = [
      ...Array.from({ length: 100 }, (_, at) => at),
      ...Array.from({ length: 150 }, (_, at) => at + 113),
    ];
    const record = recordOf(hours, { wall: hours.map(() => 20) });
    const { found, value } = made(
      maturityEstimate,
      {
        operation: 'soffit',
        required: '3000',
        mix: 'same',
        placedAt: START,
        record: 'w.csv',
        supplementary: 'C873',
        readAt: later(270),
      },
      { facts, records: { record } },
    );
    expect(value('maturity index, °C·h')).toBe('4,960');
    expect(found('maturity.gap')?.message).toContain('14.0 h');
    expect(found('maturity.hold')?.message).toContain('gap');
  });
  it('the least mature of several sensors counts, the air does not', () => {
    const hours = Array.from({ length: 301 }, (_, row) => row / 2);
    const record = recordOf(hours, {
      core: hours.map(() => 25),
      surface: hours.map(() => 18),
      air: hours.map(() => 4),
    });
    const { value, outcome } = made(
      maturityEstimate,
      {
        operation: 'soffit',
        required: '3000',
        mix: 'same',
        placedAt: START,
        record: 'w.csv',
        readAt: later(160),
      },
      { facts, records: { record } },
    );
    expect(value('maturity index, °C·h')).toBe('2,700');
    expect(outcome.picture.values.sensor).toBe('surface');
  });
  it('early cylinders are carried on to 28 days by the slope of the mix', () => {
    const early = { supplementary: 'C918', supplementaryStrength: '3350', earlyIndex: '3912' };
    // 3,350 + 2,526.5 (log 15,456 − log 3,912): the index of 28 days at 23 °C over 0 °C, ASTM C918/C918M (from memory).
    const { value } = member(3700, early);
    const by = 3350 + 2526.5 * (Math.log10(23 * 672) - Math.log10(3912));
    expect(Number(value('strength at 28 days by early cylinders')?.replace(',', ''))).toBe(
      10 * Math.round(by / 10),
    );
    // Younger than a day: another slope holds.
    expect(
      member(3700, { ...early, earlyIndex: '500' }).value('strength at 28 days by early cylinders'),
    ).toBeUndefined();
    expect(member(3700).value('strength at 28 days by early cylinders')).toBeUndefined();
  });
  it('a supplementary test far from the curve is read again', () => {
    expect(member(3700, { supplementaryStrength: '29000' }).found('maturity.apart')?.message).toContain(
      'over the curve',
    );
    expect(member(3700, { supplementaryStrength: '1900' }).found('maturity.apart')?.message).toContain(
      'under the curve',
    );
    expect(member(3700).ids).not.toContain('maturity.apart');
  });
  it('less than concrete needs to stand frost is remarked', () => {
    expect(member(3700, { operation: 'protection', required: '400' }).ids).toContain('maturity.protection');
    expect(member(3700, { operation: 'protection', required: '500' }).ids).not.toContain(
      'maturity.protection',
    );
  });
  it('hot and cold concrete is remarked', () => {
    expect(member(3700, {}, 3).ids).toContain('maturity.cold');
    expect(member(3700, {}, 65).ids).toContain('maturity.warm');
  });
  it('more than the curve can be counted on for', () => {
    expect(member(3700, { required: '4700' }).ids).toContain('maturity.too-much');
  });
});
