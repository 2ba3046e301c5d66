import { describe, expect, it } from 'vitest';
import { type LimitId, Limits } from '../limits';
import type { Method } from './contract';
import { METHODS } from './registry';
import type { RunSetup } from './setup';
import { readStepClock, stepClockFindings, waitsOf, waitsOn } from './step-clock';

const START = Date.UTC(2031, 4, 14, 9);
const read = (minutes: number, id?: LimitId) =>
  readStepClock(START, START + minutes * 60_000, id && new Limits().of(id, 'US'));

describe('a clock of a step', () => {
  // The rows are in hours, minutes and seconds: each is a time, whatever its unit.
  it.each([
    ['cylinder.out-of-moist', 180, 'running'],
    ['cylinder.out-of-moist', 180.1, 'over'],
    ['sampling.composite', 15, 'running'],
    ['sampling.composite', 15.1, 'over'],
    ['moulding.cover', 2, 'running'],
    ['moulding.cover', 2.1, 'over'],
    ['caps.harden-low', 119, 'early'],
    ['caps.harden-low', 120, 'running'],
  ] as const)('%s after %s min is %s', (id, minutes, state) => {
    expect(read(minutes, id)).toEqual({ minutes: expect.closeTo(minutes, 6), state });
  });
  it('without a limit only counts', () => {
    expect(read(90)).toEqual({ minutes: 90, state: 'running' });
  });
  it('never counts backwards', () => expect(read(-5, 'moulding.cover').minutes).toBe(0));
  it('of every method starts at the age or at an instant, and its limit is a time', () => {
    for (const method of METHODS)
      for (const { clock } of method.steps) {
        if (!clock?.limit) continue;
        const { unit } = new Limits().of(clock.limit, 'US');
        expect(['s', 'min', 'h', 'd'], `${method.id} ${clock.title}`).toContain(unit);
      }
  });
});

describe('what a clock of a step found', () => {
  const method = METHODS.find(({ id }) => id === 'cylinder-compression');
  const found = (read: object, setup: RunSetup = {}) =>
    method
      ? stepClockFindings(
          method,
          Object.assign(new method.Input(), { system: 'US', ...read }),
          setup,
          new Limits(),
        )
      : [];
  const outOfMoistAt = '2031-06-11T08:00:00Z';
  it('is said when it ended too late, and before by what is so far', () => {
    expect(found({ outOfMoistAt, testedAt: '2031-06-11T11:00:00Z' })).toEqual([]);
    expect(found({ outOfMoistAt, testedAt: '2031-06-11T11:10:00Z' })).toMatchObject([
      {
        id: 'cylinder.out-of-moist',
        message: 'Out of moist storage for 3 h 10 min.',
        fields: ['outOfMoistAt'],
      },
    ]);
    expect(found({ outOfMoistAt }, { asOf: '2031-06-11T11:10:00Z' })).toHaveLength(1);
    expect(found({ outOfMoistAt })).toEqual([]);
  });
  it('is nothing where it does not hold, or where the end lies before the beginning', () => {
    const testedAt = '2031-06-11T11:10:00Z';
    expect(found({ outOfMoistAt, testedAt }, { facts: { cure: 'field' } })).toEqual([]);
    expect(found({ outOfMoistAt: testedAt, testedAt: outOfMoistAt })).toEqual([]);
  });
});

// ASTM C39/C39M (from memory): tested moist, as soon as practicable; the laboratory's own row allows three hours.
describe('what a clock of a step makes wait', () => {
  const method = METHODS.find(({ id }) => id === 'cylinder-compression') as Method;
  const outOfMoistAt = '2031-06-11T08:00:00Z';
  const waiting = (read: object, setup: RunSetup = {}) =>
    waitsOf(method, Object.assign(new method.Input(), { system: 'US', ...read }), setup);
  it('is its end, while it runs and where it counts', () => {
    expect(waiting({ outOfMoistAt })).toEqual([
      {
        id: 'cylinder.out-of-moist',
        what: 'Break it before it dries',
        lane: 'press',
        opens: '2031-06-11T08:00:00.000Z',
        closes: '2031-06-11T11:00:00.000Z',
      },
    ]);
    expect(waiting({})).toEqual([]);
    expect(waiting({ outOfMoistAt, testedAt: '2031-06-11T09:00:00Z' })).toEqual([]);
    expect(waiting({ outOfMoistAt }, { facts: { cure: 'field' } })).toEqual([]);
  });
  it('opens at the end of a least time, and has no closing without a most', () => {
    const hardening: Method = {
      ...method,
      steps: method.steps.map((step) => ({
        ...step,
        ...(step.clock?.from === 'outOfMoistAt' && {
          clock: { ...step.clock, limit: 'caps.harden-low' as const },
        }),
      })),
    };
    const input = Object.assign(new method.Input(), { system: 'US', outOfMoistAt });
    expect(waitsOf(hardening, input, {})).toMatchObject([{ opens: '2031-06-11T10:00:00.000Z' }]);
    expect(waitsOf(hardening, input, {})[0]).not.toHaveProperty('closes');
  });
  it('hangs on its own readings only, unless its method says it itself', () => {
    expect(waitsOn(method)).toEqual(new Set(['outOfMoistAt', 'testedAt']));
    const byId = new Map(METHODS.map((each) => [each.id, waitsOn(each)]));
    expect(byId.get('capping')).toBe('all');
    expect(byId.get('slump')).toEqual(new Set());
  });
});
