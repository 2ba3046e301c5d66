import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Breakpoints, CORNER, loadAt, ORDINARY, STOPPED } from '@/testing/load-curves';
import {
  analyseLog,
  cleanedCsv,
  firstRows,
  guessMapping,
  type LogAnalysis,
  mappingFor,
  partOf,
  readLoadLog,
  testsIn,
} from '.';

const BAND = {
  low: 28,
  high: 42,
  criteria: { share: { remark: 10, review: 30 }, underRead: { remark: 0.5, review: 1 } },
};

/** Area of a cylinder of 4.00 in. */
const AREA = 12.56637;

/** A log by straight lines between breakpoints, sampled evenly, rounded to 10 lbf. */
function built(points: Breakpoints, dt: number): { seconds: Float64Array; load: Float64Array } {
  const last = points.at(-1)?.[0] ?? 0;
  const count = Math.round(last / dt) + 1;
  const seconds = Float64Array.from({ length: count }, (_, index) => index * dt);
  const load = seconds.map((t) => {
    const tens = loadAt(points, t) / 10;
    const down = Math.floor(tens + 1e-9);
    // Ties to the even ten, as an indicator would not: it is how the hand-worked logs were rounded.
    const tie = Math.abs(tens - down - 0.5) < 1e-9;
    return (tie ? down + (down % 2) : Math.round(tens)) * 10;
  });
  return { seconds, load };
}

const analysed = (points: Breakpoints, dt = 0.1, over: object = {}): LogAnalysis =>
  analyseLog({ ...built(points, dt), area: AREA, stress: 1, ...BAND, ...over });

const K5 = [
  [0, 0],
  [3, 0],
  [13, 24_000],
  [62, 45_560],
  [62.2, 4000],
  [66, 3500],
] as const;

