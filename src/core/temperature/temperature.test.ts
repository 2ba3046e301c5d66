import { describe, expect, it } from 'vitest';
import {
  compareSensors,
  difference,
  excursion,
  guessRecord,
  indexAt,
  indexCurve,
  type MaturityFunction,
  meanOver,
  plainRecord,
  type Series,
  worthOf,
} from '.';

/** A record of one sensor as it was typed: hours and °C. */
function recordOf(hours: readonly number[], ...sensors: readonly (readonly number[])[]) {
  return plainRecord(hours, Object.fromEntries(sensors.map((each, place) => [`T${place + 1}`, each])));
}
function seriesOf(hours: readonly number[], celsius: readonly number[]): Series {
  const [channel] = recordOf(hours, celsius).channels;
  if (!channel) throw new Error('nothing counts');
  return channel;
}
const inC = (values: readonly number[]): number[] => values.map((each) => (each - 32) / 1.8);
const total = (series: Series, how: MaturityFunction, air?: Series) => {
  const curve = indexCurve(series, how, 0, air);
  return { best: curve.best.at(-1) ?? 0, decision: curve.decision.at(-1) ?? 0, curve };
};

const ZERO = { kind: 'nurse-saul', datum: 0 } as const;
const MINUS_10 = { kind: 'nurse-saul', datum: -10 } as const;
const AT_20 = { kind: 'equivalent-age', q: 5000, reference: 20 } as const;
const AT_23 = { kind: 'equivalent-age', q: 5000, reference: 23 } as const;
const EN = { kind: 'adjusted-age' } as const;

// Trapezoids and mean temperatures of intervals, worked by hand; common practice, no source.
const HOURS = [0, 0.5, 1, 2, 4, 7, 8, 12];
const CELSIUS = [22, 22.5, 23.5, 26, 31, 38, 37, 30];

