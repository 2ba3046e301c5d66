import { describe, expect, it } from 'vitest';
import { plainRecord, type TemperatureRecord } from '../../temperature';
import { usableInput } from '..';
import type { RunSetup } from '../setup';
import { temperatureRecord } from '.';
import { exampleRecord } from './example';

const START = '2031-01-10T12:00:00.000Z';
const inC = (values: readonly number[]): number[] => values.map((each) => (each - 32) / 1.8);

const recordOf = (
  hours: readonly number[],
  sensors: Readonly<Record<string, readonly number[]>>,
  start: string | null = START,
): TemperatureRecord => plainRecord(hours, sensors, start);

function made(
  system: 'US' | 'SI',
  input: Record<string, unknown>,
  records: Readonly<Record<string, TemperatureRecord>>,
  setup: Partial<RunSetup> = {},
) {
  const typed = {
    system,
    record: 'a.csv',
    ...(records.second ? { second: 'b.csv' } : {}),
    readAt: '2031-01-13T12:00:00Z',
    ...input,
  };
  const { input: usable } = usableInput(temperatureRecord, typed);
  const outcome = temperatureRecord.compute(usable as never, {
    zone: 'America/New_York',
    lot: { label: 'TST' },
    records,
    ...setup,
  });
  return {
    outcome,
    value: (quantity: string) => outcome.results.find((each) => each.quantity === quantity)?.text,
    found: (id: string) => outcome.findings.find((each) => each.id === id),
    ids: outcome.findings.map(({ id }) => id),
  };
}

describe('a curing box', () => {
  const box = recordOf(
    Array.from({ length: 13 }, (_, row) => row * 2),
    { box: inC([74, 76, 78, 81, 85, 84, 82, 79, 75, 70, 66, 62, 59]) },
  );
  it('hours above and below, degree-hours and how bad it is', () => {
    const { value, found } = made('US', { purpose: 'box' }, { record: box });
    expect(value('time above the range')).toBe('8.0');
    expect(value('time below the range')).toBe('0.7');
    expect(value('degree-hours outside')).toBe('23.0');
    expect(value('highest temperature')).toBe('85.0');
    expect(found('curing.initial-temperature')?.message).toContain('59 °F to 85 °F');
    expect(found('curing.initial-temperature')?.message).toContain('severe');
  });
  it('the narrower range of a strong concrete', () => {
    const { value } = made(
      'US',
      { purpose: 'box' },
      { record: box },
      { facts: { specifiedStrength: '6,000 psi' } },
    );
    expect(value('time above the range')).toBe('10.5');
    expect(value('time below the range')).toBe('5.0');
  });
  it('an hour a little too warm is minor; freezing is severe however short', () => {
    const warm = recordOf([0, 0.5, 1, 1.5], { box: inC([79, 81, 81, 79]) });
    expect(
      made('US', { purpose: 'box' }, { record: warm }).found('curing.initial-temperature')?.message,
    ).toContain('minor');
    const frost = recordOf([0, 0.2, 0.4, 0.6, 0.8], { box: inC([61, 31.5, 31.4, 31.5, 61]) });
    const cold = made('US', { purpose: 'box' }, { record: frost });
    expect(cold.found('curing.initial-temperature')?.message).toContain('severe');
    expect(cold.found('curing.initial-temperature')?.action).toContain('Frozen');
  });
  it('one that keeps its range has nothing to be said', () => {
    const good = recordOf([0, 0.5, 1], { box: inC([70, 71, 70]) });
    expect(made('US', { purpose: 'box' }, { record: good }).ids).toEqual([]);
  });
});

