import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cement } from '../materials/cement';
import { findMethod, METHODS } from '../methods/registry';
import { type DayTask, planDay } from './day';
import { busyOf } from './hands';

const task = (id: string, day: DayTask['day']): DayTask => ({ id, title: id.toUpperCase(), day });
const once = (minutes: number, more: Partial<DayTask['day']> = {}) => ({
  hands: [{ from: 0, minutes, what: 'work' }],
  ...more,
});
const startOf = (plan: ReturnType<typeof planDay>, id: string) =>
  plan.tasks.find((each) => each.id === id)?.start;
/** A ring: ten minutes, then a fall of two minutes every quarter of an hour. */
const RING = {
  hands: [
    { from: 0, minutes: 10, what: 'ring' },
    { from: 37, minutes: 2, what: 'fall', every: 15, until: 97 },
  ],
};

describe('stretches of a test', () => {
  it('come again as often as they are to', () => {
    expect(busyOf(RING, 100).map(({ from, to }) => [from, to])).toEqual([
      [100, 110],
      [137, 139],
      [152, 154],
      [167, 169],
      [182, 184],
      [197, 199],
    ]);
  });
});

describe('a day', () => {
  it('of nothing is over at once', () => {
    expect(planDay([])).toEqual({ tasks: [], end: 0, takes: 0 });
  });
  it('begins nothing before what it rests on is done, where that is made on the day', () => {
    const setting = task('b', once(10, { after: ['a'] }));
    const plan = planDay([setting, task('a', once(25))]);
    expect([startOf(plan, 'a'), startOf(plan, 'b')]).toEqual([0, 25]);
    expect(plan.tasks[1]?.because).toBe('after a');
    expect(startOf(planDay([setting]), 'b')).toBe(0);
  });
  it('moves what would fall into a chain that cannot be broken off', () => {
    // Thirty minutes do not fit between falls of a needle: they go between the ring and its first fall, or behind the last.
    const plan = planDay([task('ring', RING), task('cubes', once(30))]);
    // The ring first would have its fall at 37 in cubes begun at 10; begun first they push the ring to their end.
    expect(startOf(plan, 'cubes')).toBe(0);
    expect(startOf(plan, 'ring')).toBe(30);
    expect(plan.tasks[1]?.because).toBe('hands are at cubes');
    // What fits into the wait goes there.
    const short = planDay([task('ring', RING), task('bed', once(12))]);
    expect(short.end).toBe(99);
  });
  it('lets nothing be used by two', () => {
    const mixer = { gear: { what: 'mixer', until: 40 } };
    const plan = planDay([task('a', once(5, mixer)), task('b', once(5, mixer))]);
    expect(plan.tasks.map(({ start }) => start)).toEqual([0, 40]);
    expect(plan.tasks[1]?.because).toBe('the mixer is in use');
  });
  it('adds up what is weighed out', () => {
    expect(planDay([task('a', once(5, { takes: 650 })), task('b', once(5, { takes: 500 }))]).takes).toBe(
      1150,
    );
  });
  it('never wants two hands at once, whatever is asked of it', () => {
    const day = fc.record({
      hands: fc.array(
        fc.record({
          from: fc.integer({ min: 0, max: 60 }),
          minutes: fc.integer({ min: 1, max: 30 }),
          what: fc.constant('work'),
        }),
        { minLength: 1, maxLength: 2 },
      ),
    });
    fc.assert(
      fc.property(fc.array(day, { maxLength: 4 }), (days) => {
        // Stretches of one test that lie over one another are its own matter.
        const plan = planDay(days.map((each, at) => task(`t${at}`, each)));
        expect(plan.tasks).toHaveLength(days.length);
        for (const one of plan.tasks)
          for (const other of plan.tasks)
            if (one.id !== other.id)
              for (const a of one.busy)
                for (const b of other.busy) expect(a.from < b.to && b.from < a.to).toBe(false);
      }),
      { numRuns: 60 },
    );
  });
});

describe('the tests of a cement', () => {
  it.each(['c150.I', 'c595.IL', 'en197.42.5N', 'is269.43'])('of %s fit into one long day', (cementType) => {
    const tasks = (cement.onSample?.({ cementType }) ?? []).flatMap((id): DayTask[] => {
      const { title, day } = findMethod(id) ?? {};
      return title && day ? [{ id, title, day }] : [];
    });
    expect(tasks.length).toBeGreaterThan(6);
    const plan = planDay(tasks);
    expect(plan.tasks).toHaveLength(tasks.length);
    const begun = (id: string) => plan.tasks.find((each) => each.id === id);
    expect(begun('cement-setting')?.start).toBeGreaterThanOrEqual(begun('cement-consistency')?.end ?? 0);
    expect(plan.end).toBeLessThan(10 * 60);
  });
  it('rest on tests that there are', () => {
    for (const { day } of METHODS) for (const id of day?.after ?? []) expect(findMethod(id)).toBeDefined();
  });
});
