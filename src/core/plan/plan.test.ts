import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  apart,
  areaOf,
  contains,
  emptyPlan,
  type FloorPlan,
  fromEdge,
  nearWall,
  type Outline,
  type PlanPoint,
  planProblems,
  proposePoints,
  type Spot,
  sidesOf,
  sizeBy,
  walkingOrder,
  wayLength,
} from '.';

const outline = (...corners: readonly (readonly [number, number])[]): Outline =>
  corners.map(([x, y]) => ({ x, y }));
const ROOM = outline([0, 0], [12, 0], [12, 8], [0, 8]);
const ANGLE = outline([0, 0], [80, 0], [80, 40], [40, 40], [40, 70], [0, 70]);
const rules = { wall: 1, flag: 1, point: 0.3, wallText: '≤ 1 m', flagText: '1 m', pointText: '0.3 m' };

describe('an outline', () => {
  // Shoelace formula: 80 × 40 and 40 × 30.
  it('has the area of what it goes round, either way', () => {
    expect(areaOf(ANGLE)).toBe(4400);
    expect(areaOf(ANGLE.toReversed())).toBe(4400);
    expect(areaOf(outline([0, 0], [1, 1]))).toBe(0);
  });
  it('knows what lies in it, also in the arm of an angle', () => {
    expect(contains(ANGLE, { x: 20, y: 60 })).toBe(true);
    expect(contains(ANGLE, { x: 60, y: 60 })).toBe(false);
    expect(fromEdge(ANGLE, { x: 20, y: 20 })).toBe(20);
    expect(fromEdge([], { x: 1, y: 1 })).toBe(Number.POSITIVE_INFINITY);
  });
  it('is moved and turned with its area', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 6.3, noNaN: true }),
        (by, turn) => {
          const turned = ANGLE.map(({ x, y }) => ({
            x: by + x * Math.cos(turn) - y * Math.sin(turn),
            y: x * Math.sin(turn) + y * Math.cos(turn),
          }));
          expect(areaOf(turned)).toBeCloseTo(4400, 6);
        },
      ),
    );
  });
  it('comes to scale by two places a known way apart', () => {
    const size = sizeBy({ x: 0.1, y: 0.5 }, { x: 0.6, y: 0.5 }, 10, 2);
    expect(size).toEqual({ width: 20, height: 10 });
    expect(sizeBy({ x: 0.1, y: 0.1 }, { x: 0.1, y: 0.6 }, 5, 2)).toEqual({ width: 20, height: 10 });
    expect(sizeBy({ x: 0.1, y: 0.1 }, { x: 0.1, y: 0.1 }, 5, 2)).toBeUndefined();
    expect(sizeBy({ x: 0, y: 0 }, { x: 1, y: 0 }, -5, 2)).toBeUndefined();
  });
});