// Worked by hand and by an independent script from the breakpoints; common practice, no source.
describe('a load log', () => {
  it('of an ordinary test', () => {
    const log = analysed(ORDINARY);
    expect([log.peak, log.peakAt]).toEqual([55_630, 85]);
    expect(log.halfAt).toBeCloseTo(12.934, 2);
    expect(log.ninetyAt).toBeCloseTo(62.593, 2);
    expect(log.meanRate).toBeCloseTo(35.66, 2);
    expect(log.slowest).toBeCloseTo(35.3, 1);
    // By hand 35.6: the extremes hang on whether the samples at the very ends of a window are in it.
    expect(Math.abs((log.fastest ?? 0) - 35.6)).toBeLessThan(0.15);
    expect(log.judged).toBe(476);
    expect(log.outside).toBe(0);
    expect(log.brokenAt).toBeCloseTo(85.4, 6);
    expect(log.underRead).toBeLessThanOrEqual(0.081);
    expect([log.verdict, log.troubles, log.dips]).toEqual(['valid', [], []]);
  });
  it('of a test that was driven too fast', () => {
    const log = analysed([
      [0, 0],
      [2, 0],
      [12, 26_000],
      [52, 54_000],
      [53, 54_600],
      [53.5, 20_000],
      [55, 3000],
    ]);
    expect(log.halfAt).toBeCloseTo(13.857, 2);
    expect(log.ninetyAt).toBeCloseTo(45.057, 2);
    expect(log.meanRate).toBeCloseTo(55.7, 1);
    expect(log.judged).toBe(292);
    expect(log.outside).toBe(100);
    expect(log.brokenAt).toBeCloseTo(53.1, 6);
    expect(log.verdict).toBe('review');
  });
  it('with a corner that broke early and did not end the test', () => {
    const log = analysed(CORNER);
    expect([log.peak, log.peakAt]).toEqual([51_400, 88]);
    expect(log.meanRate).toBeCloseTo(31.24, 1);
    expect(log.slowest).toBeCloseTo(-109.1, 0);
    expect(log.fastest).toBeCloseTo(41.2, 0);
    expect(log.outside).toBeCloseTo(4.4, 1);
    expect(log.brokenAt).toBeCloseTo(88.5, 6);
    expect(log.dips.map(({ load, depth }) => [load, Number(depth.toFixed(1))])).toEqual([[39_600, 6.1]]);
    expect(log.verdict).toBe('remark');
  });
  it('that was stopped before the maximum was passed', () => {
    const log = analysed(STOPPED);
    expect(log.meanRate).toBeCloseTo(36.21, 1);
    expect(log.outside).toBeCloseTo(0.2, 1);
    expect(log.brokenAt).toBeNull();
    expect([log.verdict, log.troubles]).toEqual(['no result', ['maximum not shown']]);
  });
  it('of a brittle break, ten times a second and once', () => {
    const fast = analysed(K5);
    expect([fast.peak, fast.brokenAt?.toFixed(1), fast.verdict]).toEqual([45_560, '62.1', 'valid']);
    expect(fast.meanRate).toBeCloseTo(37.04, 1);
    expect(fast.outside).toBeCloseTo(0.8, 1);
    const slow = analysed(K5, 1);
    expect(slow.judged).toBe(37);
    expect(slow.underRead).toBeCloseTo(1.02, 2);
    expect(slow.verdict).toBe('review');
    expect(analysed(K5, 1, { register: 45_700 }).verdict).toBe('valid');
  });
  it('with a spike keeps its peak and lists what was replaced', () => {
    const log = built(ORDINARY, 0.1);
    log.load[500] = (log.load[500] ?? 0) + 9000;
    const found = analyseLog({ ...log, area: AREA, stress: 1, ...BAND });
    expect(found.spikes).toEqual([{ index: 500, was: 53_460, now: 44_465 }]);
    const clean = analysed(ORDINARY);
    expect([found.peak, found.halfAt, found.ninetyAt, found.meanRate]).toEqual([
      clean.peak,
      clean.halfAt,
      clean.ninetyAt,
      clean.meanRate,
    ]);
  });
  it('whose clock repeats or falls back gives no rates', () => {
    for (const by of [0, -0.5]) {
      const log = built(ORDINARY, 0.1);
      log.seconds[300] = (log.seconds[299] ?? 0) + by;
      const found = analyseLog({ ...log, area: AREA, stress: 1, ...BAND });
      expect([found.verdict, found.troubles, found.meanRate]).toEqual([
        'no result',
        ['time not increasing'],
        null,
      ]);
      expect(found.peak).toBe(55_630);
    }
  });
  it.each([
    [
      'clipped',
      [
        [0, 0],
        [10, 30_000],
        [60, 50_000],
        [62, 50_000],
        [63, 1000],
      ],
      'no result',
    ],
    [
      'starts late',
      [
        [0, 40_000],
        [40, 55_000],
        [41, 1000],
      ],
      'remark',
    ],
    [
      'not at zero',
      [
        [0, 600],
        [5, 600],
        [15, 28_000],
        [67, 52_030],
        [85, 55_630],
        [86, 4000],
      ],
      'remark',
    ],
  ] as const)('%s is found', (trouble, points, verdict) => {
    // Contact is at one percent: a zero that is off by more than it is no idle part any more.
    const log = analysed(
      trouble === 'not at zero' ? points.map(([t, f]) => [t, f === 600 ? 400 : f] as const) : points,
    );
    expect(log.troubles).toContain(trouble);
    expect(log.verdict).toBe(verdict);
  });
  it('with a gap in the judged part is said to have one', () => {
    const whole = built(ORDINARY, 0.1);
    const kept = [...whole.seconds.keys()].filter((index) => index < 300 || index > 320);
    const log = analyseLog({
      seconds: Float64Array.from(kept, (index) => whole.seconds[index] ?? 0),
      load: Float64Array.from(kept, (index) => whole.load[index] ?? 0),
      area: AREA,
      stress: 1,
      ...BAND,
    });
    expect(log.troubles).toEqual(['gap']);
  });
  it('finds the rate it was made with, whatever it is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 120, noNaN: true }),
        fc.double({ min: 20_000, max: 200_000, noNaN: true }),
        (rate, peak) => {
          const at = peak / (rate * AREA);
          const log = analyseLog({
            ...built(
              [
                [0, 0],
                [at, peak],
                [at + 0.3, peak * 0.1],
                [at + 1, peak * 0.1],
              ],
              at / 2000,
            ),
            area: AREA,
            stress: 1,
            ...BAND,
          });
          expect((log.meanRate ?? 0) / rate).toBeCloseTo(1, 2);
        },
      ),
      { numRuns: 30 },
    );
  });
  it('answers anything, and never throws', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double(), { maxLength: 40 }),
        fc.array(fc.double(), { maxLength: 40 }),
        (seconds, load) => {
          const n = Math.min(seconds.length, load.length);
          const request = {
            seconds: Float64Array.from(seconds.slice(0, n)),
            load: Float64Array.from(load.slice(0, n)),
          };
          expect(() => analyseLog({ ...request, area: AREA, stress: 1, ...BAND })).not.toThrow();
        },
      ),
    );
  });
});