describe('the maturity index', () => {
  it('takes steps of any length: temperature over the datum times time', () => {
    const series = seriesOf(HOURS, CELSIUS);
    expect(total(series, ZERO).curve.best.at(-1)).toBeCloseTo(379.375, 9);
    expect(meanOver(series)).toBeCloseTo(379.375 / 12, 9);
    // 1 °C·h is 1.8 °F·h.
    expect(total(series, ZERO).best * 1.8).toBeCloseTo(682.875, 9);
  });

  it('takes the equivalent age at the mean of each step', () => {
    const series = seriesOf(HOURS, CELSIUS);
    expect(total(series, AT_20).best).toBeCloseTo(23.502, 3);
    expect(total(series, AT_23).best).toBeCloseTo(19.773, 3);
    expect(total(series, EN).best).toBeCloseTo(20.44, 3);
  });

  it('counts nothing below the datum, and takes nothing away for it', () => {
    const frost = seriesOf([0, 6, 12, 18, 24], [8, 2, -4, -1, 5]);
    expect(total(frost, ZERO).best).toBeCloseTo(44.5, 9);
    expect(total(frost, MINUS_10).best).toBeCloseTo(261, 9);
  });

  // What an hour at a temperature is worth: ASTM C1074 and EN 1992-1-1 (from memory).
  it.each([
    [5, 0.25, 0.5, 0.399, 0.335, 0.478],
    [10, 0.5, 0.667, 0.548, 0.461, 0.616],
    [20, 1, 1, 1, 0.841, 0.998],
    [23, 1.15, 1.1, 1.189, 1, 1.146],
    [30, 1.5, 1.333, 1.755, 1.477, 1.566],
    [40, 2, 1.667, 2.972, 2.501, 2.388],
  ])('an hour at %d °C', (celsius, zero, minus, at20, at23, en) => {
    expect(worthOf(ZERO, celsius) / 20).toBeCloseTo(zero, 3);
    expect(worthOf(MINUS_10, celsius) / 30).toBeCloseTo(minus, 3);
    expect(worthOf(AT_20, celsius)).toBeCloseTo(at20, 3);
    expect(worthOf(AT_23, celsius)).toBeCloseTo(at23, 3);
    expect(worthOf(EN, celsius)).toBeCloseTo(en, 3);
  });

  it('draws a line over a gap of some hours, and lets a decision count its lower end', () => {
    const series = seriesOf([0, 1, 2, 3, 9, 10, 11, 12], [21, 23, 26, 30, 36, 35, 33, 31]);
    expect(series.gaps).toEqual([3]);
    const { best, decision, curve } = total(series, ZERO);
    expect(best).toBeCloseTo(374, 9);
    expect(decision).toBeCloseTo(356, 9);
    expect([curve.drawn, curve.lost]).toEqual([6, 0]);
  });

  it('stands still over a gap of more than twelve hours, unless the air was recorded', () => {
    const hours = [0, 1, 2, 16, 17];
    const series = seriesOf(hours, [20, 20, 20, 24, 24]);
    const { best, decision, curve } = total(series, ZERO);
    expect([best, decision, curve.lost]).toEqual([64, 64, 14]);
    const air = seriesOf(
      Array.from({ length: 18 }, (_, at) => at),
      Array.from({ length: 18 }, (_, at) => (at === 9 ? 6 : 8)),
    );
    expect(total(series, ZERO, air).decision).toBeCloseTo(64 + 14 * 6, 9);
  });

  // A curve whose integral is known: 30 (t/12)² exp(2(1 − t/12)) over 20 °C.
  it.each([
    [0.5, 2104.667, 140.672],
    [4, 2104.13, 139.32],
  ])('with a row every %d h it is that near to the whole curve', (step, degreeHours, age) => {
    const hours = Array.from({ length: 72 / step + 1 }, (_, row) => row * step);
    const series = seriesOf(
      hours,
      hours.map((t) => 20 + 30 * (t / 12) ** 2 * Math.exp(2 * (1 - t / 12))),
    );
    // ∫ x² e^(2(1−x)) dx in closed form.
    const x = 72 / 12;
    const exactly =
      20 * 72 + 30 * 12 * (Math.E ** 2 / 4 - (Math.exp(2 * (1 - x)) * (2 * x * x + 2 * x + 1)) / 4);
    expect(exactly).toBeCloseTo(2104.668, 3);
    expect(total(series, ZERO).best).toBeCloseTo(degreeHours, 2);
    expect(total(series, AT_20).best).toBeCloseTo(age, 2);
  });

  it('is told at any hour between its rows', () => {
    const curve = indexCurve(seriesOf([0, 1, 2], [20, 20, 20]), ZERO, 0.5);
    expect(indexAt(curve, 1.5)?.best).toBeCloseTo(20, 9);
    expect([indexAt(curve, 0.4), indexAt(curve, 2.1)]).toEqual([undefined, undefined]);
  });
});

describe('readings that cannot be true', () => {
  it('are left out by the codes of a sensor and by jumps that come back', () => {
    const values = [22.1, 22.4, 85, 23.2, 24, -127, 25.9, 41, 27.8, 28.6];
    const hours = values.map((_, row) => row / 2);
    const [channel] = recordOf(hours, values).channels;
    expect(channel?.removed).toBe(3);
    expect(channel?.faults.map(({ was, why }) => [was, why])).toEqual([
      [85, 'code'],
      [-127, 'code'],
      [41, 'spike'],
    ]);
    expect(channel && total(channel, ZERO).best).toBeCloseTo(111.625, 9);
    expect(channel?.highest).toEqual({ at: 4.5, celsius: 28.6 });
  });

  it('85.0 stays where the sensor comes from there and goes on from there', () => {
    const [channel] = recordOf([0, 0.5, 1, 1.5], [80, 83, 85, 86]).channels;
    expect(channel?.removed).toBe(0);
  });

  it('a step is no jump: it does not come back', () => {
    const [channel] = recordOf([0, 1, 2, 3, 4], [12, 12, 24, 25, 26]).channels;
    expect(channel?.removed).toBe(0);
  });

  it('two rows that jump together are left out together', () => {
    const [channel] = recordOf([0, 1, 2, 3, 4, 5], [20, 20.5, 60, 61, 21, 21.5]).channels;
    expect(channel?.faults.map(({ was }) => was)).toEqual([60, 61]);
  });

  it('a sensor that stands still while the other moves is stuck', () => {
    const hours = Array.from({ length: 21 }, (_, row) => row / 2);
    const warm = hours.map((at) => 20 + at);
    const stuck = hours.map((at) => (at < 2 ? 20 + at : 22));
    const [, second] = recordOf(hours, warm, stuck).channels;
    expect(second?.faults.every(({ why }) => why === 'stuck')).toBe(true);
    expect(second?.rows).toBe(4);
    expect(recordOf(hours, stuck).channels[0]?.removed).toBe(0);
  });

  it('a sensor without one reading that counts is not there', () => {
    expect(recordOf([0, 1], [-127, -127], [20, 21]).channels.map(({ name }) => name)).toEqual(['T2']);
  });
});

