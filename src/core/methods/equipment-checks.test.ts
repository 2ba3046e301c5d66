import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { dueOn } from '../windows';
import { equipmentDue, equipmentFindings } from '.';

const limits = new Limits();

describe('due dates', () => {
  // Same day so many months later, the last day of the month where it has no such day; that day included (our choice).
  it.each([
    ['2025-04-10', 13, '2026-05-10'],
    ['2025-01-31', 13, '2026-02-28'],
    ['2027-01-31', 13, '2028-02-29'],
    ['2025-12-31', 12, '2026-12-31'],
    ['2025-08-31', 1, '2025-09-30'],
  ])('%s and %s months is %s', (verified, months, due) => {
    expect(dueOn(verified, months)).toBe(due);
  });

  it('is never before the verification, and never later for an earlier one', () => {
    const day = fc
      .integer({ min: 0, max: 20_000 })
      .map((days) => DateTime.fromMillis(days * 86_400_000, { zone: 'utc' }).toISODate() ?? '');
    fc.assert(
      fc.property(day, day, (one, two) => {
        const [early, late] = one <= two ? [one, two] : [two, one];
        expect(dueOn(early, 13) > early).toBe(true);
        expect(dueOn(early, 13) <= dueOn(late, 13)).toBe(true);
      }),
    );
  });

  it('takes the interval of its kind, as the laboratory has set it', () => {
    const at = { verifiedOn: '2026-01-15' };
    expect(equipmentDue({ kind: 'compression machine', ...at }, limits)).toBe('2027-02-15');
    expect(equipmentDue({ kind: 'calliper', ...at }, limits)).toBe('2027-01-15');
    const own = new Limits({
      'equipment.yearly': { status: 'set by the laboratory', both: { high: '6', unit: 'one' } },
    });
    expect(equipmentDue({ kind: 'calliper', ...at }, own)).toBe('2026-07-15');
    expect(equipmentDue({ kind: 'calliper' }, own)).toBeUndefined();
  });
});

describe('use of equipment', () => {
  const known = [
    { number: 'A', kind: 'calliper', verifiedOn: '2026-01-15' },
    { number: 'B', kind: 'calliper', verifiedOn: '2026-01-15', inService: false },
    { number: 'C', kind: 'calliper' },
  ];
  it.each([
    ['A', '2026-06-01', []],
    ['A', '2027-01-15', []],
    ['A', '2027-01-16', ['equipment.overdue']],
    ['B', '2026-06-01', ['equipment.out-of-service']],
    ['C', '2026-06-01', ['equipment.overdue']],
    ['D', '2026-06-01', ['equipment.unknown']],
  ])('%s on %s: %o', (number, day, ids) => {
    const found = equipmentFindings('calliper', number, known, day, limits, 'departure');
    expect(found.map(({ id }) => id)).toEqual(ids);
    for (const each of found) expect(each.remark).toContain(number);
  });

  it('forbids the result where the machine gives it', () => {
    const [found] = equipmentFindings(
      'machine',
      'C',
      [{ number: 'C', kind: 'compression machine' }],
      '2026-06-01',
      limits,
      'invalid',
    );
    expect(found).toMatchObject({ severity: 'invalid', needsReason: true, beforeLoad: true });
    expect(found?.limit?.text).toBe('13 months');
  });
});