describe('a file of a press', () => {
  const body = (rows: readonly (readonly [string, string])[], delimiter: string): string =>
    rows.map((row) => row.join(delimiter)).join('\n');
  it.each([
    ['time_s,load_lbf\n0,0\n0.1,250', ',', false, 's', 'lbf'],
    ['Zeit;Kraft [kN]\n0,0;0,00\n0,1;1,25', ';', true, 's', 'kN'],
    ['t_ms\tforce (N)\n0\t0\n100\t250', '\t', false, 'ms', 'N'],
    ['0 0\n0.1 250', ' ', false, 's', 'lbf'],
    ['Press 7\nserial 9\ntime,load\n09:15:00.0,0\n09:15:00.1,250', ',', false, 'clock', 'lbf'],
    ['\uFEFFno,time,load kip,pos\n1,0,0,0\n2,0.1,0.25,0.01', ',', false, 's', 'kip'],
  ] as const)('%j is guessed', (text, delimiter, decimalComma, timeUnit, loadUnit) => {
    const mapping = guessMapping(text);
    expect(mapping).toMatchObject({ delimiter, decimalComma, timeUnit, loadUnit });
    const log = readLoadLog(text, mapping as NonNullable<typeof mapping>, 'lbf');
    expect([...log.seconds].map((t) => Number(t.toFixed(3)))).toEqual([0, 0.1]);
  });
  it('converts by exact factors and turns compression round', () => {
    const text = body(
      [
        ['0', '0'],
        ['1', '-10'],
        ['2', '-20'],
      ],
      ',',
    );
    const log = readLoadLog(
      text,
      { ...(guessMapping(text) as NonNullable<ReturnType<typeof guessMapping>>), loadUnit: 'kN' },
      'lbf',
    );
    expect(log.turned).toBe(true);
    expect(log.load[2]).toBeCloseTo(4496.1789, 3);
  });
  it('counts what it cannot read and goes on', () => {
    const text = 'time,load\n0,0\nx,y\n1,10\n,\n2,20';
    const log = readLoadLog(text, guessMapping(text) as NonNullable<ReturnType<typeof guessMapping>>, 'lbf');
    expect([...log.load]).toEqual([0, 10, 20]);
    expect([log.unread, log.examples]).toEqual([2, ['x,y', ',']]);
  });
  it('goes on past midnight, and leaves a step back as it is', () => {
    const text = 'time,load\n23:59:59,0\n00:00:00,1\n00:00:01,2\n00:00:00,3';
    const log = readLoadLog(text, guessMapping(text) as NonNullable<ReturnType<typeof guessMapping>>, 'lbf');
    expect([...log.seconds]).toEqual([0, 1, 2, 1]);
  });
  it('shows its first rows, and is none when there are no numbers', () => {
    expect(firstRows('a;b\n1;2', ';')).toEqual([
      ['a', 'b'],
      ['1', '2'],
    ]);
    expect(guessMapping('nothing here\nat all')).toBeNull();
    expect(guessMapping('')).toBeNull();
  });
  it('sees a decimal comma further down, where the file begins with whole numbers', () => {
    const text = 'time;load kN\n0;0\n1;0\n2;10,5';
    const mapping = guessMapping(text);
    expect(mapping?.decimalComma).toBe(true);
    expect(mapping && [...readLoadLog(text, mapping, 'kN').load]).toEqual([0, 0, 10.5]);
  });
  it.each([
    ['as it was', 'time,load\n0,0\n1,5', true, { loadUnit: 'kN', header: 1 }],
    [
      'with a line more before the readings',
      'Operator\ntime,load\n0,0\n1,5',
      true,
      { loadUnit: 'kN', header: 2 },
    ],
    ['with its unit written over it', 'time,load_kN\n0,0\n1,5', true, { loadUnit: 'kN' }],
    ['with another unit over it', 'time,load_lbf\n0,0\n1,5', false, { loadUnit: 'lbf' }],
    ['with another delimiter', 'time;load\n0;0\n1;5', false, { delimiter: ';', loadUnit: 'lbf' }],
    ['with other columns', 'time,phase,load\n0,rest,0\n1,rise,5', false, { load: 2, loadUnit: 'lbf' }],
  ] as const)('a file %s is held against what the machine wrote before', (_what, text, same, mapping) => {
    const before = { ...(guessMapping('time,load\n0,0') as NonNullable<ReturnType<typeof guessMapping>>) };
    const found = mappingFor(text, { ...before, loadUnit: 'kN' });
    expect(found?.remembered).toBe(same);
    expect(found?.mapping).toMatchObject(mapping);
  });
  it('whatever is remembered, a file without numbers is none', () => {
    const before = guessMapping('time,load\n0,0');
    expect(mappingFor('nothing of a press', before ?? undefined)).toBeNull();
    expect(mappingFor('t,load\n0,1', undefined)?.remembered).toBe(false);
  });
  it('tells how far it is, up to the end', () => {
    const text = `time,load\n${body(
      Array.from({ length: 5000 }, (_, index) => [String(index), String(index * 2)] as const),
      ',',
    )}`;
    const told: number[] = [];
    const log = readLoadLog(
      text,
      guessMapping(text) as NonNullable<ReturnType<typeof guessMapping>>,
      'lbf',
      (share) => told.push(share),
    );
    expect(log.seconds.length).toBe(5000);
    expect(told.length).toBeGreaterThan(20);
    expect(told).toEqual(told.toSorted((a, b) => a - b));
    expect(told.at(-1)).toBe(1);
  });
});

