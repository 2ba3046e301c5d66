import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { criteriaOf, evaluate, type Member } from '../../acceptance';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import { floor } from '.';
import { pointsWanted } from './count';
import { shareOut } from './share';

const limits = new Limits();
const wanted = (area: string, system: 'US' | 'SI' = 'US', walls = '0', slab = 'grade') =>
  pointsWanted('holes', [{ area, walls, slab }], 0, limits, system);

describe('how many holes a zone wants', () => {
  // ASTM F2170 (from memory): three for the first 1000 ft² (100 m²), one for each further one or part of it.
  it.each([
    ['400 ft2', 3],
    ['1000 ft2', 3],
    ['1001 ft2', 4],
    ['2000 ft2', 4],
    ['4400 ft2', 7],
    ['12500 ft2', 15],
  ])('%s: %d', (area, count) => {
    expect(wanted(area)?.count).toBe(count);
  });
  it('goes by the walls where those are more, on or below grade only', () => {
    expect(wanted('4400 ft2', 'US', '6')?.count).toBe(7);
    expect(wanted('900 ft2', 'US', '4')).toMatchObject({ count: 5 });
    expect(wanted('900 ft2', 'US', '4')?.why).toContain(
      'one by each of 4 exterior walls and one inside; 3 by 900 ft²',
    );
    expect(wanted('900 ft2', 'US', '4', 'ventilated')?.count).toBe(3);
  });
  it('tells where the other units would ask for more: a thousand square feet are no hundred square metres', () => {
    expect(wanted('95 m2', 'SI')?.count).toBe(3);
    expect(wanted('95 m2', 'SI')?.why).toContain('Counted in ft² it would be 4');
    expect(wanted('95 m2', 'US')?.why).not.toContain('Counted in');
  });
  it('never falls as the area grows, and is nothing without one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60_000 }), fc.integer({ min: 0, max: 4000 }), (area, more) => {
        expect(wanted(`${area + more} ft2`)?.count ?? 0).toBeGreaterThanOrEqual(
          wanted(`${area} ft2`)?.count ?? 0,
        );
      }),
    );
    expect(pointsWanted('holes', [{}], 0, limits, 'US')).toBeUndefined();
    expect(floor.plan?.({}, { limits, system: 'US', asked: {} }).count).toBe(0);
  });
});

