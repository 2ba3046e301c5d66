import { describe, expect, it } from 'vitest';
import { exact, unitOf } from '../quantity';
import {
  cite,
  entryText,
  isLimitId,
  isOfSchool,
  isWithin,
  LIMIT_IDS,
  type LimitEntry,
  Limits,
  limitText,
  shippedLimit,
} from '.';

/** What an entry measures in each of its columns. */
const measured = ({ both, US, SI }: LimitEntry) =>
  [both, US, SI].map((value) => value && unitOf(value.unit).dimension);

describe('limits in force', () => {
  it('are said with their unit, whichever ends they have', () => {
    expect(limitText({ low: '28', high: '42', unit: 'psi/s' })).toBe('28 to 42 psi/s');
    expect(limitText({ high: '5000', unit: 'psi' })).toBe('not more than 5,000 psi');
    expect(limitText({ low: '2', unit: 'one' })).toBe('not less than 2');
    expect(limitText({ low: '25', high: '25', unit: 'one' })).toBe('25');
  });

  it('that are a factor or a tolerance are said as what they are', () => {
    const limits = new Limits();
    expect(limits.of('factor.1.75', 'US').text).toBe('0.98');
    expect(limits.of('cylinder.strength-step', 'US').text).toBe('10 psi');
    expect(limits.of('age.24h', 'SI').text).toBe('± 0.5 h');
    expect(limits.of('machine.error', 'US').text).toBe('± 1.0 %');
    const own = { status: 'set by the laboratory', both: { high: '0.97', unit: 'one' } } as const;
    expect(new Limits({ 'factor.1.75': own }).of('factor.1.75', 'US').text).toBe('0.97');
    expect(entryText(limits.entry('slump.step'), 'SI')).toBe('5 mm');
  });

  it('hold their ends inside, and nothing a hair beyond', () => {
    const limit = new Limits().of('cylinder.loading-rate', 'US');
    expect(['28', '35', '42'].map((value) => isWithin(exact(value), limit))).toEqual([true, true, true]);
    expect(
      ['27.999999999999999999', '42.000000000000000001'].map((value) => isWithin(exact(value), limit)),
    ).toEqual([false, false]);
  });

  it('of one system are never taken for the other', () => {
    const limits = new Limits();
    expect(limits.of('cylinder.loading-rate', 'US').text).toBe('28 to 42 psi/s');
    expect(limits.of('cylinder.loading-rate', 'SI').text).toBe('0.20 to 0.30 MPa/s');
    // 0.195 MPa/s is 28.3 psi/s: outside in SI, though inside if it were converted.
    expect(isWithin(exact('0.195'), limits.of('cylinder.loading-rate', 'SI'))).toBe(false);
  });

  it('show who stands behind them', () => {
    const changed = new Limits(
      { 'age.28d': { status: 'confirmed', edition: 'the 2031 copy on our shelf' } },
      4,
    );
    const limit = changed.of('age.28d', 'US');
    expect([limit.status, limit.edition, limit.high?.toFixed()]).toEqual([
      'confirmed',
      'the 2031 copy on our shelf',
      '20',
    ]);
    expect(cite(limit)).toEqual({
      id: 'age.28d',
      text: '± 20 h',
      source: 'ASTM C39/C39M',
      status: 'confirmed',
    });
    expect(changed.of('age.7d', 'US').status).toBe('recalled');
    expect(changed.revision).toBe(4);
  });

  it('stand in the order of the work, the rows of a school behind those that they replace', () => {
    const first = LIMIT_IDS.findIndex(isOfSchool);
    expect(first).toBeGreaterThan(400);
    expect(LIMIT_IDS.slice(first).every(isOfSchool)).toBe(true);
    expect(LIMIT_IDS[0]).toBe('age.24h');
    for (const id of LIMIT_IDS.slice(first)) {
      const own = id.slice(id.indexOf('/') + 1);
      // One that replaces a row is said in the same way, of the same quantity.
      const replaced = isLimitId(own) ? shippedLimit(own) : undefined;
      const row = shippedLimit(id);
      if (!replaced) continue;
      expect(row.sense, id).toBe(replaced.sense);
      expect(measured(row), id).toEqual(measured(replaced));
    }
  });

  it('are found by their own names only', () => {
    expect(isLimitId('age.28d')).toBe(true);
    expect(isLimitId('age.29d')).toBe(false);
  });

  it('set by the laboratory replace one system and leave the other', () => {
    const own = new Limits({
      'cylinder.strength-step': { status: 'set by the laboratory', US: { high: '5', unit: 'psi' } },
    });
    expect(own.number('cylinder.strength-step', 'US').toFixed()).toBe('5');
    expect(own.number('cylinder.strength-step', 'SI').toFixed()).toBe('0.1');
  });
});
