import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits, type Profile } from '../limits';
import {
  CLOCKS,
  type ClockId,
  clockOf,
  clocksFor,
  clockText,
  EVENT_IDS,
  type EventId,
  nextEvent,
  outOfOrder,
  readClock,
  readClocks,
  type Stamps,
  sequencesWith,
} from '.';

const DAY = Date.UTC(2031, 4, 14);
const at = (clock: string): number => {
  const [hours = 0, minutes = 0, seconds = 0] = clock.split(':').map(Number);
  return DAY + ((hours * 60 + minutes) * 60 + seconds) * 1000;
};
const state = (id: ClockId, stamps: Stamps, profile: Profile = 'astm') =>
  readClock(clockOf(id), stamps, at('23:00:00'), new Limits({}, 0, profile), 'US').state;

describe('the order of a day', () => {
  it('holds a test only against the rows in which its own moments stand', () => {
    const rows = sequencesWith(['lift-end']);
    expect(rows).toHaveLength(1);
    const stamps: Stamps = {
      'lift-start': at('10:14:20'),
      'lift-end': at('10:14:10'),
      'air-struck': at('10:20:00'),
      'lid-on': at('10:19:00'),
    };
    expect(outOfOrder(stamps, rows)).toEqual([{ before: 'lift-start', after: 'lift-end' }]);
    expect(outOfOrder(stamps)).toHaveLength(2);
    expect(sequencesWith([])).toEqual([]);
  });
});

// Windows of ASTM C31, C94, C143, C172 and C1064 (from memory); the stamps are made up to sit on their edges.
describe('clocks by their stamps', () => {
  const usual: Stamps = {
    'first-portion': at('10:02:10'),
    'final-portion': at('10:09:40'),
    composite: at('10:11:00'),
    'thermometer-in': at('10:11:30'),
    'temperature-read': at('10:13:45'),
    'slump-fill': at('10:12:20'),
    'lift-start': at('10:14:20'),
    'lift-end': at('10:14:25'),
    'air-fill': at('10:14:10'),
    'moulding-start': at('10:21:00'),
  };
  it.each([
    ['composite', 450],
    ['temperature', 245],
    ['dwell', 135],
    ['slump-start', 160],
    ['slump-total', 125],
    ['slump-lift', 5],
    ['air-start', 270],
    ['moulding', 600],
  ] as const)('a usual sample: %s met after %d s', (id, seconds) => {
    const reading = readClock(clockOf(id), usual, 0, new Limits(), 'US');
    expect([reading.state, reading.elapsed]).toEqual(['met', seconds]);
  });

  it('the agencies’ two minutes are shorter than the standard’s two and a half', () => {
    expect(state('slump-total', usual)).toBe('met');
    expect(state('slump-total', usual, 'agency')).toBe('missed');
  });

  it('everything on its edge passes, a second more does not', () => {
    const edge: Stamps = {
      'first-portion': at('14:00:00'),
      'final-portion': at('14:15:00'),
      'thermometer-in': at('14:17:50'),
      'temperature-read': at('14:20:00'),
      'slump-fill': at('14:20:00'),
      'lift-end': at('14:22:30'),
      'air-fill': at('14:20:00'),
      composite: at('14:16:00'),
      'moulding-start': at('14:31:01'),
    };
    for (const id of [
      'composite',
      'temperature',
      'dwell',
      'slump-start',
      'slump-total',
      'air-start',
    ] as const)
      expect(state(id, edge)).toBe('met');
    expect(state('moulding', edge)).toBe('missed');
    expect(state('composite', { ...edge, 'final-portion': at('14:15:01') })).toBe('missed');
  });

  it('runs through midnight, and by the longer row of other schools', () => {
    const night: Stamps = { batched: at('23:25:00'), 'discharge-end': at('23:25:00') + 93 * 60_000 };
    expect(state('discharge', night)).toBe('missed');
    expect(state('discharge', night, 'en')).toBe('met');
  });

  it('counts the producer’s slump from the adjustment, not from the arrival', () => {
    const waiting: Stamps = {
      arrived: at('13:05:00'),
      remixed: at('13:15:00'),
      'discharge-start': at('13:50:00'),
    };
    expect(readClock(clockOf('producer-slump'), waiting, 0, new Limits(), 'US').elapsed).toBe(35 * 60);
    expect(state('producer-slump', waiting)).toBe('missed');
  });

  it('knows a lift to the tenth of a second', () => {
    const fast: Stamps = { 'lift-start': at('10:00:00'), 'lift-end': at('10:00:00') + 2800 };
    expect(state('slump-lift', fast)).toBe('ended early');
    expect(state('slump-lift', fast, 'en')).toBe('met');
  });

  it('moulding counts from the composite, from the final portion when that was not stamped', () => {
    const stamps: Stamps = { 'final-portion': at('10:00:00'), 'moulding-start': at('10:15:30') };
    expect(state('moulding', stamps)).toBe('missed');
    expect(state('moulding', { ...stamps, composite: at('10:01:00') })).toBe('met');
  });

  it('initial curing, transport and the change to water hold to the minute', () => {
    const friday = Date.UTC(2031, 4, 16, 14);
    const hoursOn = (hours: number) => friday + hours * 3_600_000;
    expect(state('initial-cure', { moulded: friday, collected: hoursOn(48) })).toBe('met');
    expect(state('initial-cure', { moulded: friday, collected: hoursOn(48) + 600_000 })).toBe('missed');
    expect(state('transport', { 'left-site': friday, received: hoursOn(4) })).toBe('met');
    expect(state('transport', { 'left-site': friday, received: hoursOn(4) + 20 * 60_000 })).toBe('missed');
    expect(state('bare', { demoulded: at('08:10:00'), 'in-final-cure': at('08:40:00') })).toBe('met');
    expect(state('bare', { demoulded: at('08:10:00'), 'in-final-cure': at('08:41:00') })).toBe('missed');
  });

  it('moulds come off in the time of their school', () => {
    const water = at('09:30:00');
    const next = (clock: string) => at(clock) + 86_400_000;
    expect(state('demould-is', { batched: water, demoulded: next('09:58:00') }, 'is')).toBe('met');
    expect(state('demould-is', { batched: water, demoulded: next('10:05:00') }, 'is')).toBe('missed');
    expect(state('demould-en', { moulded: at('15:00:00'), demoulded: next('06:45:00') }, 'en')).toBe(
      'ended early',
    );
    expect(state('demould-en', { moulded: at('15:00:00'), demoulded: next('07:00:00') }, 'en')).toBe('met');
  });
});

