import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { courseDrawing, courseTable, type ReportCourse } from './course';
import { type Drawing, pathOf, type Shape } from './drawing';
import { planDrawing, type ReportedPlan } from './plan-drawing';

const said = ({ shapes }: Drawing): string[] =>
  shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
const inks = (shapes: readonly Shape[], kind: 'circle' | 'text' | 'path') =>
  shapes.filter((shape) => shape.kind === kind);
const outline = [
  { x: 0, y: 0 },
  { x: 20, y: 0 },
  { x: 20, y: 10 },
  { x: 0, y: 10 },
];
const PLAN: ReportedPlan = {
  width: 20,
  height: 10,
  zones: [{ name: 'Pour A', outline, walls: [0, 1] }],
  corridors: [],
  flags: [],
  points: [
    { label: 'F-1-H1', short: 'H1', at: { x: 5, y: 5 }, value: '83 %', stands: 'holds' },
    { label: 'F-1-H2', short: 'H2', at: { x: 15, y: 5 }, value: '91 %', stands: 'does not hold' },
    { label: 'F-1-E1', short: 'E1', at: { x: 10, y: 2 }, value: null, stands: null },
  ],
  unplaced: [],
  picture: null,
};

describe('a plan in a report', () => {
  const drawing = planDrawing(PLAN, 'SI');
  it('keeps the shape of the floor and fills the width', () => {
    const frame = drawing.shapes.findLast((shape) => shape.kind === 'path' && shape.closed);
    expect(frame?.kind === 'path' ? frame.through[2] : undefined).toEqual({ x: 500, y: 250 });
  });
  it('says zone, labels and what was read, and tells its scale', () =>
    expect(said(drawing)).toEqual(['Pour A', 'H1', '83 %', 'H2', '91 %', 'E1', '2 m']));
  it('tells its scale in feet where the job does', () => {
    // 20 m are 65.6 ft: a sixth of it is 10.9 ft.
    expect(said(planDrawing(PLAN, 'US'))).toContain('10 ft');
  });
  it('crosses what does not hold and leaves what was not read hollow', () => {
    const crossed = drawing.shapes.filter((shape) => shape.kind === 'path' && shape.stroke === 'stop');
    expect(crossed).toHaveLength(2);
    const [holds, fails] = inks(drawing.shapes, 'circle');
    expect(holds).toMatchObject({ fill: 'pass' });
    expect(fails).toMatchObject({ fill: 'stop' });
    // A dish is a square.
    expect(drawing.shapes).toContainEqual(
      expect.objectContaining({ kind: 'path', fill: 'paper', stroke: 'ink' }),
    );
  });
  it('draws exterior walls thick', () =>
    expect(drawing.shapes.filter((shape) => shape.kind === 'path' && shape.width === 3)).toHaveLength(2));
  it('draws nothing from one point to another', () => {
    const without = planDrawing({ ...PLAN, points: [] }, 'SI').shapes.length;
    const one = planDrawing({ ...PLAN, points: PLAN.points.slice(0, 1) }, 'SI').shapes.length;
    const two = planDrawing(
      { ...PLAN, points: [PLAN.points[0], PLAN.points[0]].flatMap((p) => p ?? []) },
      'SI',
    );
    expect(two.shapes.length - one).toBe(one - without);
  });
  it('names a corridor for what it is', () =>
    expect(said(planDrawing({ ...PLAN, corridors: [{ what: 'Tendons', outline }] }, 'SI'))).toContain(
      'Tendons: no hole',
    ));
  it('shows where a test was wanted, and why', () =>
    expect(said(planDrawing({ ...PLAN, flags: [{ what: 'low spot', at: { x: 2, y: 3 } }] }, 'SI'))).toContain(
      'low spot',
    ));
  it('fits every floor on a page', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 900, noNaN: true }),
        fc.double({ min: 0.5, max: 900, noNaN: true }),
        (width, height) => {
          const { width: wide, height: high } = planDrawing({ ...PLAN, width, height, points: [] }, 'SI');
          return wide <= 500.001 && high <= 400.001;
        },
      ),
    ));
});

