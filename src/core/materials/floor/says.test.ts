import { describe, expect, it } from 'vitest';
import type { VerdictState } from '../../acceptance/criterion';
import { Limits } from '../../limits';
import type { LotAbout, SampleOfLot } from '../../material/contract';
import { floor } from '.';
import { levelSays, zoneSays } from './says';
import { testsWanted } from './wants';

const names = (asked: object, zone: object): string[] =>
  testsWanted({ ...asked }, { ...zone }).required.map(([method]) => method);

// ASTM F710, F1869 and the practice of coatings (from memory).
describe('which tests a zone wants', () => {
  it('goes by what goes on it', () => {
    const zone = { aggregate: 'normal', top: 'bare' };
    expect(names({ floor: 'resilient' }, zone)).toEqual(['slab-humidity', 'surface-ph']);
    expect(names({ floor: 'resilient', emissionMost: '3' }, zone)).toContain('slab-emission');
    expect(names({ floor: 'resin' }, zone)).toEqual([
      'slab-humidity',
      'surface-ph',
      'surface-profile',
      'pull-off',
    ]);
  });
  it('wants no dish where a dish says nothing, with why, and tells who asked for it', () => {
    for (const zone of [{ aggregate: 'light' }, { top: 'film' }, { top: 'penetrant' }]) {
      const wanted = testsWanted({ floor: 'wood', emissionMost: '3' }, zone);
      expect(wanted.required.map(([method]) => method)).not.toContain('slab-emission');
      expect(wanted.refused[0]).toMatch(/^No dish /u);
      expect(wanted.remarks.join(' ')).toContain('tell who asked');
    }
    expect(testsWanted({ floor: 'wood' }, { top: 'film' }).refused).toHaveLength(2);
  });
  it('leaves gypsum to the maker of the floor, and doubts holes in a thin topping', () => {
    expect(names({ floor: 'resilient' }, { top: 'gypsum' })).toEqual(['surface-ph']);
    expect(testsWanted({ floor: 'wood' }, { top: 'topping' }).remarks.join(' ')).toContain('thin topping');
  });
  // ASTM F2170, F1869 are of slabs; D4263: one sheet for each 10 ft [3 m] of rise (from memory).
  it('refuses holes and dishes in walls and ceilings, where a sheet decides', () => {
    for (const slab of ['wall', 'ceiling']) {
      const wanted = testsWanted({ floor: 'resin', emissionMost: '3' }, { slab, top: 'film' });
      expect(wanted.required.map(([method]) => method)).toEqual([
        'slab-sheet',
        'surface-ph',
        'surface-profile',
        'pull-off',
      ]);
      expect(wanted.refused.join(' ')).toMatch(/^No hole and no dish in a (?:wall|ceiling).*film off/u);
    }
    const wall = { slab: 'wall', area: '40 m2', rise: '8.5 m' };
    const count = (zone: object) =>
      floor.plan?.({ ...zone }, { limits: new Limits(), system: 'SI', asked: {}, form: 'slab-sheet' });
    expect(floor.plannedForms?.({ floor: 'wood' }, wall)).toEqual(['slab-sheet']);
    expect(count(wall)).toMatchObject({ count: 3, why: expect.stringContaining('8.5 m of height') });
    expect(count({ ...wall, rise: '3 m' })?.count).toBe(1);
    expect(count({ ...wall, area: '200 m2' })?.count).toBe(5);
    expect(count({ ...wall, area: '' })?.count).toBe(0);
  });
  it('never turns one measure into another, and never clears a coating by a dry sheet', () => {
    const { remarks } = testsWanted({ floor: 'resin' }, {});
    expect(remarks.join(' ')).toContain('none is turned into another');
    expect(remarks.join(' ')).toContain('never clears a coating');
  });
});

const zone = (
  verdicts: readonly (readonly [method: string, state: VerdictState])[],
  name = 'Zone A',
  tested: readonly string[] = [],
): SampleOfLot => ({
  label: name,
  about: { name, aggregate: 'normal', top: 'bare' },
  results: [],
  found: {},
  verdicts: verdicts.map(([method, state]) => ({ method, state, title: method })),
  tested,
});
const about = (asked: object): LotAbout => ({
  mode: 'half-even',
  system: 'US',
  limits: new Limits(),
  asked: { ...asked },
  tests: [],
});
const stands = (one: SampleOfLot, asked: object = { floor: 'resilient' }) =>
  zoneSays(one, about(asked)).verdict;
const DRY = [
  ['slab-humidity', 'meets'],
  ['surface-ph', 'meets'],
] as const;

