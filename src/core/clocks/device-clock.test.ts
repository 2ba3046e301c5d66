import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { askedServer, type DeviceClock, lookAgain, watchClock } from './device-clock';

const NOON = Date.parse('2031-05-14T12:00:00Z');
const time = (clock: DeviceClock): number => clock.wall + clock.offset;

describe('the clock of a device', () => {
  it('is taken at its word while it runs on', () => {
    let clock = watchClock(NOON, 100);
    for (let second = 1; second <= 60; second += 1)
      clock = lookAgain(clock, NOON + second * 1000, 100 + second * 1000);
    expect(clock).toEqual({ offset: 0, wall: NOON + 60_000, steady: 60_100, sure: true });
  });
  it('does not move what runs when it is set back', () => {
    const clock = lookAgain(watchClock(NOON, 0), NOON - 3_600_000 + 1000, 1000);
    expect(time(clock)).toBe(NOON + 1000);
    expect(clock.sure).toBe(false);
  });
  it('is followed ahead, for the device may have slept, until the server says what it is', () => {
    const slept = lookAgain(watchClock(NOON, 0), NOON + 600_000, 500);
    expect(time(slept)).toBe(NOON + 600_000);
    expect(slept.sure).toBe(false);
    const told = askedServer(slept, NOON + 600_000, NOON + 600_080, NOON + 600_050, 10_000);
    expect(time(told)).toBe(NOON + 600_000);
    expect(told.sure).toBe(true);
    const set = askedServer(slept, NOON + 600_000, NOON + 600_080, NOON + 540, 10_000);
    expect(Math.abs(time(set) - (NOON + 500))).toBeLessThan(1);
  });
  it('is left alone within what is bearable, the end included', () => {
    const clock = watchClock(NOON, 0);
    expect(askedServer(clock, NOON, NOON, NOON + 10_000, 10_000).offset).toBe(0);
    expect(askedServer(clock, NOON, NOON, NOON + 10_001, 10_000).offset).toBe(10_001);
    expect(askedServer(clock, NOON, NOON, NOON - 10_001, 10_000).offset).toBe(-10_001);
  });
  it('takes half the way of the question off', () => {
    expect(askedServer(watchClock(NOON, 0), NOON, NOON + 4000, NOON + 32_000, 10_000).offset).toBe(30_000);
  });
  it('never lets the time that counts run backwards by more than the timers’ slack', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ wall: fc.integer({ min: -7_200_000, max: 7_200_000 }), steady: fc.nat(5000) }), {
          maxLength: 30,
        }),
        (looks) => {
          let clock = watchClock(NOON, 0);
          for (const look of looks) {
            const before = time(clock);
            clock = lookAgain(clock, clock.wall + look.wall, clock.steady + look.steady);
            expect(time(clock)).toBeGreaterThanOrEqual(before - 2000);
          }
        },
      ),
    );
  });
});
