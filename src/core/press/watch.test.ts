import { describe, expect, it } from 'vitest';
import { type PlacedSpecimen, PRESS_MAKEUP, SimulatedPress, speedForRate } from './simulated-press';
import { type PressView, PressWatch, type WatchRequest } from './watch';

const AREA = 8107;
const EXPECTED = 240;
const BAND = { low: (0.2 * AREA) / 1000, high: (0.3 * AREA) / 1000 };
const REQUEST: WatchRequest = { expected: EXPECTED, ...BAND, from: 0.5, pads: false, contact: 0.5 };

/** Feeds straight lines between points of seconds and load, ten readings a second, and gives every view. */
function watched(points: readonly (readonly [number, number])[], request = REQUEST): PressView[] {
  const watch = new PressWatch(request);
  const views: PressView[] = [];
  for (let index = 1; index < points.length; index += 1) {
    const [[from, below], [to, above]] = [points[index - 1] ?? [0, 0], points[index] ?? [0, 0]];
    for (let at = from; at < to - 1e-9; at += 0.1) {
      watch.take({ seconds: at, load: below + ((above - below) * (at - from)) / (to - from) });
      views.push(watch.view());
    }
  }
  return views;
}

describe('a break watched reading by reading', () => {
  const rising: (readonly [number, number])[] = [
    [0, 0],
    [5, 0],
    [7, 1.6],
    [25, 120],
    [84, 240],
  ];

  it('goes through its phases in order and says when the band begins to count', () => {
    const views = watched([...rising, [87, 238.5], [89, 236], [90, 60], [91, 20]]);
    const phases = [...new Set(views.map(({ phase }) => phase))];
    expect(phases).toEqual([
      'idle',
      'contact',
      'first half',
      'second half',
      'near ultimate',
      'declining',
      'broken',
    ]);
    const before = views.find(({ load }) => load > 60);
    expect(before?.offBand).toBeNull();
    expect(before?.toBand).toBeCloseTo(9.1, 0);
  });

  it('holds the peak after the break', () => {
    const views = watched([...rising, [85, 150], [88, 10]]);
    expect(views.at(-1)?.phase).toBe('broken');
    expect(views.at(-1)?.peak).toBeCloseTo(240, 0);
  });

  it('says on which side the rate leaves its band, and only where it counts', () => {
    const views = watched([
      [0, 0],
      [20, 120],
      [50, 200],
    ]);
    expect(views.find(({ load }) => load > 100)?.offBand).toBeNull();
    expect(views.at(-1)?.offBand).toBe(1);
    expect(views.at(-1)?.outside).toBeGreaterThan(50);
    const slow = watched([...rising.slice(0, 4), [85, 170]]);
    expect(slow.at(-1)?.offBand).toBe(-1);
  });

  it('counts the band from the beginning where the method says so', () => {
    const views = watched(rising, { ...REQUEST, from: 0 });
    expect(views.find(({ load }) => load > 60)?.offBand).toBe(1);
  });

  it('does not take a dip for the break', () => {
    const views = watched([...rising.slice(0, 4), [60, 190], [60.5, 184], [80, 225]]);
    expect(views.some(({ phase }) => phase === 'broken')).toBe(false);
    expect(views.at(-1)?.dips).toHaveLength(1);
    expect(views.at(-1)?.dips[0]?.depth).toBeCloseTo(100 * (6 / 190), 0);
  });

  it('keeps loading through a corner break with pads, far below the expected load', () => {
    const points: (readonly [number, number])[] = [...rising.slice(0, 4), [30, 130], [30.5, 118], [34, 121]];
    const pads = watched(points, { ...REQUEST, pads: true });
    expect(pads.some(({ phase }) => phase === 'broken')).toBe(false);
    expect(pads.some(({ alarms }) => alarms.includes('corner break possible'))).toBe(true);
    expect(watched(points).some(({ phase }) => phase === 'broken')).toBe(true);
  });

  it('raises what it expects when the specimen passes it', () => {
    const views = watched([...rising, [110, 290]]);
    expect(views.at(-1)?.alarms).toContain('expected load passed');
    expect(views.at(-1)?.expected).toBeGreaterThan(290);
  });

  it('calls out a shock and a load near the capacity', () => {
    const views = watched(
      [
        [0, 0],
        [1, 0],
        [3, 90],
        [60, 240],
      ],
      { ...REQUEST, most: 250 },
    );
    expect(views.at(-1)?.alarms).toEqual(['load near capacity', 'shock']);
  });

  it('knows the top by a rate that sinks under a still knob, long before the expected load', () => {
    const specimen: PlacedSpecimen = { strength: 20, area: AREA, length: 203, ends: 'bonded', gap: 2 };
    const press = new SimulatedPress(5, PRESS_MAKEUP);
    press.place(specimen);
    const fine = speedForRate(specimen, 0.25, 0.7) / PRESS_MAKEUP.fineSpeed;
    press.levers = { pump: true, approach: false, fine, door: true };
    const watch = new PressWatch({ ...REQUEST, expected: 260 });
    const phases: string[] = [];
    for (let second = 0; second < 600 && phases.at(-1) !== 'broken'; second += 1) {
      for (const { t, load, fine: knob } of press.run(1)) watch.take({ seconds: t, load, fine: knob });
      const { phase } = watch.view();
      if (phase !== phases.at(-1)) phases.push(phase);
    }
    expect(phases).toContain('near ultimate');
    expect(phases.at(-1)).toBe('broken');
    expect(watch.view().peak).toBeCloseTo((20 * AREA) / 1000, 0);
  });

  it('begins at any time of the machine’s clock, however few readings there are', () => {
    const watch = new PressWatch(REQUEST);
    for (const seconds of [5000, 5000.02, 5030]) watch.take({ seconds, load: 0 });
    expect(watch.view().phase).toBe('idle');
    expect(watch.view().rate).toBeNull();
  });

  it('leaves readings aside whose time does not go forward', () => {
    const watch = new PressWatch(REQUEST);
    for (const seconds of [0, 0.1, 0.1, 0.05, 0.2]) watch.take({ seconds, load: 50 });
    expect(watch.view().load).toBe(50);
    expect(watch.view().rate).not.toBeNaN();
  });
});

