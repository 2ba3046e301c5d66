import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('cement-prisms') as NonNullable<ReturnType<typeof findMethod>>;
const CONTACT = Date.UTC(2031, 8, 12, 13, 40);
const iso = (minutes: number): string => new Date(CONTACT + minutes * 60_000).toISOString();
const broken = (
  kn: readonly number[],
  more: Readonly<Record<string, unknown>> = {},
  cementType = 'en197.42.5N',
) => {
  const { input } = usableInput(method, {
    ...{
      system: 'SI',
      cement: '450',
      sand: '1350',
      water: '225',
      contactAt: iso(0),
      age: '672',
      testedAt: iso(672 * 60),
    },
    halves: kn.map((load, place) => ({ id: `h${place}`, mark: `${place + 1}`, load: String(load) })),
    ...more,
  });
  const done = method.compute(input, { facts: { cementType } });
  return {
    texts: done.results.map(({ text }) => text),
    ids: done.findings.map(({ id }) => id),
    state: done.verdicts[0]?.state,
    waits: method.waits?.(input, {}) ?? [],
    drawn: done.picture.values,
  };
};
const NORMAL = [84.1, 85.6, 86.3, 83.9, 87.2, 85.0];

// EN 196-1 (from memory); loads on 1,600 mm², by hand.
describe('prisms of mortar', () => {
  it.each([
    [NORMAL, '53.3', []],
    [[...NORMAL.slice(0, 5), 77], '52.5', []],
    [[...NORMAL.slice(0, 5), 74], '53.4', ['prisms.off']],
  ])('%j kN: %s MPa', (loads, text, ids) => {
    const told = broken(loads);
    expect(told.texts).toEqual([text]);
    expect(told.ids).toEqual(ids);
    expect(told.state).toBe('meets');
  });
  it('a set of which two lie off is thrown away', () => {
    const told = broken([95, 94, 96, 95, 75, 82.5]);
    expect(told.texts).toEqual([]);
    expect(told.ids).toContain('prisms.off');
    expect(told.state).toBe('not yet determinable');
  });
  it('bent first: 1.5 times load and span over the cube of its side', () => {
    const bent = [{ id: 'b', mark: '1', load: '2850' }];
    expect(broken(NORMAL, { bent }).texts).toEqual(['53.3', '6.7']);
  });
  it.each([
    // 53.3 MPa: over 42.5 and under 62.5.
    ['en197.42.5N', 'meets'],
    ['en197.32.5R', 'does not meet'],
    ['en197.52.5N', 'meets'],
    // Cubes of another school are not compared with prisms.
    ['c150.I', undefined],
  ])('of %s: %s', (type, state) => {
    expect(broken(NORMAL, {}, type).state).toBe(state);
  });
  it('tested outside its age it decides nothing', () => {
    const told = broken(NORMAL, { testedAt: iso(672 * 60 + 500) });
    expect(told.ids).toContain('prisms.age-28d');
    expect(told.state).toBe('not yet determinable');
  });
  it('waits for its age at the press', () => {
    expect(broken([], { age: '48', testedAt: '' }).waits).toMatchObject([
      { lane: 'press', opens: iso(48 * 60 - 30), closes: iso(48 * 60 + 30) },
    ]);
  });
  it.each([
    [{ cement: '460' }, 'prisms.cement'],
    [{ sand: '1300' }, 'prisms.sand'],
    [{ water: '230' }, 'prisms.water'],
    [{ bent: [{ id: 'b', mark: '1', load: '12000' }] }, 'prisms.usual-bend'],
  ])('%j: %s', (more, id) => {
    expect(broken(NORMAL, more).ids).toContain(id);
  });
  it('fewer than six are no set yet', () => {
    const told = broken(NORMAL.slice(0, 4));
    expect(told.ids).toContain('prisms.few');
    expect(told.state).toBe('not yet determinable');
  });
});