describe('how a zone stands', () => {
  it('meets when every test that is wanted does', () => {
    expect(stands(zone(DRY))).toMatchObject({ state: 'meets' });
    expect(stands(zone(DRY), { floor: 'resilient', emissionMost: '3' })).toEqual({
      state: 'not yet determinable',
      sentence: 'Not yet determinable: vapour emission.',
    });
  });
  it('does not meet by one that does not, whatever the others come to', () => {
    const one = stands(
      zone([
        ['slab-emission', 'meets'],
        ['surface-ph', 'meets'],
        ['slab-humidity', 'does not meet'],
      ]),
    );
    expect(one?.state).toBe('does not meet');
    expect(one?.sentence).toContain('humidity in the slab');
    expect(one?.sentence).toContain('does not outweigh it');
  });
  it('is open while one is missing or undecided, and asks the engineer where one does', () => {
    expect(stands(zone([['slab-humidity', 'meets']]))?.sentence).toContain('pH of the surface');
    expect(
      stands(
        zone([
          ['slab-humidity', 'not yet determinable'],
          ['surface-ph', 'meets'],
        ]),
      )?.state,
    ).toBe('not yet determinable');
    expect(
      stands(
        zone([
          ['slab-humidity', 'needs decision'],
          ['surface-ph', 'meets'],
        ]),
      )?.state,
    ).toBe('needs decision');
  });
  it('goes by the sheet where nothing else can be tested', () => {
    const wall = (state: VerdictState): SampleOfLot => {
      const one = zone([
        ['slab-sheet', state],
        ['surface-ph', 'meets'],
      ]);
      return { ...one, about: { ...one.about, slab: 'wall' } };
    };
    expect(stands(wall('meets'))?.state).toBe('meets');
    expect(stands(wall('does not meet'))).toMatchObject({
      state: 'does not meet',
      sentence: expect.stringContaining('plastic sheet'),
    });
  });
  it('asks the engineer where a sheet saw moisture that the rest did not', () => {
    expect(stands(zone([...DRY, ['slab-sheet', 'does not meet']]))?.state).toBe('needs decision');
    // A sheet that stays dry clears nothing.
    expect(stands(zone([['slab-sheet', 'meets']]))?.state).toBe('not yet determinable');
  });
  it('wants a profile and pulls under a resin; a profile of which nothing is asked is only told', () => {
    const resin = { floor: 'resin' };
    const most = [...DRY, ['pull-off', 'meets']] as const;
    expect(stands(zone(most), resin)?.sentence).toContain('profile of the surface');
    expect(stands(zone(most, 'Zone A', ['surface-profile']), resin)?.state).toBe('meets');
  });
  it('says which tests are wanted, which help and which do not', () => {
    const { remarks } = zoneSays(zone(DRY), about({ floor: 'resilient' }));
    expect(remarks[0]).toBe('Wanted: humidity in the slab, pH of the surface; every one has to hold.');
    expect(remarks[1]).toContain('survey by impedance');
  });
});

describe('how a level stands', () => {
  it('is as its worst zone, never a mean over pours', () => {
    const wet = zone([['slab-humidity', 'does not meet']], 'Zone B');
    const open = zone([], 'Zone C');
    const says = levelSays([zone(DRY), wet, open], about({ floor: 'resilient' }));
    expect(says?.verdict).toEqual({
      state: 'does not meet',
      sentence: 'Zone B: does not meet; Zone C: still open; Zone A: meets.',
    });
    expect(levelSays([zone(DRY), open], about({ floor: 'resilient' }))?.verdict?.state).toBe(
      'not yet determinable',
    );
    expect(levelSays([], about({}))).toBeNull();
  });
});

describe('how many of each a zone wants', () => {
  const limits = new Limits();
  const count = (form: string, area: string, asked: object = { floor: 'resin' }) =>
    floor.plan?.({ area, slab: 'ventilated' }, { limits, system: 'US', asked: { ...asked }, form }).count;
  // ASTM D4263: one sheet for each 500 ft² or part of it (from memory).
  it.each([
    ['400 ft2', 1],
    ['1000 ft2', 2],
    ['1001 ft2', 3],
    ['4400 ft2', 9],
    ['12500 ft2', 25],
  ])('%s: %d sheets', (area, sheets) => {
    expect(count('slab-sheet', area)).toBe(sheets);
  });
  it('as many dishes as holes; three pulls for each part of an area, or as many as are asked for', () => {
    expect(count('slab-dish', '4400 ft2')).toBe(7);
    expect(count('dolly', '4400 ft2')).toBe(3);
    expect(count('dolly', '5001 ft2')).toBe(6);
    expect(count('dolly', '4400 ft2', { floor: 'resin', pulls: '5' })).toBe(5);
  });
  it('has a plan for the forms that its tests are made on', () => {
    const forms = (asked: object) => floor.plannedForms?.({ ...asked }, { aggregate: 'normal', top: 'bare' });
    expect(forms({ floor: 'wood' })).toEqual(['slab-hole']);
    expect(forms({ floor: 'resin', emissionMost: '3' })).toEqual(['slab-hole', 'slab-dish', 'dolly']);
  });
});