describe('points counted for a whole level', () => {
  const hall = [
    { area: '930 ft2', slab: 'grade', walls: '2' },
    { area: '1240 ft2', slab: 'grade', walls: '3' },
    { area: '1080 ft2', slab: 'grade', walls: '1' },
  ];
  const plans = (zones: readonly object[], asked: object = {}, form = 'slab-hole') =>
    zones.map((zone, place) =>
      floor.plan?.(
        { ...zone },
        {
          limits,
          system: 'US',
          asked: { ...asked },
          form,
          among: { samples: zones.map((each) => ({ ...each })), place },
        },
      ),
    );
  const counts = (...of: Parameters<typeof plans>) => plans(...of).map((plan) => plan?.count);
  it('are shared out by area, each by its walls; by zone they are more', () => {
    // 3,250 ft² want 3 + 3 by area, 6 walls and one inside want 7 (ASTM F2170, from memory).
    expect(counts(hall)).toEqual([2, 3, 2]);
    expect(plans(hall)[1]?.why).toBe(
      'of 7 for the level, by its 6 exterior walls; 6 by 3,250 ft², shared out by area, none without.',
    );
    expect(counts(hall, { counted: 'zone' })).toEqual([3, 4, 4]);
    const open = hall.map((zone) => ({ ...zone, walls: '0' }));
    expect(counts(open)).toEqual([2, 2, 2]);
    expect(plans(open)[0]?.why).toContain('of 6 for the 3,250 ft² of the level');
    // One for each 500 ft² of the level, ASTM D4263 (from memory).
    expect(counts(open, {}, 'slab-sheet')).toEqual([2, 3, 2]);
  });
  it('leave out a zone that wants none of them', () => {
    const zones = [...hall.slice(0, 2), { area: '4000 ft2', slab: 'grade', top: 'gypsum' }];
    expect(counts(zones).slice(0, 2)).toEqual(counts(hall.slice(0, 2)));
  });
  it('are as many as the level wants, at least one and as many as walls in each', () => {
    const zone = fc.record({
      area: fc.integer({ min: 1, max: 9000 }),
      least: fc.integer({ min: 0, max: 6 }),
    });
    fc.assert(
      fc.property(fc.array(zone, { minLength: 1, maxLength: 8 }), fc.nat(60), (zones, total) => {
        const parts = zones.map(({ area, least }) => ({ area: exact(area), least }));
        const shares = shareOut(total, parts);
        const all = shares.reduce((sum, each) => sum + each, 0);
        expect(all).toBeGreaterThanOrEqual(Math.max(total, zones.length));
        shares.forEach((share, place) => {
          expect(share).toBeGreaterThanOrEqual(Math.max(1, zones[place]?.least ?? 0));
        });
        const free = shareOut(
          total,
          parts.map((part) => ({ ...part, least: 0 })),
        );
        expect(free.reduce((sum, each) => sum + each, 0)).toBe(Math.max(total, zones.length));
        // The larger zone never gets less.
        free.forEach((share, place) => {
          free.forEach((other, beside) => {
            if ((zones[place]?.area ?? 0) > (zones[beside]?.area ?? 0))
              expect(share).toBeGreaterThanOrEqual(other);
          });
        });
      }),
    );
  });
});

const [criterion] = criteriaOf(['slab-humidity']);
if (!criterion) throw new Error('a criterion for humidity');
const judge = (members: readonly Partial<Member>[], planned = 3, most: string | null = '85') =>
  evaluate(
    criterion,
    members.map((member, place) => ({ id: String(place), label: `H${place + 1}`, value: null, ...member })),
    {
      system: 'US',
      unit: 'percent',
      limits,
      mode: 'half-even',
      planned,
      asked: (name) => (name === 'humidityMost' && most ? exact(most) : undefined),
      said: (name) => (name === 'floor' ? 'resin' : undefined),
      step: exact(1),
    },
  )[0];