describe('clocks while they run', () => {
  const limits = new Limits();
  const stamps: Stamps = { 'first-portion': at('10:00:00'), 'final-portion': at('10:05:00') };
  const live = (clock: string, more: Stamps = {}) =>
    readClocks({ ...stamps, ...more }, at(clock), limits, 'US', ({ profiles }) => !profiles).live;

  it('stand by the time that is left, the most urgent first', () => {
    const ids = live('10:06:00').map(({ clock }) => clock.id);
    expect(ids[0]).toBe('thermometer');
    expect(ids.indexOf('slump-start')).toBeLessThan(ids.indexOf('moulding'));
  });

  it('warn before they are over, and say by how much they are', () => {
    const of = (clock: string) => live(clock).find((each) => each.clock.id === 'slump-start');
    expect([of('10:08:29')?.state, of('10:08:30')?.state, of('10:10:00')?.state]).toEqual([
      'running',
      'warning',
      'warning',
    ]);
    expect([of('10:10:01')?.state, of('10:10:01')?.left]).toEqual(['over', -1]);
  });

  it('let go when the work went on unseen', () => {
    expect(
      live('10:07:00', { 'flow-fill': at('10:06:30') }).some(({ clock }) => clock.id === 'slump-start'),
    ).toBe(false);
    expect(live('10:20:00', { moulded: at('10:19:00') }).some(({ clock }) => clock.id === 'moulding')).toBe(
      false,
    );
  });

  it('with only a least time are early, then running, never over', () => {
    const of = (clock: string) =>
      live(clock, { 'thermometer-in': at('10:06:00') }).find((each) => each.clock.id === 'dwell');
    expect([of('10:07:59')?.state, of('10:08:00')?.state, of('11:00:00')?.state]).toEqual([
      'early',
      'running',
      'running',
    ]);
  });

  it('whatever is stamped in whatever order, no clock is both live and done, and none throws', () => {
    const stamp = fc.dictionary(
      fc.constantFrom(...EVENT_IDS),
      fc.integer({ min: DAY, max: DAY + 5 * 86_400_000 }),
    );
    fc.assert(
      fc.property(stamp, fc.integer({ min: DAY, max: DAY + 6 * 86_400_000 }), (some, now) => {
        const { live: running, done } = readClocks(some as Stamps, now, limits, 'US');
        const both = running.filter(({ clock }) => done.some((each) => each.clock.id === clock.id));
        expect(both).toEqual([]);
        for (const reading of done) expect(reading.endedAt).not.toBeNull();
      }),
    );
  });
});

it('every clock has its limit in the register, in a unit of time, and says what a miss asks for', () => {
  for (const clock of CLOCKS) {
    expect(['s', 'min', 'h']).toContain(new Limits().of(clock.limit, 'US').unit);
    expect(`${clock.late}${'early' in clock ? clock.early : ''}`.length).toBeGreaterThan(10);
  }
  expect(clocksFor('astm').some(({ id }) => id === 'whole-sample')).toBe(false);
  expect(clocksFor('agency').some(({ id }) => id === 'whole-sample')).toBe(true);
});

it('says times as people do', () => {
  expect([clockText(245), clockText(-61), clockText(2.8, 'tenth'), clockText(7260, 'minute')]).toEqual([
    '4:05',
    '−1:01',
    '2.8 s',
    '2 h 01 min',
  ]);
});

describe('what to press next', () => {
  const all = () => true;
  it('leads one person through all tests of a sample, lifting without anything between', () => {
    const order: string[] = [];
    let stamps: Stamps = {};
    for (let index = 0; index < 60; index += 1) {
      const event = nextEvent(stamps, all);
      if (!event) break;
      order.push(event);
      stamps = { ...stamps, [event]: DAY + index };
    }
    expect(order[0]).toBe('first-portion');
    expect(order.indexOf('lift-end')).toBe(order.indexOf('lift-start') + 1);
    expect(order.indexOf('temperature-read')).toBeGreaterThan(order.indexOf('slump-read'));
    expect(order.at(-1)).toBe('in-final-cure');
  });
  it('passes over tests that are not planned, and what is past', () => {
    const noAir = (event: EventId) => !event.startsWith('air') && !event.startsWith('flow');
    const read: Stamps = { 'final-portion': DAY, composite: DAY, 'temperature-read': DAY, 'slump-read': DAY };
    expect(nextEvent(read, noAir)).toBe('density-weighed');
    expect(nextEvent({ ...read, 'density-weighed': DAY }, noAir)).toBe('moulding-start');
    expect(nextEvent({ 'final-portion': DAY }, all)).toBe('composite');
  });
});