describe('places that are proposed', () => {
  const about = { corridors: [], taken: [] as Spot[], rules };
  it('stand by each exterior wall first, then as far apart as they can', () => {
    const found = proposePoints({ outline: ROOM, walls: [0, 1] }, 4, about);
    expect(found.map(({ why }) => why)).toEqual([
      'by an exterior wall',
      'by an exterior wall',
      'farthest from the others',
      'farthest from the others',
    ]);
    const sides = sidesOf(ROOM);
    for (const wall of [0, 1])
      expect(
        found.some(({ at }) =>
          nearWall(
            sides[wall] ?? [
              { x: 0, y: 0 },
              { x: 0, y: 0 },
            ],
            at,
            1,
          ),
        ),
      ).toBe(true);
    // Those two are 5 m apart, each other one is farther from all.
    expect(
      Math.min(
        ...found.flatMap(({ at }, place) => found.slice(place + 1).map((other) => apart(at, other.at))),
      ),
    ).toBeGreaterThan(3);
  });
  it('stand at what is flagged before all, beside it where it cannot be drilled, and once only', () => {
    const flag = { what: 'last pour', at: { x: 4, y: 4 } };
    const at = (over: object) =>
      proposePoints({ outline: ROOM, walls: [0] }, 3, { ...about, flags: [flag], ...over });
    expect(at({})[0]).toEqual({ at: flag.at, why: 'last pour' });
    expect(at({ taken: [{ x: 4.5, y: 4 }] }).map(({ why }) => why)).not.toContain('last pour');
    const tube = { what: 'tube', outline: outline([3.7, 0], [4.3, 0], [4.3, 8], [3.7, 8]) };
    const [beside] = at({ corridors: [tube] });
    expect(beside?.why).toBe('last pour');
    expect(apart(beside?.at ?? flag.at, flag.at)).toBeGreaterThan(0.3);
    expect(apart(beside?.at ?? flag.at, flag.at)).toBeLessThanOrEqual(1);
    // One of another zone is no business of this one.
    const other = { what: 'far', at: { x: 40, y: 4 } };
    expect(at({ flags: [other] }).map(({ why }) => why)).not.toContain('far');
  });
  it('need none by a wall that has one', () => {
    const taken = [{ x: 6, y: 0.5 }];
    const found = proposePoints({ outline: ROOM, walls: [0] }, 2, { ...about, taken });
    expect(found.map(({ why }) => why)).toEqual(['farthest from the others', 'farthest from the others']);
  });
  it('never lie in a corridor, outside of the zone or on another, whatever the floor', () => {
    const corner = fc.double({ min: 0.5, max: 30, noNaN: true });
    fc.assert(
      fc.property(
        corner,
        corner,
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (w, h, count, share) => {
          const zone = outline([0, 0], [w, 0], [w, h], [0, h]);
          const corridor = outline(
            [w * share * 0.8, 0],
            [w * share * 0.8 + 0.2 * w, 0],
            [w * share * 0.8 + 0.2 * w, h],
            [w * share * 0.8, h],
          );
          const taken = [{ x: w / 3, y: h / 3 }];
          const found = proposePoints({ outline: zone, walls: [0, 2] }, count, {
            corridors: [{ what: 'tubes', outline: corridor }],
            taken,
            rules,
          });
          expect(found.length).toBeLessThanOrEqual(count);
          for (const [place, { at }] of found.entries()) {
            expect(contains(zone, at)).toBe(true);
            expect(contains(corridor, at)).toBe(false);
            for (const other of [...taken, ...found.slice(place + 1).map((each) => each.at)])
              expect(apart(at, other)).toBeGreaterThanOrEqual(0.3 - 1e-9);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
  it('find as many as are wanted where there is room, quickly on a large floor', () => {
    const hall = outline([0, 0], [300, 0], [300, 200], [0, 200]);
    expect(proposePoints({ outline: hall, walls: [0, 1, 2, 3] }, 60, about)).toHaveLength(60);
    expect(
      proposePoints({ outline: outline([0, 0], [0.4, 0], [0.4, 0.4], [0, 0.4]), walls: [] }, 9, about).length,
    ).toBeLessThan(3);
  });
});

describe('what is wrong with where points lie', () => {
  const plan: FloorPlan = {
    ...emptyPlan(24, 8),
    zones: [
      { sampleId: 'a', outline: ROOM, walls: [0] },
      { sampleId: 'b', outline: ROOM.map(({ x, y }) => ({ x: x + 12, y })), walls: [] },
    ],
    corridors: [{ what: 'tendons', outline: outline([5, 3], [7, 3], [7, 5], [5, 5]) }],
  };
  const wants = [
    { sampleId: 'a', name: 'Zone A', forms: [{ form: 'slab-hole', text: 'Hole', count: 2 }] },
    { sampleId: 'b', name: 'Zone B', forms: [{ form: 'slab-hole', text: 'Hole', count: 1 }] },
  ];
  const point = (label: string, sampleId: string, x: number, y: number): PlanPoint => ({
    label,
    sampleId,
    form: 'slab-hole',
    at: { x, y },
  });
  const good = [point('A-H1', 'a', 6, 0.6), point('A-H2', 'a', 3, 6), point('B-H1', 'b', 18, 4)];
  const said = (points: readonly PlanPoint[], of = plan) =>
    planProblems(of, points, wants, rules).map(({ text }) => text);
  it('says which flag has no point near it', () => {
    const flags = [{ what: 'low spot', at: { x: 6, y: 3 } }];
    const point = (x: number) => ({ label: 'H1', sampleId: 'a', form: 'slab-hole', at: { x, y: 3 } });
    expect(said([point(8)], { ...plan, flags })).toContain('low spot: no point within 1 m.');
    expect(said([point(7)], { ...plan, flags }).join()).not.toContain('low spot');
  });
  it('is nothing where all is well', () => {
    expect(said(good)).toEqual([]);
  });
  it('is a corridor before all else, then a zone that it is not of, then what is too near', () => {
    expect(said([...good, point('A-H3', 'a', 6, 4)])[0]).toContain('A-H3 lies in a corridor: tendons');
    expect(said([...good, point('A-H3', 'a', 18, 2)])[0]).toContain('A-H3 lies in Zone B');
    expect(said([...good, point('A-H3', 'a', 12, 9)])[0]).toContain('outside of every zone');
    expect(said([...good, point('A-H3', 'a', 3.1, 6.1)])[0]).toContain('A-H2 and A-H3 are nearer than 0.3 m');
  });
  it('is a count that is not reached, and a wall without a point', () => {
    expect(said(good.slice(1))).toEqual([
      'Zone A: 1 of 2 placed. Hole',
      'Zone A: 1 exterior wall has no point within ≤ 1 m.',
    ]);
    expect(said([], { ...plan, zones: [] })).toEqual([
      'Zone A has no outline yet.',
      'Zone B has no outline yet.',
    ]);
  });
  it('is nothing of what the proposal of the same plan finds', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 6 }), (count) => {
        const at = (zone: number, many: number) =>
          proposePoints(plan.zones[zone] ?? { outline: [], walls: [] }, many, {
            corridors: plan.corridors,
            taken: [],
            rules,
          });
        const points = [
          ...at(0, count).map((each, place) => point(`A-H${place}`, 'a', each.at.x, each.at.y)),
          ...at(1, 2).map((each, place) => point(`B-H${place}`, 'b', each.at.x, each.at.y)),
        ];
        expect(said(points)).toEqual([]);
      }),
    );
  });
});

describe('a round', () => {
  const at = (x: number, y: number) => ({ at: { x, y }, name: `${x} ${y}` });
  it('goes from one point to the next without crossing itself', () => {
    const order = walkingOrder([at(9, 9), at(1, 0), at(9, 0), at(1, 9)], { x: 0, y: 0 });
    expect(order.map(({ name }) => name)).toEqual(['1 0', '9 0', '9 9', '1 9']);
  });
  it('visits each point once, on a way no longer than as they came', () => {
    const spot = fc.record({
      x: fc.double({ min: 0, max: 30, noNaN: true }),
      y: fc.double({ min: 0, max: 30, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(spot, { maxLength: 12 }), (spots) => {
        const points = spots.map((each) => ({ at: each }));
        const start = { x: 0, y: 0 };
        const order = walkingOrder(points, start);
        expect(new Set(order)).toEqual(new Set(points));
        expect(order).toHaveLength(points.length);
        // Nearest first, then untangled: never longer than the nearest way alone would be by twice.
        expect(wayLength(order, start)).toBeLessThanOrEqual(2 * wayLength(points, start) + 1e-9);
      }),
    );
  });
});