describe('mass concrete', () => {
  const record = recordOf([0, 1, 2, 3, 4], { core: [58, 64, 69, 71, 70], surface: [44, 47, 49, 50, 52] });
  it('core over surface: the greatest, and from when on it is too much', () => {
    const { value, found } = made('SI', { purpose: 'mass', placedAt: START }, { record });
    expect(value('core over surface, greatest')).toBe('21.0');
    expect(value('time of the greatest difference')).toBe('3.0');
    expect(found('mass.difference')?.message).toContain('from 2 h on');
    expect(found('mass.difference')?.needsReason).toBe(true);
  });
  it('that still rises: in how many hours it will be too much', () => {
    const hours = [0, 1, 2, 3, 4, 5, 6];
    const rising = recordOf(hours, {
      core: hours.map((hour) => 30 + 3 * hour),
      surface: hours.map((hour) => 28 + hour),
    });
    const { found, ids } = made('SI', { purpose: 'mass', placedAt: START }, { record: rising });
    // 14 °C now, 2 °C an hour: 5.4 °C are left.
    expect(found('mass.forecast')?.message).toContain('14 °C over the surface and it rises');
    expect(found('mass.forecast')?.message).toContain('in 2 to 3 h');
    expect(ids).not.toContain('mass.difference');
    // What is over already is not forecast.
    expect(made('SI', { purpose: 'mass', placedAt: START }, { record }).ids).not.toContain('mass.forecast');
  });
  it('71 °C is over the limit written in °C and not over the one written in °F', () => {
    expect(made('SI', { purpose: 'mass' }, { record }).ids).toContain('mass.highest');
    expect(made('US', { purpose: 'mass' }, { record }).ids).not.toContain('mass.highest');
  });
  it('without a sensor at the surface the difference is not known', () => {
    const core = recordOf([0, 1, 2], { core: [30, 35, 40] });
    expect(made('SI', { purpose: 'mass' }, { record: core }).ids).toContain('record.no-surface');
  });
  it('its highest temperature is estimated before it is placed', () => {
    // Common practice, no source: 12 °C for each 100 kg/m³, 16 °F for each 100 lb/yd³; 22 + 39.6 = 61.6 °C, 70 + 88 = 158 °F.
    expect(
      made('SI', { purpose: 'mass', record: '', cement: '330' }, {}).value('rise by its cement, estimated'),
    ).toBe('39.6');
    expect(
      made('US', { purpose: 'mass', record: '', cement: '550' }, {}).value('rise by its cement, estimated'),
    ).toBe('88.0');
  });
  it.each([
    ['8', 'protection.drop-thin', false],
    ['30', 'protection.drop-middle', true],
    ['100', 'protection.drop-mass', true],
  ])('a member of %s in may fall so much in a day', (thickness, id, tells) => {
    const falling = recordOf(
      Array.from({ length: 49 }, (_, row) => row),
      { core: Array.from({ length: 49 }, (_, row) => 40 - row * (45 / 1.8 / 24)) },
    );
    expect(made('US', { purpose: 'concrete', thickness }, { record: falling }).ids.includes(id)).toBe(tells);
  });
});

describe('what a record is like', () => {
  it('a coarse one, one with faults, one of a wrong file', () => {
    const hours = Array.from({ length: 30 }, (_, row) => row);
    const values = hours.map((at) => (at === 8 ? -127 : 20 + at / 10));
    const { found } = made('SI', { purpose: 'concrete' }, { record: recordOf(hours, { core: values }) });
    expect(found('record.interval-early')?.message).toContain('2.0 h');
    expect(found('record.removed')?.message).toContain('1 of 30');
    expect(made('SI', { purpose: 'concrete' }, {}).ids).toContain('record.no-record');
  });
  it('a sensor that follows the air is not in the concrete', () => {
    const hours = Array.from({ length: 60 }, (_, row) => row / 2);
    const air = hours.map((at) => 10 + 5 * Math.sin(at / 4));
    const record = recordOf(hours, { core: air.map((each) => each + 0.1), air });
    const { found } = made('SI', { purpose: 'concrete', placedAt: START }, { record });
    expect(found('record.air-like')?.severity).toBe('invalid');
  });
  it('a sensor off in the bath is corrected, and beyond that left out', () => {
    const record = recordOf([0, 0.5, 1], { core: [20, 21, 22] });
    const by = (bath: string) =>
      made('SI', { purpose: 'concrete', sensors: [{ id: 'r1', sensor: '1', bath }] }, { record });
    expect(by('0.4').value('highest temperature')).toBe('21.6');
    expect(by('0.4').ids).not.toContain('record.accuracy');
    expect(by('1.5').ids).toContain('record.accuracy');
    // 27.6 °C in a bath of 25.0 °C.
    expect(by('2.6').found('record.reject')?.severity).toBe('invalid');
  });
  it('hours count from when the concrete came, and a time after its end is refused in words', () => {
    const record = exampleRecord(START);
    const { value } = made('SI', { purpose: 'concrete', placedAt: '2031-01-10T13:00:00Z' }, { record });
    expect(value('time of the highest temperature')).toBe('10.5');
    expect(
      made('SI', { purpose: 'concrete', placedAt: '2031-02-10T13:00:00Z' }, { record }).found(
        'record.placed-after',
      )?.severity,
    ).toBe('invalid');
  });
  it('a sensor that no file has is told', () => {
    const record = recordOf([0, 0.5, 1], { core: [20, 21, 22] });
    const { found } = made(
      'SI',
      { purpose: 'concrete', sensors: [{ id: 'r1', sensor: 'B7', place: 'core' }] },
      { record },
    );
    expect(found('record.unknown-sensor')?.message).toContain('B7');
  });
});

