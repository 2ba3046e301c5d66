import 'reflect-metadata';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { criteriaOf, evaluate } from '../../acceptance';
import { Limits } from '../../limits';
import { floor } from '../../materials/floor';
import { exact } from '../../quantity';
import { type Method, usableInput } from '..';
import type { Facts } from '../facts';
import { findMethod } from '../registry';

const limits = new Limits();
const method = (id: string): Method => findMethod(id) as Method;
const input = (id: string, over: object) => {
  const { input: base } = method(id).example('SI');
  return usableInput(method(id), { ...base, ...over }).input;
};
const setup = (id: string, facts: Facts = {}) => ({ ...method(id).example('SI').setup, facts });
const run = (id: string, over: object, facts?: Facts) =>
  method(id).compute(input(id, over), setup(id, facts));
const found = (id: string, over: object) =>
  run(id, over).findings.map((each) => `${each.severity} ${each.id}`);
type Row = readonly [hour: number, humidity: string];
const readings = (...rows: readonly Row[]) =>
  rows.map(([hour, humidity], at) => ({
    row: `r${at}`,
    at: new Date(Date.parse('2031-03-02T09:30:00-05:00') + hour * 3_600_000).toISOString(),
    humidity,
  }));

describe('a box on the surface', () => {
  const box = (...rows: readonly Row[]) => run('surface-hood', { readings: readings(...rows) });
  // BS 8203: not before 72 h, then until two readings at least 24 h apart agree (from memory).
  it('tells the last of two readings that agree, a day apart, from the third day on', () => {
    expect(box([72, '74.6'], [96, '74.9']).results).toMatchObject([{ text: '75' }]);
    expect(box([72, '74.6'], [96, '74.9']).results[0]).not.toHaveProperty('provisional');
    const moving = box([72, '70'], [96, '72.1']);
    expect(moving.results[0]?.provisional).toContain('come to rest');
    expect(moving.findings.map(({ id }) => id)).toEqual(['hood.agree']);
    // Twenty hours are no day, and what was read before counts for nothing.
    expect(box([76, '74'], [96, '74.2']).results[0]?.provisional).toBeDefined();
    expect(box([48, '74'], [80, '74.2']).results[0]?.provisional).toBeDefined();
    expect(box([48, '74']).results).toEqual([]);
    expect(box([48, '74']).findings.map(({ id }) => id)).toEqual(['hood.agree', 'hood.sealed']);
  });
  it('is read in whatever order it was typed', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([72, 80, 97, 121], { minLength: 4 }), (hours) => {
        const rows = hours.map((hour) => [hour, hour === 121 ? '71.4' : '70.8'] as const);
        expect(box(...rows).results).toMatchObject([{ text: '71' }]);
      }),
    );
  });
  it('is no test with the heating on or air under it, and only a trend without service conditions', () => {
    expect(found('surface-hood', { heating: 'on' })).toEqual(['invalid hood.heated']);
    expect(found('surface-hood', { sealed: false })).toEqual(['invalid hood.seal']);
    expect(found('surface-hood', { heating: 'off', offAt: undefined })).toEqual(['departure hood.heating']);
    const off = (hours: number) => ({
      heating: 'off',
      offAt: new Date(Date.parse('2031-03-02T14:30:00Z') - hours * 3_600_000).toISOString(),
    });
    expect(found('surface-hood', off(95.9))).toEqual(['departure hood.heating']);
    expect(found('surface-hood', off(96))).toEqual([]);
    expect(run('surface-hood', { service: 'off' }).results[0]?.provisional).toContain('service conditions');
  });
  it('waits for its third day, then day by day, until it has come to rest', () => {
    const wait = (...rows: readonly Row[]) =>
      method('surface-hood').waits?.(
        input('surface-hood', { readings: readings(...rows) }),
        setup('surface-hood'),
      )[0];
    const at = (hour: number) => readings([hour, '1'])[0]?.at;
    expect(wait()).toMatchObject({ what: 'Read the box', opens: at(72) });
    expect(wait([72, '70'])?.opens).toBe(at(96));
    expect(wait([72, '70'], [97, '72'])?.opens).toBe(at(121));
    expect(wait([72, '70'], [97, '70.5'])?.done).toBe(at(97));
  });
});