describe('out of a range', () => {
  const box = seriesOf(
    Array.from({ length: 13 }, (_, row) => row * 2),
    inC([74, 76, 78, 81, 85, 84, 82, 79, 75, 70, 66, 62, 59]),
  );
  const fahrenheit = (low: number, high: number) => {
    const found = excursion(box, { low: (low - 32) / 1.8, high: (high - 32) / 1.8 }, 6);
    return {
      above: found.above,
      below: found.below,
      over: found.degreesAbove * 1.8,
      under: found.degreesBelow * 1.8,
    };
  };

  it('a box above and below 60 to 80 °F: hours and degree-hours', () => {
    const { above, below, over, under } = fahrenheit(60, 80);
    expect(above).toBeCloseTo(8, 3);
    expect(over).toBeCloseTo(22.667, 3);
    expect(below).toBeCloseTo(0.667, 3);
    expect(under).toBeCloseTo(0.333, 3);
  });

  it('the same box held to 68 to 78 °F', () => {
    const { above, below, over, under } = fahrenheit(68, 78);
    expect([above, below]).toEqual([expect.closeTo(10.5, 3), expect.closeTo(5, 3)]);
    expect([over, under]).toEqual([expect.closeTo(41.25, 2), expect.closeTo(24, 2)]);
  });

  it('a gap that is too long is not known, neither in nor out', () => {
    const found = excursion(seriesOf([0, 1, 9, 10], [20, 40, 40, 20]), { high: 30 }, 2);
    expect(found.unknown).toBe(8);
    expect(found.above).toBeCloseTo(1, 9);
  });
});

describe('core and surface', () => {
  it('the difference at every row of both, and its greatest', () => {
    const hours = [0, 1, 2, 3, 4];
    const found = difference(seriesOf(hours, [58, 64, 69, 71, 70]), seriesOf(hours, [44, 47, 49, 50, 52]));
    expect(found?.celsius).toEqual([14, 17, 20, 21, 18]);
    expect(found?.greatest).toEqual({ at: 3, celsius: 21 });
  });

  it('no difference where they were never recorded together', () => {
    expect(difference(seriesOf([0, 1], [20, 20]), seriesOf([5, 6], [20, 20]))).toBeUndefined();
  });
});

