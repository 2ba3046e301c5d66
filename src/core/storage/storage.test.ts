import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { DUTIES, DUTY_FACTS, dutiesOf, limeFor, positionIn, positionName, readDuty } from '.';

const limits = new Limits();
const at = (text: string): number => Date.parse(text);

// Intervals of ASTM C511 and C1077 (from memory): record reviewed weekly, tank stirred monthly, cleaned every 24 months,
// recorder checked every 6 months.
describe('the duties of tanks and rooms', () => {
  it.each([
    ['recorder-reviewed', '2031-03-03T08:00:00Z', '2031-03-10T08:00:00.000Z'],
    ['tank-stirred', '2031-01-31T08:00:00Z', '2031-02-28T08:00:00.000Z'],
    ['tank-stirred', '2032-01-31T08:00:00Z', '2032-02-29T08:00:00.000Z'],
    ['tank-cleaned', '2031-04-30T08:00:00Z', '2033-04-30T08:00:00.000Z'],
    ['recorder-checked', '2031-08-31T08:00:00Z', '2032-02-29T08:00:00.000Z'],
  ] as const)('%s done on %s is due on %s', (duty, done, due) => {
    const reading = readDuty(duty, at(done), at(done), limits, 'US');
    expect(new Date(reading.dueAt ?? 0).toISOString()).toBe(due);
    expect(reading.state).toBe('in order');
  });
  it.each([
    ['2031-03-08T14:23:59Z', 'in order'],
    ['2031-03-08T14:24:00Z', 'due soon'],
    ['2031-03-10T00:00:00Z', 'due soon'],
    ['2031-03-10T00:00:01Z', 'overdue'],
  ])('a weekly review of the 3rd is on %s %s: warned at 80 %%, in time to the very instant', (now, state) => {
    expect(readDuty('recorder-reviewed', at('2031-03-03T00:00:00Z'), at(now), limits, 'US').state).toBe(
      state,
    );
  });
  it('never done is said so, and not counted from anywhere', () => {
    expect(readDuty('tank-cleaned', null, at('2031-03-10T00:00:00Z'), limits, 'SI')).toMatchObject({
      state: 'never done',
      dueAt: null,
      doneAt: null,
    });
  });
  it('a room is not stirred or emptied; every duty has its row, its words and its caution', () => {
    expect(dutiesOf('room')).toEqual(['recorder-reviewed', 'recorder-checked']);
    expect(dutiesOf('tank')).toEqual([...DUTIES]);
    for (const duty of DUTIES) expect(limits.of(DUTY_FACTS[duty].limit, 'US').high).toBeDefined();
    for (const duty of ['tank-stirred', 'tank-cleaned'] as const)
      expect(DUTY_FACTS[duty].how).toMatch(/burns/);
  });
  it('goes by what the laboratory set in the register', () => {
    const own = new Limits(
      { 'curing.recorder-reviewed': { status: 'set by the laboratory', both: { high: '1', unit: 'd' } } },
      1,
    );
    expect(
      readDuty('recorder-reviewed', at('2031-03-03T00:00:00Z'), at('2031-03-04T00:00:01Z'), own, 'US').state,
    ).toBe('overdue');
  });
});

describe('places', () => {
  const tank = { rows: 4, columns: 10 };
  it.each([
    ['B3', 'B3'],
    [' b 3 ', 'B3'],
    ['d-10', 'D10'],
    ['A1', 'A1'],
    ['E1', null],
    ['A11', null],
    ['A0', null],
    ['3B', null],
    ['', null],
    ['AA1', null],
  ])('%j is %s', (typed, place) => {
    expect(positionIn(typed, tank)).toBe(place);
  });
  it('every place of every storage is found again by its name', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 26 }),
        fc.integer({ min: 1, max: 60 }),
        fc.nat(25),
        fc.nat(59),
        (rows, columns, row, column) => {
          const name = positionName(row, column);
          const inside = row < rows && column < columns;
          expect(positionIn(name, { rows, columns })).toBe(inside ? name : null);
          expect(positionIn(name.toLowerCase(), { rows, columns })).toBe(inside ? name : null);
        },
      ),
    );
  });
});

// ASTM C511 (from memory): 600 L take 1800 g, 250 gal take 100 oz.
it.each([
  ['SI', '600', '1800', 'g'],
  ['US', '250', '100', 'oz'],
] as const)('lime in %s: %s takes %s %s', (system, volume, mass, unit) => {
  const lime = limeFor(exact(volume), system, limits);
  expect([lime.mass.toFixed(), lime.unit]).toEqual([mass, unit]);
});
