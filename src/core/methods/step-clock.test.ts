import { describe, expect, it } from 'vitest';
import { type LimitId, Limits } from '../limits';
import { METHODS } from './registry';
import { readStepClock } from './step-clock';

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
        expect(['s', 'min', 'h', 'd'], `${method.id} ${clock.label}`).toContain(unit);
      }
  });
});