describe('two loggers of one place', () => {
  const truth = (t: number): number =>
    12 + 14 * (Math.max(t, 0) / 11) ** 2 * Math.exp(2 * (1 - Math.max(t, 0) / 11));
  const hours = Array.from({ length: 145 }, (_, row) => row / 2);
  const first = recordOf(hours, { core: hours.map((t) => Math.round(10 * truth(t)) / 10) });
  const second = (ahead: number, off: number, of = truth) =>
    recordOf(
      hours,
      { core: hours.map((t) => Math.round(10 * (of(t) + off)) / 10) },
      new Date(Date.parse(START) + ahead * 3_600_000).toISOString(),
    );
  const sensors = (bathA: string, bathB: string) => [
    { id: 'r1', sensor: '1', place: 'core', kind: 'k-2', bath: bathA },
    { id: 'r2', sensor: 'B1', place: 'core', kind: 'digital', bath: bathB },
  ];

  it('clock and bias are told apart; type K and a digital one agree within what both may be wrong', () => {
    const { value, found, outcome } = made(
      'SI',
      { purpose: 'concrete', sensors: sensors('', '') },
      { record: first, second: second(40 / 60, 0.6) },
    );
    expect(value('clock of the second record ahead')).toBe('40');
    expect(value('second reads higher by')).toBe('0.6');
    expect(found('record.agree')?.message).toContain('either can be used');
    expect(found('record.clock-ahead')?.remark).toContain('40 min');
    expect(outcome.picture.values.agree).toBe(true);
  });
  it('both checked in a bath, 0.6 °C is too much: and nothing tells which is right', () => {
    const { found } = made(
      'SI',
      { purpose: 'concrete', sensors: sensors('0', '0') },
      { record: first, second: second(0, 0.6) },
    );
    expect(found('record.disagree')?.message).toContain('Nothing tells which');
  });
  it('the one that was in a bath is believed before the one that was not', () => {
    const { found } = made(
      'SI',
      { purpose: 'concrete', sensors: sensors('0.1', '') },
      { record: first, second: second(0, 3) },
    );
    expect(found('record.disagree')?.message).toContain(
      'Believe core of the first record before core of the second record: it was checked in a bath',
    );
  });
  it('a clock noted otherwise than the shapes say', () => {
    const { found } = made(
      'SI',
      { purpose: 'concrete', aheadAtStart: '0' },
      { record: first, second: second(1, 0) },
    );
    expect(found('record.clocks')?.message).toContain('60 min');
  });
  it('records of two places do not fit', () => {
    const other = second(0, 0, (t) => 15 + 3 * Math.sin(t * 1.7) + 2 * Math.sin(t * 0.31));
    expect(made('SI', { purpose: 'concrete' }, { record: first, second: other }).ids).toContain(
      'record.not-matched',
    );
  });
  it('one without a date is not laid over the other', () => {
    const bare = recordOf(hours, { core: hours.map(truth) }, null);
    expect(made('SI', { purpose: 'concrete' }, { record: first, second: bare }).ids).toContain(
      'record.no-instants',
    );
  });
});

it('two curing places: which was warmer, and what that does', () => {
  const hours = Array.from({ length: 48 }, (_, row) => row / 2);
  const record = recordOf(hours, { 'room 20': hours.map(() => 20.2), 'cabinet 30': hours.map(() => 30.1) });
  const { value, found } = made('SI', { purpose: 'places' }, { record });
  expect(value('second place warmer, on the mean')).toBe('9.9');
  expect(found('record.places')?.message).toContain('cabinet 30 was warmer');
  const one = recordOf(hours, { room: hours.map(() => 20.2) });
  expect(made('SI', { purpose: 'places' }, { record: one }).ids).toContain('record.one-place');
});
