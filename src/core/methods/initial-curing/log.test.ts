import { describe, expect, it } from 'vitest';
import { computed, idsOf } from '../../../testing/outcome';
import { exact } from '../../quantity';
import { dateOrder } from '../../signals/stamps';
import { findMethod } from '../registry';
import { readLog } from './log';

const possible = [exact('-60'), exact('212')] as const;
const hours = (text: string, order?: 'day first' | 'month first') => {
  const log = readLog(text, 'degF', { possible, ...(order ? { order } : {}) });
  const [first] = log.points;
  return {
    ...log,
    hours: log.points.map(({ seconds }) =>
      seconds
        .minus(first?.seconds ?? 0)
        .div(3600)
        .toNumber(),
    ),
  };
};

describe('the dates of a record', () => {
  it.each([
    ['05/13/2031 22:00, 70\n05/14/2031 10:00, 71', [0, 12]],
    ['13/05/2031 22:00, 70\n14/05/2031 10:00, 71', [0, 12]],
    ['13.05.2031 22:00, 70\n14.05.2031 10:00, 71', [0, 12]],
    ['5/6/2031 9:00 AM, 70\n5/6/2031 3:00 PM, 71', [0, 6]],
    ['2031-05-14T09:30:00-04:00, 70\n2031-05-14T14:30:00Z, 71', [0, 1]],
    ['2031-05-14 09:30, 70\n2031-05-14 10:00:30, 71', [0, 1810 / 3600 + 20 / 3600]],
    ['0, 70\n1.5, 71', [0, 1.5]],
  ])('are read where the file tells their order: %j', (text, expected) => {
    const read = hours(text);
    expect(read.ambiguous).toBe(false);
    for (const [index, each] of expected.entries()) expect(read.hours[index]).toBeCloseTo(each, 9);
  });
  it('are asked for where both orders can be, and read as it is said', () => {
    const text = '05/06/2031 22:00, 70\n05/07/2031 10:00, 71';
    expect(hours(text)).toMatchObject({ ambiguous: true, points: [] });
    expect(hours(text, 'month first').hours).toEqual([0, 12]);
    expect(hours(text, 'day first').hours).toEqual([0, 30 * 24 - 12]);
    expect(dateOrder(['5/5/2031 10:00', '5/5/2031 11:00'])).toBe('no matter');
  });
  it('asked for, is a finding that wants an answer', () => {
    const method = findMethod('initial-curing');
    if (!method) throw new Error('no method');
    const { input, setup } = method.example('US');
    const log = '05/06/2031 22:00, 70\n05/07/2031 10:00, 71';
    expect(idsOf(computed(method, { ...input, log }, setup))).toContain('curing.date-order');
    expect(idsOf(computed(method, { ...input, log, dateOrder: 'month first' }, setup))).not.toContain(
      'curing.date-order',
    );
  });
});

describe('the rows of a record', () => {
  it.each([
    '-5 71',
    '2031-W20-1T10:00:00Z, 70',
    '20310514T101112Z, 70',
    '0:10 70',
    '13/13/2031 10:00, 70',
    '2031-02-30 10:00, 70',
  ])('that are none are told, the first of them too: %j', (text) =>
    expect(hours(text)).toMatchObject({ points: [], bad: [expect.any(String)] }),
  );
  it.each(['0, 9999', '0, -400', '0, 99999'])('with a temperature that cannot be are told: %j', (text) =>
    expect(hours(text)).toMatchObject({ points: [], bad: [expect.any(String)] }),
  );
  it('begin after a header and after a mark of encoding', () => {
    expect(hours('\uFEFFTime,Temperature\n0,70\n1,71')).toMatchObject({ bad: [], hours: [0, 1] });
  });
  it('say nothing against a lowest above the highest; the finding does', () => {
    const method = findMethod('initial-curing');
    if (!method) throw new Error('no method');
    const { input, setup } = method.example('US');
    expect(idsOf(computed(method, { ...input, minimum: '80', maximum: '70' }, setup))).toContain(
      'curing.extremes',
    );
  });
});
