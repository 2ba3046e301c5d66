import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BALANCES, type BalanceReading, SimulatedBalance, WeighingWatch, weighedIn } from '.';

const bench = () => new SimulatedBalance(3, BALANCES.lb);
const last = (readings: readonly BalanceReading[]) => readings.at(-1);

describe('the stand-in balance', () => {
  it('shows what is laid on it, in its steps, once it stands still', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 6500 }), (hundredths) => {
        const balance = bench();
        balance.run(0.5);
        balance.put(hundredths / 100);
        // It moves at first, and is at rest after a few seconds.
        expect(last(balance.run(0.3))?.steady).toBe(false);
        const rest = last(balance.run(8));
        expect(rest?.steady).toBe(true);
        expect(Math.abs((rest?.mass ?? 0) - hundredths / 100)).toBeLessThan(0.011);
        expect(balance.loaded).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
  it('gives the same readings for the same seed and the same hand, at its rate', () => {
    const weigh = () => {
      const balance = bench();
      balance.put(33.46);
      return balance.run(2);
    };
    expect(weigh()).toEqual(weigh());
    expect(Math.abs(weigh().length - 20)).toBeLessThanOrEqual(1);
  });
  it('is tared with a hanger, and weighs no more than it can', () => {
    const balance = bench();
    balance.put(2);
    balance.run(5);
    balance.tare();
    expect(last(balance.run(3))?.mass).toBeCloseTo(0, 1);
    expect(balance.loaded).toBe(false);
    balance.put(17.28);
    expect(last(balance.run(8))?.mass).toBeCloseTo(17.28, 1);
    balance.put(500);
    expect(last(balance.run(8))?.mass).toBeCloseTo(64, 1);
    balance.put(0);
    expect(last(balance.run(8))?.mass).toBeCloseTo(0, 1);
  });
});

describe('a weighing', () => {
  const reading = (mass: number, steady = true): BalanceReading => ({
    t: 0,
    mass,
    unit: 'lb',
    steady,
    places: 2,
  });
  it('is taken once, and the next only after it was lifted off', () => {
    const watch = new WeighingWatch();
    expect(watch.view()).toBeNull();
    const state = (mass: number, steady?: boolean) => {
      watch.take(reading(mass, steady));
      return watch.view()?.state;
    };
    expect(state(0)).toBe('empty');
    expect(state(20, false)).toBe('moving');
    expect(state(33.46)).toBe('ready');
    expect(watch.view()).toMatchObject({ text: '33.46', typed: '33.46 lb' });
    const shown = watch.view();
    expect(shown && [weighedIn(shown, 'lb'), weighedIn(shown, 'g')]).toEqual(['33.46', '33.46 lb']);
    watch.taken();
    expect(state(33.46)).toBe('taken');
    // Another unit laid on at once, the first still there, is no other weighing.
    expect(state(34.1)).toBe('taken');
    expect(state(0.02)).toBe('empty');
    expect(state(34.1)).toBe('ready');
  });
});
