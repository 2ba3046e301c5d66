import { describe, expect, it } from 'vitest';
import { analyseRecord, cleanedRecordCsv, guessRecord, readRecord } from '.';
import { temperatureProblem } from './record-problem';

const ZONE = 'America/New_York';
function read(text: string, over: object = {}) {
  const guessed = guessRecord(text);
  if (!guessed) throw new Error('not guessed');
  const mapping = { ...guessed.mapping, ...over };
  const raw = readRecord(text, mapping, ZONE);
  return {
    guessed,
    mapping,
    raw,
    hours: Array.from(raw.seconds, (each) => each / 3600),
    first: raw.celsius[0],
  };
}

describe('how a file says what it is', () => {
  it.each([
    [
      'ISO with an offset',
      'time,T\n2031-01-10T08:00:00-05:00,20\n2031-01-10T08:30:00-05:00,21',
      '2031-01-10T13:00:00Z',
    ],
    ['a clock of the job’s zone', 'time,T\n2031-01-10 08:00,20\n2031-01-10 08:30,21', '2031-01-10T13:00:00Z'],
    [
      'day first by a number that is no month',
      'Datum;T\n13.01.2031 08:00;20,5\n13.01.2031 08:30;21,0',
      '2031-01-13T13:00:00Z',
    ],
    ['month first', 'time\tT °C\n1/13/2031 8:00 AM\t20\n1/13/2031 8:30 AM\t21', '2031-01-13T13:00:00Z'],
    [
      'date and clock apart',
      'date,clock,T\n2031-01-10,08:00:00,20\n2031-01-10,08:30:00,21',
      '2031-01-10T13:00:00Z',
    ],
    ['blanks between', '2031-01-10 08:00:00 20.5\n2031-01-10 08:30:00 21.5', '2031-01-10T13:00:00Z'],
    ['seconds since 1970', 'epoch,T\n1925816400,20\n1925818200,21', '2031-01-10T13:00:00Z'],
    ['milliseconds since 1970', 'epoch_ms,T\n1925816400000,20\n1925818200000,21', '2031-01-10T13:00:00Z'],
  ])('%s', (_, text, start) => {
    const { raw, hours, guessed } = read(text);
    expect(guessed.asks).toEqual([]);
    expect(raw.start).toBe(Date.parse(start) / 1000);
    expect(hours).toEqual([0, 0.5]);
    expect(raw.celsius).toHaveLength(1);
  });

  it.each([
    ['hours', 'elapsed_h,T\n0,20\n0.5,21'],
    ['minutes', 'min,T\n0,20\n30,21'],
    ['seconds', 'elapsed_s,T\n0,20\n1800,21'],
    ['milliseconds', 'millis,T\n5000,20\n1805000,21'],
  ])('%s from its beginning have no date', (_, text) => {
    const { raw, hours } = read(text);
    expect(raw.start).toBeNull();
    expect(hours).toEqual([0, 0.5]);
  });

  it('°F by the heading, by a line above it, by the cell, by its middle', () => {
    for (const text of [
      'time,T (°F)\n2031-01-10T08:00Z,50\n2031-01-10T08:30Z,50',
      'Unit: degF\ntime,T\n2031-01-10T08:00Z,50\n2031-01-10T08:30Z,50',
      'time,T\n2031-01-10T08:00Z,50 °F\n2031-01-10T08:30Z,50F',
    ])
      expect(read(text).first?.[0]).toBeCloseTo(10, 9);
    expect(read('time,T\n2031-01-10T08:00Z,72\n2031-01-10T08:30Z,73').mapping.unit).toBe('degF');
  });

  it('asks for what it cannot know', () => {
    expect(guessRecord('time,T\n2031-01-10T08:00Z,47\n2031-01-10T09:00Z,48')?.asks).toEqual(['unit']);
    expect(guessRecord('time,T °C\n01/02/2031 08:00,20\n03/04/2031 09:00,21')?.asks).toEqual(['order']);
  });

  it('takes no counter, battery or humidity for a sensor', () => {
    const { mapping, raw } = read(
      'No.,time,core,battery V,RH %\n1,2031-01-10T08:00Z,20,3.1,80\n2,2031-01-10T09:00Z,21,3.1,81',
    );
    expect([mapping.time, mapping.columns]).toEqual([1, [2]]);
    expect(raw.celsius).toHaveLength(1);
  });

  it.each(['', 'nothing here', 'a,b\nc,d'])('%j is no record', (text) => {
    expect(guessRecord(text)).toBeNull();
  });
});

