import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { readForecast } from './forecast-csv';

const limits = new Limits();
const run = (text: string, concrete: string, system: 'US' | 'SI' = 'US', options = {}) =>
  readForecast(text, exact(concrete), system, 'UTC', limits, options);

// Uno's equation (ACI 305R, from memory), worked by hand for the first two.
describe('evaporation over a forecast', () => {
  it.each([
    ['US', '85', '80,50,10', '0.19', 'caution'],
    ['US', '88', '95,30,12', '0.27', 'protect'],
    ['US', '62', '55,80,4', '0.03', 'low'],
    ['US', '60', '82,85,5', '0', 'low'],
    ['SI', '30', '27,50,16', '0.92', 'caution'],
    ['SI', '31', '35,30,19', '1.23', 'protect'],
  ] as const)('%s, concrete %s, %s: %s, %s', (system, concrete, row, rate, state) => {
    const { points } = run(`time,air,humidity,wind\n2031-05-14 10:00,${row}`, concrete, system);
    expect(points).toEqual([{ at: Date.parse('2031-05-14T10:00:00Z'), rate, state }]);
  });
  it('takes two thirds of a station’s wind, and the lower limit for specifications that bleed little', () => {
    const row = 'time,air,humidity,wind\n2031-05-14 10:00,80,50,15';
    expect(run(row, '85', 'US', { station: true }).points[0]?.rate).toBe('0.19');
    expect(run(row, '85', 'US', { station: true, bleedsLittle: true }).points[0]?.state).toBe('protect');
  });
  it('reads other units by their headings', () => {
    const us = run('time,air,humidity,wind\n2031-05-14 10:00,80.6,50,10', '85').points[0]?.rate;
    const mixed = run('time,air_c,humidity,wind_kmh\n2031-05-14 10:00,27,50,16.09344', '85').points[0]?.rate;
    expect(mixed).toBe(us);
    expect(run('time,air_f,humidity,wind_ms\n2031-05-14 10:00,80.6,50,4.4704', '85').points[0]?.rate).toBe(
      us,
    );
  });
  it('sorts the hours and names the rows it cannot read', () => {
    const { points, problems } = run(
      'time,air,humidity,wind\n2031-05-14 11:00,80,50,10\n2031-05-14 10:00,80,50,10\nnoon,80,50,10\n2031-05-14 12:00,80,150,10\n2031-05-14 13:00,80,50,-2\n2031-05-14 14:00,,50,2',
      '85',
    );
    expect(points.map(({ at }) => new Date(at).getUTCHours())).toEqual([10, 11]);
    expect(problems).toEqual([
      expect.stringMatching(/Line 4: time/),
      expect.stringMatching(/Line 5: humidity 150 % cannot be/),
      expect.stringMatching(/Line 6: wind -2 cannot be/),
      expect.stringMatching(/Line 7: time, air, humidity and wind/),
    ]);
  });
  it.each([
    ['time,humidity,wind\n', /Missing column: air/],
    ['time,humidity,air\n', /Missing column: wind/],
    ['air,wind\n', /Missing columns: time, humidity/],
  ])('says which column is missing: %j', (text, problem) => {
    expect(run(text, '85').problems[0]).toMatch(problem);
  });
});