describe('what a zone is held against', () => {
  it('is its worst hole, never their mean', () => {
    const zone = ['84.2', '85.3', '82', '86'].map((value) => ({ value }));
    expect(judge(zone)).toMatchObject({ state: 'does not meet', statistic: '86' });
    expect(judge(zone.slice(0, 3))).toMatchObject({ state: 'meets', statistic: '85' });
    expect(judge(zone.slice(0, 3))?.sentence).toContain('Decided by rounding');
  });
  it('gives no verdict with too few, but one above the limit fails all the same', () => {
    expect(judge([{ value: '80' }, { value: '81' }])?.sentence).toBe('Not yet determinable: 2 of 3 tested.');
    expect(judge([{ value: '80' }, { value: '87' }])).toMatchObject({
      state: 'does not meet',
      members: ['1'],
    });
    expect(judge([{ value: '80' }, { value: '82' }, { value: '81' }, {}])?.state).toBe(
      'not yet determinable',
    );
    expect(judge([{ value: '80' }, { value: '88' }, {}])?.state).toBe('does not meet');
  });
  it('takes a fail of a hole that is too shallow and no pass, and the other way round of one too deep', () => {
    const two = [{ value: '80' }, { value: '81' }];
    expect(judge([...two, { value: '84', bound: 'at least' }])?.state).toBe('not yet determinable');
    expect(judge([...two, { value: '88', bound: 'at least' }])?.state).toBe('does not meet');
    expect(judge([...two, { value: '84', bound: 'at most' }])?.state).toBe('meets');
    expect(judge([...two, { value: '88', bound: 'at most' }])?.state).toBe('not yet determinable');
  });
  it('is held against what is allowed less an uncertainty, where that is added', () => {
    const less = (most: string | null, value: string) =>
      evaluate(criterion, [{ id: '1', label: 'H1', value }], {
        ...{ system: 'SI', unit: 'percent', limits, mode: 'half-even', planned: 1 },
        asked: (name: string) =>
          name === 'uncertainty' ? exact(2) : name === 'humidityMost' && most ? exact(most) : undefined,
        ...{ said: () => 'resin', step: exact(1) },
      } as Parameters<typeof evaluate>[2])[0];
    expect([less('85', '83')?.state, less('85', '84')?.state]).toEqual(['meets', 'does not meet']);
    // The usual limit of a resin is 80 %.
    expect([less(null, '78')?.state, less(null, '79')?.state]).toEqual(['meets', 'does not meet']);
    expect(floor.summary({ humidityMost: '85 percent', uncertainty: '2 percent' })[1]?.[1]).toBe(
      '85 %, less 2 %',
    );
  });
  it('decides nothing by a reading for the trend', () => {
    const trend = { value: '92', provisional: 'not at service conditions' };
    expect(judge([{ value: '80' }, { value: '81' }, trend])?.sentence).toContain(
      'H3: not at service conditions',
    );
  });
  it('is the usual limit where the maker of the floor is silent, with where that is from', () => {
    const verdict = judge([{ value: '79' }, { value: '81' }, { value: '80' }], 3, null);
    expect(verdict).toMatchObject({ state: 'does not meet', limit: '80' });
    expect(verdict?.sentence).toContain('SSPC-SP 13');
  });
});

describe('what is asked of a floor', () => {
  it('says whose limit it is, and is known for something else', () => {
    expect(Object.keys(floor.problems?.({ floor: 'resilient', humidityMost: '85 percent' }) ?? {})).toEqual([
      'limitFrom',
    ]);
    expect(Object.keys(floor.problems?.({ floor: 'other' }) ?? {})).toEqual(['humidityMost']);
    expect(Object.keys(floor.problems?.({ floor: 'wood', decidedBy: 'carbide' }) ?? {})).toEqual(['screed']);
    expect(floor.problems?.({ floor: 'other', decidedBy: 'carbide', screed: 'sulfate' })).toEqual({});
    expect(floor.problems?.({ floor: 'other', decidedBy: 'hood' })).toEqual({});
    expect(floor.problems?.({ floor: 'wood' })).toEqual({});
    expect(Object.keys(floor.problems?.({ floor: 'wood', phHigh: '11' }) ?? {})).toEqual(['limitFrom']);
    expect(Object.keys(floor.problems?.({ floor: 'wood', phLow: '9', phHigh: '8' }) ?? {})).toEqual([
      'phHigh',
    ]);
    const said = Object.fromEntries(floor.summary({ floor: 'wood', phLow: '7', phHigh: '11' }));
    expect(said['pH of the surface']).toBe('7 to 11');
  });
});

describe('a zone', () => {
  const at = (day: number): string => `2031-01-${String(day).padStart(2, '0')}T09:00:00Z`;
  it.each([
    [{ pouredAt: at(2), enclosedAt: at(10), dryingFrom: at(12) }, {}],
    [{ pouredAt: at(12), enclosedAt: at(10) }, { enclosedAt: 'Closed in lies before poured.' }],
    [{ enclosedAt: at(10), dryingFrom: at(9) }, { dryingFrom: 'Dries since lies before closed in.' }],
    // Where nobody knows when it was closed in, it is held against the pour.
    [{ pouredAt: at(12), dryingFrom: at(9) }, { dryingFrom: 'Dries since lies before poured.' }],
    [{ dryingFrom: at(9) }, {}],
  ])('as %j says %j', (zone, wrong) => {
    expect(floor.sampleProblems?.(zone, [])).toEqual(wrong);
  });
});