describe('what is watched besides the load', () => {
  const request = { ...REQUEST, travel: 45, area: AREA, most: 1000 };
  const last = (readings: readonly Parameters<PressWatch['take']>[0][]) => {
    const watch = new PressWatch(request);
    for (const reading of readings) watch.take(reading);
    return watch.view().alarms;
  };
  it('the travel of the ram, until the test is over', () => {
    expect(last([{ seconds: 0, load: 100, position: 45 }])).not.toContain('end of stroke');
    expect(last([{ seconds: 0, load: 100, position: 45.1 }])).toContain('end of stroke');
  });
  it('the door, with load on the specimen', () => {
    expect(last([{ seconds: 0, load: 1, shut: false }])).not.toContain('door open');
    expect(last([{ seconds: 0, load: 10, shut: false }])).toContain('door open');
    expect(last([{ seconds: 0, load: 10, shut: true }])).not.toContain('door open');
  });
  it('the area that is set in the indicator, by its own stress', () => {
    const shown = (area: number) => ({ stress: 100_000 / area, load: 100 });
    expect(last([{ seconds: 0, load: 100, shown: shown(AREA) }])).not.toContain('another area set');
    expect(last([{ seconds: 0, load: 100, shown: shown(AREA * 2.25) }])).toContain('another area set');
    expect(last([{ seconds: 0, load: 100, shown: shown(AREA * 1.001) }])).not.toContain('another area set');
  });
});

describe('the second half as it would be if it broke now', () => {
  const block: WatchRequest = { ...REQUEST, expected: 150_000, contact: 500, halves: true };
  it('is counted from half of what it bears now, on a record of two stages', () => {
    // 2,500 lbf/s to 75,000, then 900: 162,300 at 127.0 s. Half of it was passed at 36.83 s, by arithmetic.
    const views = watched(
      [
        [0, 0],
        [30, 75_000],
        [127, 162_300],
        [127.4, 90_000],
        [129, 20_000],
      ],
      block,
    );
    const at = (load: number) => views.find((view) => view.load >= load)?.sinceHalf ?? 0;
    expect(at(162_200)).toBeCloseTo(90.1, 0);
    // At 112,000 the fast stage had passed half of it: 71.11 s less 22.4 s.
    expect(at(112_000)).toBeCloseTo(48.7, 0);
    // Broken, it stays what it was.
    expect(views.at(-1)?.phase).toBe('broken');
    expect(views.at(-1)?.sinceHalf).toBeCloseTo(90.1, 0);
  });
  it('of a steady rate is half of the time so far, and nothing before there is a load', () => {
    const views = watched(
      [
        [0, 0],
        [4, 0],
        [164, 160_000],
      ],
      block,
    );
    expect(views[5]?.sinceHalf).toBeNull();
    expect(views.find(({ load }) => load >= 120_000)?.sinceHalf).toBeCloseTo(60, 0);
    expect(views.find(({ load }) => load >= 159_800)?.sinceHalf).toBeCloseTo(80, 0);
  });
  it('is not counted where nobody judges it', () => {
    const views = watched(
      [
        [0, 0],
        [164, 160_000],
      ],
      { ...block, halves: undefined },
    );
    expect(views.at(-1)?.sinceHalf).toBeNull();
  });
});
