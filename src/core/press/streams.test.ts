import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { guessMapping, readLoadLog } from '../signals';
import type { ReadingLine } from './reading';
import { loadIn, recordCsv, recordOf } from './record';
import { PressWatch, type WatchedReading } from './watch';

const line = (seq: number, load: number, unit: 'kN' | 'lbf' = 'kN'): ReadingLine => ({
  seq,
  t: seq / 20,
  load,
  unit,
  peak: load,
  pos: 1,
  at: 1_900_000_000_000 + seq * 50,
  pump: true,
  approach: false,
  fine: 0.2,
  door: true,
});
/** Loads of a stream as they were sent, numbered from one. */
const stream = fc.array(fc.double({ min: 0, max: 900, noNaN: true }), { minLength: 1, maxLength: 60 });

describe('a stream that came as streams come', () => {
  it('is put in order whatever came twice, late or not at all, and says what is missing', () => {
    fc.assert(
      fc.property(
        stream,
        fc.func(fc.nat({ max: 3 })),
        fc.infiniteStream(fc.nat()),
        (loads, copies, order) => {
          const sent = loads.map((load, index) => line(index + 1, load));
          const came = sent.flatMap((reading) => Array.from({ length: copies(reading.seq) }, () => reading));
          const shuffled = came
            .map((reading) => ({ reading, key: order.next().value }))
            .toSorted((a, b) => a.key - b.key)
            .map(({ reading }) => reading);
          const record = recordOf(shuffled, 1);
          const there = sent.filter(({ seq }) => copies(seq) > 0);
          expect(record.readings).toEqual(there);
          expect(record.doubled).toBe(came.length - there.length);
          expect(record.backward).toEqual([]);
          const last = there.at(-1)?.seq ?? 0;
          const missed = record.missing.flatMap(([from, to]) =>
            Array.from({ length: to - from + 1 }, (_, index) => from + index),
          );
          expect(missed).toEqual(
            sent.filter(({ seq }) => copies(seq) === 0 && seq < last).map(({ seq }) => seq),
          );
        },
      ),
    );
  });
  it('leaves as a file that is read again as the same loads, in either unit', () => {
    fc.assert(
      fc.property(stream, fc.constantFrom('kN' as const, 'lbf' as const), (loads, unit) => {
        fc.pre(loads.length > 1);
        const record = recordOf(loads.map((load, index) => line(index + 1, load)));
        const text = recordCsv(record, unit);
        const mapping = guessMapping(text);
        expect(mapping?.loadUnit).toBe(unit);
        if (!mapping) return;
        const log = readLoadLog(text, mapping, 'kN');
        expect(log.unread).toBe(0);
        for (const [index, load] of loads.entries())
          expect(Math.abs((log.load[index] ?? Number.NaN) - load)).toBeLessThan(1e-5 * Math.max(1, load));
      }),
    );
  });
  it('says where its unit changed, and brings both to one', () => {
    const record = recordOf([line(1, 100), line(2, 101), line(3, loadIn(102, 'kN', 'lbf'), 'lbf')]);
    expect(record.unitChangedAt).toBe(3);
    const loads = recordCsv(record, 'kN')
      .trim()
      .split('\n')
      .slice(1)
      .map((row) => Number(row.split(',')[1]));
    expect(loads.map((load) => load.toFixed(4))).toEqual(['100.0000', '101.0000', '102.0000']);
  });
});

describe('a watch over any readings at all', () => {
  const readings = fc.array(
    fc.record({
      seconds: fc.double({ min: -5, max: 400, noNaN: true }),
      load: fc.double({ min: -50, max: 2000, noNaN: true }),
      fine: fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: undefined }),
    }),
    { maxLength: 120 },
  );
  const request = { expected: 240, low: 1.6, high: 2.4, from: 0.5, pads: true, contact: 0.5, most: 900 };
  it('never throws, never shows a number that is none, and holds the largest load it took', () => {
    fc.assert(
      fc.property(readings, (all) => {
        const watch = new PressWatch(request);
        let last = Number.NEGATIVE_INFINITY;
        let most = 0;
        let over = false;
        for (const reading of all as WatchedReading[]) {
          watch.take(reading);
          const view = watch.view();
          // A reading whose time does not go forward is left aside; after the break the peak is held.
          if (reading.seconds > last) {
            last = reading.seconds;
            if (!over) most = Math.max(most, reading.load);
          }
          // A press may send −0, which is no other load than 0.
          expect(view.peak + 0).toBe(most);
          over = view.phase === 'broken';
          for (const number of [
            view.load,
            view.expected,
            view.rate ?? 0,
            view.outside ?? 0,
            view.toBand ?? 0,
          ])
            expect(Number.isNaN(number)).toBe(false);
          if (view.outside !== null) {
            expect(view.outside).toBeGreaterThanOrEqual(0);
            expect(view.outside).toBeLessThanOrEqual(100);
          }
        }
      }),
    );
  });
  it('stays broken once it is', () => {
    const watch = new PressWatch(request);
    for (let at = 0; at <= 1200; at += 1) watch.take({ seconds: at / 10, load: (240 * at) / 1200 });
    for (let at = 1; at <= 10; at += 1) watch.take({ seconds: 120 + at / 10, load: 20 });
    expect(watch.view().phase).toBe('broken');
    for (let at = 1; at <= 50; at += 1) watch.take({ seconds: 122 + at / 10, load: 5 * at });
    expect(watch.view()).toMatchObject({ phase: 'broken', peak: 240 });
  });
});