describe('a screed in a bottle with carbide', () => {
  // DIN 18560 (from memory): 1 bar is 1.0 % of 100 g, 2.0 % of 50 g, 5.0 % of 20 g.
  it.each([
    ['100', '1.85', '1.85', '1.8'],
    ['50', '0.93', '1.86', '1.9'],
    ['20', '0.41', '2.05', '2.0'],
  ])('%s g at %s bar', (portion, pressure, exactly, text) => {
    const { results, lines } = run('carbide', { portion, mass: portion, pressure });
    expect(results).toMatchObject([{ quantity: 'carbide moisture', text }]);
    expect(Number(exactly)).toBeCloseTo((Number(pressure) * 100) / Number(portion), 9);
    expect(lines[0]?.formula).toBe('p * 100 / m');
  });
  it('reads any gauge in its own unit', () => {
    expect(run('carbide', { portion: '50', mass: '50', pressure: '0.1 MPa' }).results[0]?.text).toBe('2.0');
  });
  it('is read at ten minutes, of a portion that was weighed, from a bottle that held', () => {
    expect(found('carbide', {})).toEqual([]);
    expect(found('carbide', { readAt: '2031-03-03T10:09:00-05:00' })).toEqual(['departure carbide.time']);
    expect(found('carbide', { readAt: '2031-03-03T10:16:00-05:00' })).toEqual(['departure carbide.time']);
    expect(found('carbide', { mass: '50.2' })).toEqual(['departure carbide.mass']);
    expect(found('carbide', { tight: false })).toEqual(['invalid carbide.leak']);
    expect(found('carbide', { from: 'top' })).toEqual(['invalid carbide.top']);
    expect(found('carbide', { quick: false })).toEqual(['departure carbide.slow']);
  });
  // DIN 18560 and practice (from memory).
  it.each([
    ['cement', 2],
    ['cement-heated', 1.8],
    ['sulfate', 0.5],
    ['sulfate-heated', 0.3],
  ])('of %s may have %d %%, by its maker another', (screed, most) => {
    expect(run('carbide', {}, { screed }).picture.values.allowed).toBe(most);
    expect(run('carbide', {}, { screed, carbideMost: '1.5 percent' }).picture.values.allowed).toBe(1.5);
    expect(run('carbide', {}, {}).picture.values.allowed).toBeNull();
  });
});

describe('a floor that is decided as in another country', () => {
  const judge = (id: string, values: readonly string[], said: string | undefined) =>
    evaluate(
      criteriaOf([id])[0] as NonNullable<ReturnType<typeof criteriaOf>[number]>,
      values.map((value, place) => ({ id: String(place), label: `${place}`, value })),
      {
        ...{ system: 'SI', unit: 'percent', limits, mode: 'half-even', planned: 2 },
        ...{ asked: () => undefined, said: () => said, step: exact('0.1') },
      } as Parameters<typeof evaluate>[2],
    )[0];
  it('holds every box and every sample against the usual limit of its own test', () => {
    expect(judge('surface-hood', ['75', '74'], undefined)).toMatchObject({ state: 'meets', limit: '75' });
    expect(judge('surface-hood', ['76', '70'], undefined)?.state).toBe('does not meet');
    expect(judge('carbide', ['1.8', '1.7'], 'cement-heated')?.state).toBe('meets');
    expect(judge('carbide', ['1.9', '1.7'], 'cement-heated')?.state).toBe('does not meet');
    expect(judge('carbide', ['0.4'], 'sulfate')?.state).toBe('not yet determinable');
  });
  it('wants those points in place of holes, as many, and says that nothing is converted', () => {
    const zone = { area: '198 m2', slab: 'ventilated', top: 'gypsum' };
    const forms = (asked: object) => floor.plannedForms?.({ ...asked }, zone);
    expect(forms({ floor: 'wood', decidedBy: 'carbide' })).toEqual(['screed-sample']);
    expect(forms({ floor: 'wood', decidedBy: 'hood' })).toEqual(['surface-hood']);
    expect(forms({ floor: 'wood' })).toEqual([]);
    const asked = { floor: 'wood', decidedBy: 'carbide' };
    const count = (form: string) => floor.plan?.(zone, { limits, system: 'SI', asked, form }).count;
    expect([count('screed-sample'), count('slab-hole')]).toEqual([4, 4]);
    expect(Object.keys(floor.problems?.({ ...asked, carbideMost: '1.5 percent' }) ?? {})).toEqual([
      'limitFrom',
    ]);
    expect(Object.fromEntries(floor.summary(asked))['Decided by']).toBe('Carbide, DIN 18560');
  });
});

// ASTM F2170 and F1869 are of floor slabs (from memory).
it.each([
  ['wall', 'a wall'],
  ['ceiling', 'a ceiling'],
])('neither hole nor dish says anything of %s', (slab, words) => {
  for (const [id, finding] of [
    ['slab-hole', 'slab.no-slab'],
    ['slab-emission', 'emission.refused'],
  ] as const) {
    const [first] = run(id, {}, { slab }).findings.filter(({ id: found }) => found === finding);
    expect(first).toMatchObject({ severity: 'invalid', message: expect.stringContaining(words) });
    expect(run(id, {}, { slab: 'grade' }).findings.map(({ id: found }) => found)).not.toContain(finding);
  }
});