const DAY = 86_400_000;
const visit = (day: number, value: number, over: object = {}) => ({
  at: new Date(Date.UTC(2031, 2, 1) + day * DAY).toISOString(),
  day: `${day + 1} Mar 31`,
  value,
  text: String(value),
  open: false,
  ...over,
});
const COURSE: ReportCourse = {
  title: 'Humidity in the slab',
  quantity: 'relative humidity',
  unit: '%',
  limit: { value: 85, holds: 'at most' },
  rows: [
    { label: 'F-1-H1', visits: [visit(0, 90), visit(7, 88), visit(14, 84)] },
    { label: 'F-1-H2', visits: [visit(0, 91, { open: true }), visit(14, 84)] },
  ],
};

describe('readings of the same points over time', () => {
  it('stand by point and day; what can still change in brackets, a day without a reading empty', () => {
    const { days, rows, notes } = courseTable(COURSE);
    expect(days).toEqual(['1 Mar 31', '8 Mar 31', '15 Mar 31']);
    expect(rows).toEqual([
      ['F-1-H1', '90', '88', '84'],
      ['F-1-H2', '(91)', '', '84'],
    ]);
    expect(notes).toEqual(['In %, 85 % at most.', 'In brackets: it can still change and decides nothing.']);
  });
  it('show the last seven days of many, and say so', () => {
    const visits = Array.from({ length: 12 }, (_, place) => visit(place, 90 - place));
    const { days, notes } = courseTable({ ...COURSE, rows: [{ label: 'H', visits }] });
    expect(days).toHaveLength(7);
    expect(days.at(-1)).toBe('12 Mar 31');
    expect(notes.join(' ')).toContain('Only the last 7 of 12 days');
  });
  it('are drawn as a line for each point, with its name at the end and the limit named', () => {
    const drawing = courseDrawing(COURSE);
    expect(said(drawing)).toEqual(expect.arrayContaining(['85 % at most', 'H1 84', 'H2 84', '1 Mar 31']));
    const circles = inks(drawing.shapes, 'circle');
    expect(circles).toHaveLength(5);
    expect(circles.filter((shape) => shape.kind === 'circle' && shape.fill === 'paper')).toHaveLength(1);
  });
  it('name points of two zones with their zones', () => {
    const rows = [...COURSE.rows, { label: 'F-2-H1', visits: [visit(0, 70), visit(1, 71)] }];
    expect(said(courseDrawing({ ...COURSE, rows }))).toEqual(
      expect.arrayContaining(['1-H1 84', '2-H1 71', 'H2 84']),
    );
  });
  it('name points that end at one value apart from one another', () => {
    const ends = courseDrawing(COURSE).shapes.flatMap((shape) =>
      shape.kind === 'text' && /^H\d/u.test(shape.text) ? [shape.at.y] : [],
    );
    expect(Math.abs((ends[0] ?? 0) - (ends[1] ?? 0))).toBeGreaterThanOrEqual(9);
  });
  it('lie higher the more was read, and within the drawing, whatever it was', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 100 }), { minLength: 2, maxLength: 9 }),
        fc.option(fc.integer({ min: 40, max: 95 })),
        (values, limit) => {
          const drawing = courseDrawing({
            ...COURSE,
            limit: limit === null ? null : { value: limit, holds: 'at most' },
            rows: [{ label: 'H', visits: values.map((value, place) => visit(place, value)) }],
          });
          const ys = inks(drawing.shapes, 'circle').map((shape) =>
            shape.kind === 'circle' ? shape.at.y : 0,
          );
          return ys.every(
            (y, place) =>
              y >= 0 &&
              y <= drawing.height &&
              ys.every((other, at) => (values[at] ?? 0) <= (values[place] ?? 0) || other <= y),
          );
        },
      ),
    ));
});

it('a path goes through its corners and back where it is closed', () => {
  const through = [
    { x: 0, y: 1.04 },
    { x: 2, y: 3 },
  ];
  expect(pathOf({ kind: 'path', through })).toBe('M0 1L2 3');
  expect(pathOf({ kind: 'path', through, closed: true })).toBe('M0 1L2 3Z');
});
