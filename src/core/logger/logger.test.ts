import { describe, expect, it } from 'vitest';
import { analyseRecord, between, compareSensors, guessRecord, readRecord } from '../temperature';
import { LOGGERS, loggerCsv, SimulatedLogger } from '.';

const START = Date.parse('2031-01-10T06:00:00Z');
const rowsOf = (kind: keyof typeof LOGGERS, seed = 3, more = 0) => {
  const logger = new SimulatedLogger(seed, LOGGERS[kind], START);
  return [...logger.run(0), ...logger.run(more)];
};
const channelsOf = (kind: keyof typeof LOGGERS) => {
  const csv = loggerCsv(rowsOf(kind));
  const guessed = guessRecord(csv);
  if (!guessed) throw new Error('not read');
  const record = analyseRecord(readRecord(csv, guessed.mapping, 'America/New_York'), guessed.mapping.names);
  return { record, guessed };
};

describe('a stand-in logger', () => {
  it('has in its memory what it recorded before anybody listened, and goes on', () => {
    const before = rowsOf('wires');
    expect(before).toHaveLength(44 * 6 + 1);
    expect(rowsOf('wires', 3, 1800)).toHaveLength(44 * 6 + 1 + 3);
    expect(before[6]?.clock).toBe('2031-01-10T07:00:00.000Z');
  });

  it('says the same for the same seed, and something else for another', () => {
    expect(rowsOf('wires')).toEqual(rowsOf('wires'));
    expect(rowsOf('wires', 4)).not.toEqual(rowsOf('wires'));
  });

  it('writes a file that is read without a question', () => {
    const { record, guessed } = channelsOf('wires');
    expect(guessed.asks).toEqual([]);
    expect(record.start).toBe('2031-01-10T06:00:00.000Z');
    expect(record.channels.map(({ name, removed }) => [name, removed])).toEqual([
      ['core', 0],
      ['surface', 0],
      ['air', 0],
    ]);
    const [core, surface, air] = record.channels;
    expect(core?.highest.celsius).toBeGreaterThan((surface?.highest.celsius ?? 0) + 3);
    expect(air?.highest.celsius).toBeLessThan(11);
    // A peak some eleven hours after placing (common practice, no source).
    expect(core?.highest.at).toBeGreaterThan(10);
    expect(core?.highest.at).toBeLessThan(14.5);
  });

  it('the small one is found to be ahead, and to read too high', () => {
    const [first, second] = [channelsOf('wires').record, channelsOf('digital').record];
    const [core] = first.channels;
    const [other] = second.channels;
    if (!core || !other) throw new Error('no sensors');
    // It was started an hour later; both stamps stand on one time.
    const later = (Date.parse(second.start ?? '') - Date.parse(first.start ?? '')) / 3_600_000;
    const shifted = { ...other, hours: other.hours.map((at) => at + later) };
    // From the concrete on; its clock is 23 min ahead, and what was placed 1.5 h after the one start came 0.5 h after the other.
    const found = compareSensors(between(core, 2, 44), shifted);
    expect(found?.ahead).toBeCloseTo(23 / 60 - 1, 1);
    expect(found?.bias).toBeCloseTo(0.7, 1);
  });
});