describe('several tests in one file', () => {
  /** Straight lines between points, ten readings a second. */
  const morning = (...tests: readonly (readonly (readonly [number, number])[])[]) => {
    const points: [number, number][] = [];
    let start = 0;
    for (const test of tests) {
      for (const [at, load] of test) points.push([start + at, load]);
      start = (points.at(-1)?.[0] ?? 0) + 0.1;
    }
    return built(points, 0.1);
  };
  const rest = (seconds: number): readonly (readonly [number, number])[] => [
    [0, 0],
    [seconds, 0],
  ];
  it('are found, each analysed as if it stood alone', () => {
    const log = morning(ORDINARY, rest(20), K5, rest(30), CORNER);
    const parts = testsIn(log.seconds, log.load);
    expect(parts.map(({ peak }) => peak)).toEqual([55_630, 45_560, 51_400]);
    const alone = [ORDINARY, K5, CORNER].map((points) => analysed(points));
    for (const [index, part] of parts.entries()) {
      const found = analyseLog({ ...partOf(log, part), area: AREA, stress: 1, ...BAND });
      expect(found.peak).toBe(alone[index]?.peak);
      expect(found.verdict).toBe(alone[index]?.verdict);
      expect(found.meanRate).toBeCloseTo(alone[index]?.meanRate ?? 0, 1);
    }
  });
  it('a pause, a corner break and somebody leaning on the machine are no test of their own', () => {
    expect(testsIn(built(CORNER, 0.1).seconds, built(CORNER, 0.1).load)).toHaveLength(1);
    const leaned = morning(
      [
        [0, 0],
        [2, 900],
        [4, 0],
      ],
      rest(20),
      ORDINARY,
      rest(20),
    );
    expect(testsIn(leaned.seconds, leaned.load)).toHaveLength(1);
    expect(testsIn(new Float64Array(0), new Float64Array(0))).toHaveLength(1);
  });
  it('together cover the file without a gap, whatever it holds', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -10, max: 1000, noNaN: true }), { maxLength: 300 }), (loads) => {
        const seconds = Float64Array.from(loads, (_, index) => index);
        const parts = testsIn(seconds, Float64Array.from(loads));
        let next = parts[0]?.from ?? 0;
        for (const { from, to } of parts) {
          expect(from).toBe(next);
          next = to;
        }
        expect(next).toBe(loads.length);
      }),
    );
  });
});

describe('what stands beside the load', () => {
  const text =
    'time_s;load_kN;stress_MPa;pos_mm\n0;0;0;12,5\n1;100;12,73;13,9\n2;250,5;31,90;15,3\n3;20;2,55;18';
  it('is guessed by its names, and read at the largest load', () => {
    const mapping = guessMapping(text, 'kN');
    expect(mapping).toMatchObject({
      stress: 2,
      stressUnit: 'MPa',
      position: 3,
      positionUnit: 'mm',
      decimalComma: true,
    });
    if (!mapping) return;
    const { beside } = readLoadLog(text, mapping, 'lbf');
    expect(beside.load).toBeCloseTo(250.5, 9);
    expect(beside.stress).toBe(31.9);
    expect(beside.travel).toBeCloseTo(2.8, 9);
  });
  it('is nothing where no column is', () => {
    const mapping = guessMapping('t,load\n0,0\n1,50\n2,10');
    expect(mapping && readLoadLog('t,load\n0,0\n1,50\n2,10', mapping, 'lbf').beside).toEqual({
      load: 50,
      stress: null,
      travel: null,
    });
  });
});

describe('a log as it was judged', () => {
  it('can be judged again from its rows: rates, band, peak without its spike', () => {
    const log = built(CORNER, 0.1);
    log.load[500] = (log.load[500] ?? 0) + 9000;
    const request = { ...log, area: AREA, stress: 1, ...BAND };
    const analysis = analyseLog(request);
    const [header, ...rows] = cleanedCsv(request, analysis).trim().split('\n');
    expect(header).toBe('t_s,load,stress,rate_sliding,in_band');
    expect(rows).toHaveLength(log.load.length);
    const cells = rows.map((row) => row.split(','));
    const judged = cells.filter(([, , , rate]) => rate !== '');
    const outside = judged.filter(([, , , , band]) => band === 'no');
    expect(judged).toHaveLength(analysis.judged);
    expect((100 * outside.length) / judged.length).toBeCloseTo(analysis.outside ?? -1, 9);
    expect(Math.max(...cells.map(([, load]) => Number(load)))).toBe(51_400);
    const [, load, stress] = cells[600] ?? [];
    expect(Number(stress)).toBeCloseTo(Number(load) / AREA, 5);
  });
});