describe('two sensors of one place', () => {
  const truth = (t: number): number =>
    20 + 14 * (t / 11) ** 2 * Math.exp(2 * (1 - t / 11)) + 0.8 * Math.sin((2 * Math.PI * t) / 24);
  const firstHours = Array.from({ length: 145 }, (_, row) => row / 2);
  const first = seriesOf(
    firstHours,
    firstHours.map((t) => Math.round(truth(t) * 10) / 10),
  );
  const own = Array.from({ length: 617 }, (_, row) => 0.05 + (7 * row) / 60).filter((t) => t <= 72);
  const second = (ahead: (t: number) => number, celsius: (t: number) => number): Series =>
    seriesOf(
      own.map((t) => t + ahead(t)),
      own.map((t) => Math.round(celsius(t) / 0.0625) * 0.0625),
    );

  it('a clock 37 min ahead and 0.6 °C too high are told apart', () => {
    const found = compareSensors(
      first,
      second(
        () => 37 / 60,
        (t) => truth(t) + 0.6,
      ),
    );
    expect((found?.ahead ?? 0) * 60).toBeCloseTo(37.3, 0);
    expect(found?.correlation).toBeCloseTo(0.998, 2);
    expect(found?.bias).toBeCloseTo(0.6, 2);
    expect(found?.scatter).toBeCloseTo(0.03, 2);
    expect(found?.asStamped).toBeCloseTo(1.13, 1);
    expect(found?.greatest).toBeCloseTo(0.67, 1);
    expect(found?.drifts).toBe(false);
    expect(found?.slow).toBeNull();
    expect(found?.peaks[0]).toEqual({ at: 10, celsius: 34.3 });
    expect(found?.peaks[1].celsius).toBeCloseTo(34.875, 3);
    expect(found?.peaks[1].at).toBeCloseTo(9.73, 1);
    expect(total(first, ZERO).best).toBeCloseTo(1724.4, 1);
    expect(total(first, AT_20).best).toBeCloseTo(93.507, 2);
    expect(total(first, AT_23).best).toBeCloseTo(78.669, 2);
    expect(total(first, EN).best).toBeCloseTo(88.02, 2);
  });

  it('a clock that is behind has the other sign', () => {
    const found = compareSensors(
      first,
      second(() => -1.5, truth),
    );
    expect(found?.ahead).toBeCloseTo(-1.5, 1);
  });

  it('a clock that runs fast drifts: its halves disagree', () => {
    const humps = (t: number): number => truth(t) + 6 * Math.exp(-(((t - 52) / 4) ** 2));
    const base = seriesOf(firstHours, firstHours.map(humps));
    expect(
      compareSensors(
        base,
        second((t) => t * 0.01, humps),
      )?.drifts,
    ).toBe(true);
    expect(
      compareSensors(
        base,
        second(() => 0.4, humps),
      )?.drifts,
    ).toBe(false);
  });

  it('a sensor in a slow housing is slow, not late', () => {
    let now = truth(0);
    const fine = Array.from({ length: 864 * 5 }, (_, row) => row / 60);
    const lagged = fine.map((t) => {
      now += (1 - Math.exp(-1 / 60 / 0.9)) * (truth(t) - now);
      return now;
    });
    const slow = seriesOf(
      fine.filter((_, row) => row % 10 === 0),
      lagged.filter((_, row) => row % 10 === 0),
    );
    const found = compareSensors(first, slow);
    expect(found?.slow).toBeCloseTo(0.9, 0);
    expect(compareSensors(slow, first)?.slow).toBeCloseTo(-0.9, 0);
  });

  it('two different places do not fit', () => {
    const other = seriesOf(
      firstHours,
      firstHours.map((t) => 15 + 3 * Math.sin(t * 1.7) + 2 * Math.sin(t * 0.31)),
    );
    expect(compareSensors(first, other)?.ahead).toBeNull();
  });

  it('five hours in common are too few', () => {
    expect(compareSensors(first, seriesOf([68, 70, 72, 90], [21, 21, 21, 21]))).toBeUndefined();
  });
});

describe('how a file says what it is', () => {
  it('asks for nothing where it says everything', () => {
    const guessed = guessRecord(
      'time,core (°F),surface (°F)\n2031-01-10T08:00:00Z,71.2,66\n2031-01-10T08:15:00Z,71.4,66',
    );
    expect(guessed?.asks).toEqual([]);
    expect(guessed?.mapping).toMatchObject({ stamp: 'instant', unit: 'degF', columns: [1, 2], header: 1 });
    expect(guessed?.mapping.names).toEqual(['core', 'surface']);
  });
});