describe('what goes wrong with clocks', () => {
  it('a stamp that stands twice counts once, a row that goes back is left out', () => {
    const { raw, hours } = read(
      'time,T\n2031-01-10T08:00:00Z,20\n2031-01-10T08:30:00Z,21\n2031-01-10T08:30:00Z,99\n2031-01-10T03:00:00Z,5\n2031-01-10T09:00:00Z,22',
    );
    expect(hours).toEqual([0, 0.5, 1]);
    expect(Array.from(raw.celsius[0] ?? [])).toEqual([20, 21, 22]);
    expect(raw.troubles).toEqual(['rows doubled', 'goes back']);
  });

  it('the night that summer time ends: the hour that stands twice is no step back', () => {
    const { raw, hours } = read(
      'time,T\n2031-11-02 00:30,10\n2031-11-02 01:00,10\n2031-11-02 01:30,10\n2031-11-02 01:00,10\n2031-11-02 01:30,10\n2031-11-02 02:00,10',
    );
    expect(hours).toEqual([0, 0.5, 1, 1.5, 2, 2.5]);
    expect(raw.troubles).toEqual(['clock put back']);
  });

  it('the night that it begins: an hour is missing, and is said', () => {
    const { raw } = read(
      'time,T\n2031-03-09 01:00,10\n2031-03-09 01:30,10\n2031-03-09 03:00,10\n2031-03-09 03:30,10',
    );
    expect(raw.troubles).toEqual(['hour missing']);
  });

  it('a counter of milliseconds that begins anew after 49.71 days goes on', () => {
    const { raw, hours } = read(
      `millis,T\n${2 ** 32 - 3_600_000},20\n${2 ** 32 - 1_800_000},21\n0,22\n1800000,23`,
    );
    expect(hours).toEqual([0, 0.5, 1, 1.5]);
    expect(raw.troubles).toEqual(['counter began anew']);
  });

  it('rows without a time are counted, the first of them shown', () => {
    const { raw } = read(
      'time,T\n2031-01-10T08:00Z,20\nlogger restarted\n2031-02-30T09:00Z,21\n2031-01-10T09:00Z,x',
    );
    expect([raw.unread, raw.examples[0]]).toEqual([2, 'logger restarted']);
    expect(raw.celsius[0]?.[1]).toBeNaN();
  });
});

describe('a record that is kept', () => {
  const long = Array.from({ length: 20_000 }, (_, row) => {
    const t = row / 60;
    return `${new Date(Date.UTC(2031, 0, 10) + row * 60_000).toISOString()},${(20 + 10 * Math.sin(t / 6)).toFixed(2)}`;
  });

  it('longer than a test can carry, it is averaged, its extremes stay', () => {
    const { raw, mapping } = read(['time,T', ...long].join('\n'));
    const record = analyseRecord(raw, mapping.names);
    const [channel] = record.channels;
    expect(record.averaged).not.toBeNull();
    expect(channel?.hours.length).toBeLessThanOrEqual(1500);
    expect(channel?.rows).toBe(20_000);
    expect(channel?.highest.celsius).toBe(30);
    expect([channel?.hours[0], channel?.hours.at(-1)]).toEqual([0, expect.closeTo(19_999 / 60, 3)]);
    expect(temperatureProblem(JSON.parse(JSON.stringify(record)))).toBeNull();
  });

  it('goes out with every row, and why one is left out', () => {
    const { raw, mapping } = read(
      'time,T\n2031-01-10T08:00Z,20\n2031-01-10T08:30Z,-127\n2031-01-10T09:00Z,21',
    );
    expect(cleanedRecordCsv(raw, mapping.names).split('\r\n')).toEqual([
      'instant,"T, degC","T, left out"',
      '2031-01-10T08:00:00.000Z,20.000,',
      '2031-01-10T08:30:00.000Z,-127.000,code',
      '2031-01-10T09:00:00.000Z,21.000,',
    ]);
  });

  it.each([
    ['no object', 5],
    ['no channels', { version: 1, rows: 1, length: 1, averaged: null, start: null, troubles: [] }],
    ['hours that fall', { hours: [1, 0] }],
    ['one hour too many', { hours: [0, 1, 2] }],
    ['no number', { celsius: [20, Number.NaN] }],
    ['a gap after the last row', { gaps: [1] }],
    ['a fault nobody knows', { faults: [{ at: 0, was: 1, why: 'magic' }] }],
    ['a highest without a time', { highest: { celsius: 20 } }],
    ['a start that is no instant', { start: 'yesterday' }],
  ])('from outside with %s is told what is wrong', (_, over) => {
    const good = JSON.parse(
      JSON.stringify(analyseRecord(read('time,T\n2031-01-10T08:00Z,20\n2031-01-10T08:30Z,21').raw, ['T'])),
    );
    expect(temperatureProblem(good)).toBeNull();
    const wrong =
      typeof over !== 'object' || 'version' in over
        ? over
        : 'start' in over
          ? { ...good, ...over }
          : { ...good, channels: [{ ...good.channels[0], ...over }] };
    expect(temperatureProblem(wrong)).toMatch(/\.$/u);
  });
});
