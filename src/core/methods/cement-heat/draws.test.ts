import { describe, expect, it } from 'vitest';
import type { Shape } from '../../report/drawing';
import { usableInput } from '../validate';
import { cementHeat } from '.';
import { drawsHeat } from './draws';
import { readHeatPicture } from './read-picture';

const { input, setup } = cementHeat.example('SI');
const picture = cementHeat.compute(usableInput(cementHeat, input).input, setup).picture;
const paths = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'path');

describe('the curves of a report', () => {
  const [drawn] = drawsHeat(picture);
  if (!drawn) throw new Error('nothing is drawn');
  const { drawing, notes } = drawn;
  it('lie within their drawing, every one of them', () => {
    for (const shape of drawing.shapes) {
      const spots = shape.kind === 'path' ? shape.through : [shape.at];
      for (const { x, y } of spots) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(drawing.width);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(drawing.height);
      }
    }
  });
  it('are as many as its cells, with a circle at half and at the top of each', () => {
    expect(paths(drawing.shapes).filter(({ stroke }) => stroke !== 'rule')).toHaveLength(2);
    expect(drawing.shapes.filter(({ kind }) => kind === 'circle')).toHaveLength(4);
    expect(drawing.words).toBe('Power of 2 cells over 48 h');
  });
  it('say of what, at which temperature, and from when on heat is added up', () => {
    expect(notes[0]).toContain('mW to a gram of cement over hours since water met cement, at 23 °C');
    expect(notes[0]).toContain('Heat is added up from 45 min on.');
  });
  it('of nothing there are none', () => {
    expect(drawsHeat({ kind: 'cement-heat', values: {} })).toEqual([]);
  });
});

describe('a picture unpacked', () => {
  const cells = readHeatPicture(picture).cells;
  it('has each cell by its own curve and its own heats', () => {
    expect(cells.map(({ name, plain }) => [name, plain])).toEqual([
      ['A', true],
      ['B', true],
    ]);
    for (const { points, told, laid } of cells) {
      expect(points[0]?.[0]).toBeLessThan(0.2);
      expect(points.at(-1)?.[0]).toBeGreaterThanOrEqual(72);
      const [day, two, three, week] = told;
      expect(week).toBeUndefined();
      expect(day).toBeLessThan(two ?? 0);
      expect(two).toBeLessThan(three ?? 0);
      // What is laid over others counts from one hour on: less than from 45 min on.
      expect(laid.heat.get(72)).toBeLessThan(three ?? 0);
      expect(laid.half).toBeLessThan(8);
    }
  });
  it('of another kind of picture is empty, and throws nothing', () => {
    const empty = readHeatPicture({ kind: 'x', values: { cells: null, marks: null } });
    expect([empty.cells, empty.doses, empty.references, empty.chosen]).toEqual([[], [], [], undefined]);
  });
});
