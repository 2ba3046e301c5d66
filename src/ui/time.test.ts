import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { dayTime, fromLocalInput, localInput } from './time';

const zone = 'America/New_York';

describe('wall clocks', () => {
  it('reads a wall clock as the zone means it', () => {
    expect(fromLocalInput('2026-07-01T10:30', zone)).toBe('2026-07-01T14:30:00.000Z');
    expect(fromLocalInput('2026-01-01T10:30', zone)).toBe('2026-01-01T15:30:00.000Z');
  });

  it('refuses an hour that the clocks skip, and takes the first of one that comes twice', () => {
    expect(fromLocalInput('2026-03-08T02:30', zone)).toBeNull();
    expect(fromLocalInput('2026-11-01T01:30', zone)).toBe('2026-11-01T05:30:00.000Z');
    expect(fromLocalInput('yesterday', zone)).toBeNull();
  });

  it('agrees with another calendar library everywhere', () => {
    const zones = ['America/New_York', 'Europe/London', 'Asia/Kolkata', 'Australia/Lord_Howe', 'UTC'];
    fc.assert(
      fc.property(
        fc.integer({ min: 1_600_000_000, max: 2_000_000_000 }),
        fc.constantFrom(...zones),
        (seconds, place) => {
          const at = Math.floor(seconds / 60) * 60_000;
          expect(localInput(at, place)).toBe(
            DateTime.fromMillis(at, { zone: place }).toFormat("yyyy-MM-dd'T'HH:mm"),
          );
          const back = fromLocalInput(localInput(at, place), place);
          expect(back && localInput(back, place)).toBe(localInput(at, place));
        },
      ),
    );
  });

  it('writes day and time so that they cannot be misread', () => {
    expect(dayTime('2026-06-05T18:00:00Z', zone)).toBe('Fri 5 Jun 14:00');
  });
});
