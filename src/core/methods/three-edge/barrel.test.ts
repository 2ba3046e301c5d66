import { describe, expect, it } from 'vitest';
import { type BarrelCrack, barrelDrawing, barrelOf, draws, placeUnder } from './barrel';

const CROWN: BarrelCrack = {
  ...{ where: 'crown', says: 'it is not', run: null, next: [] },
  probes: [
    { at: 20, enters: true },
    { at: 23, enters: true },
    { at: 26, enters: false },
    { at: 30, enters: true },
    { at: 36, enters: true },
  ],
};
const drawn = (...cracks: readonly BarrelCrack[]) =>
  barrelDrawing({ long: 96, unit: 'in', gap: 3, cracks }).shapes;
const strokes = (shapes: ReturnType<typeof drawn>, ink: string) =>
  shapes.filter((shape) => shape.kind === 'path' && shape.stroke === ink);

describe('a barrel unrolled', () => {
  it('joins places that are near enough, and not across one where the leaf does not go in', () => {
    const shapes = drawn(CROWN);
    expect(strokes(shapes, 'stop')).toHaveLength(1);
    expect(strokes(shapes, 'warn')).toHaveLength(1);
    expect(shapes.filter(({ kind }) => kind === 'circle')).toHaveLength(5);
  });
  it('puts a bracket over the crack, and arrows where to probe on', () => {
    expect(strokes(drawn({ ...CROWN, run: [20, 36] }), 'stop')).toHaveLength(2);
    const arrows = drawn({ ...CROWN, says: 'probe on', next: [33, 39] }).filter(
      (shape) => shape.kind === 'path' && shape.fill === 'warn',
    );
    expect(arrows).toHaveLength(2);
  });
  it('says in words what it shows', () => {
    expect(barrelDrawing({ long: 96, unit: 'in', gap: 3, cracks: [CROWN] }).words).toBe(
      'Barrel unrolled, 96 in long. crown: 5 probes, it is not',
    );
  });
  it.each([
    [96 / 620, 'in', 96, 0],
    [608 / 620, 'in', 96, 96],
    [(96 + 128) / 620, 'in', 96, 24],
    [(96 + 128) / 620, 'mm', 2440, 600],
    [0.1, 'in', 96, undefined],
    [0.995, 'in', 96, undefined],
  ] as const)('a press %f across, %s of %d, is the place %s', (share, unit, long, place) => {
    expect(placeUnder(share, { long, unit })).toBe(place);
  });
});

describe('in a report', () => {
  const picture = (values: Record<string, string | number | null>) => ({ kind: 'three-edge', values });
  const KNOWN = { overall: 96, unit: 'in', gap: 3 };
  it('each probe stands in words beside it, in the order of the barrel', () => {
    const [own] = draws(picture({ ...KNOWN, cracks: 'invert/34:1 31:1 37:0/it is not//' }));
    expect(own?.notes).toEqual([
      'invert, in from the spigot: the leaf enters at 31, 34, not at 37; it is not.',
    ]);
  });
  it('nothing is drawn of a barrel that was not probed, or is not known', () => {
    expect(draws(picture({ ...KNOWN, cracks: '' }))).toEqual([]);
    expect(barrelOf(picture({ ...KNOWN, overall: null }))).toBeUndefined();
  });
});
