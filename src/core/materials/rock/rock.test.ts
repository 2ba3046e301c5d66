import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { saidOf } from '../../material/said';
import { storedOf } from '../../material/stored';
import { findForm, formText } from '../forms';
import { rock } from '.';

const limits = new Limits();
const stored = (type: new () => object, typed: Record<string, unknown>) =>
  storedOf(type as never, typed, 'SI') as {
    ok: boolean;
    value: Record<string, unknown>;
    errors: Record<string, string>;
  };

describe('rock', () => {
  // 20 lumps at a yield of 0.75, 10 pieces of core at 0.85: common practice, no source.
  it.each([
    ['rock-lump', 20, 27],
    ['rock-core', 10, 12],
    ['rock-block', 10, 12],
    // Five cores, ISRM (from memory); none is spare.
    ['rock-cylinder', 5, 5],
  ])('of %s wants %i valid tests and takes %i', (pieces, count, take) => {
    expect(rock.plan?.({ pieces }, { limits, system: 'SI', asked: {} })).toMatchObject({ count, take });
    expect(rock.registers?.[0]?.forms({ pieces }, 'SI', {})).toEqual([pieces]);
    expect(findForm(pieces)).toBeDefined();
  });
  it('is asked for in short, with where its estimate comes from', () => {
    const asked = { expectedStrength: '90 MPa', leastIndex: '2.1 MPa', law: 'own', factor: '21' };
    expect(Object.fromEntries(rock.summary(asked))).toEqual({
      Expected: '90 MPa',
      'Mean index': 'at least 2.1 MPa',
      'Lowest index': '',
      'Estimated strength': '',
      'Mean of cores': '',
      'Lowest core': '',
      'Estimated by': 'K 21',
    });
    expect(Object.fromEntries(rock.summary({ law: 'gb' }))['Estimated by']).toContain('50218');
    expect(Object.fromEntries(rock.summary({}))['Estimated by']).toContain('general');
  });
  it('refuses a factor from nowhere, one beside another law, and a depth upside down', () => {
    expect(rock.problems?.({ factor: '21' })).toHaveProperty('factorFrom');
    expect(rock.problems?.({ factor: '21', factorFrom: 'statement', law: 'gb' })).toHaveProperty('factor');
    expect(rock.problems?.({ factor: '21', factorFrom: 'statement', law: 'own' })).toEqual({});
    expect(rock.lotProblems?.({ depthFrom: '14 m', depthTo: '12 m' })).toHaveProperty('depthTo');
    expect(rock.lotProblems?.({ depthFrom: '12 m', depthTo: '14 m' })).toEqual({});
    expect(rock.lotProblems?.({ depthFrom: null, depthTo: null })).toEqual({});
  });
  it('refuses what cannot be, at its field', () => {
    expect(stored(rock.Asked, { factor: '2300' }).errors.factor).toMatch(/cannot be/u);
    expect(stored(rock.Asked, { leastIndex: '-1' }).errors).toHaveProperty('leastIndex');
    expect(stored(rock.Lot, { source: 'borehole' }).errors).toMatchObject({
      rock: expect.stringContaining('asked for'),
      weathering: expect.anything(),
      moisture: expect.anything(),
    });
  });
  it('says what is known of a lot by the words of its answers', () => {
    const lot = stored(rock.Lot, {
      source: 'borehole',
      depthFrom: '12.6',
      rock: 'granite',
      weathering: 'II',
      moisture: 'saturated',
    });
    expect(saidOf(rock.Lot, lot.value)).toEqual([
      ['Taken from', 'Borehole'],
      ['Depth from', '12.6 m'],
      ['Rock', 'granite'],
      ['Weathering', 'II, slightly: stain on the joints'],
      ['Moisture', 'Saturated'],
    ]);
  });
});

describe('what the groups of a lot say together', () => {
  const group = (direction: string, value: string, quantity = 'point load strength index') => ({
    label: direction,
    about: { direction },
    results: [{ quantity, value, count: 10 }],
    found: {},
    verdicts: [],
    tested: [],
  });
  const across = (...samples: ReturnType<typeof group>[]) =>
    rock.across?.(samples, { mode: 'half-even', system: 'US', limits: new Limits(), asked: {}, tests: [] }) ??
    null;
  // ISRM 1985 (from memory): strength is 15 to 50 times the index.
  it.each([
    ['92.6', '4.12', '22.5', 0],
    ['92.6', '1.70', '54.5', 1],
    ['92.6', '6.30', '14.7', 1],
    ['60', '4', '15.0', 0],
  ])(
    'cores of %s over pieces of %s are %s times as strong, remarks %i',
    (strength, index, times, remarks) => {
      const cores = group('none', strength, 'uniaxial strength');
      const said = across(group('none', index), cores);
      expect(said?.results).toMatchObject([{ quantity: 'strength over index', reported: times }]);
      expect(said?.remarks).toHaveLength(remarks);
      expect(across(cores)).toBeNull();
    },
  );
  // ASTM D5731 (from memory): mean across the planes over mean along one.
  it('is the mean across the planes over that along one', () => {
    expect(across(group('perpendicular', '4.12'), group('parallel', '2.05'))?.results[0]).toMatchObject({
      quantity: 'anisotropy index',
      text: '2.01',
    });
  });
  it('is none while one of the directions is not tested', () => {
    expect(across(group('perpendicular', '4.12'))).toBeNull();
    expect(across(group('none', '4.12'), group('parallel', '2.05'))).toBeNull();
  });
  it('asks whether the directions were swapped where it is below one', () => {
    expect(across(group('perpendicular', '2.05'), group('parallel', '4.12'))?.remarks.join()).toContain(
      'wrong way',
    );
    expect(across(group('perpendicular', '2.05'), group('parallel', '2.05'))?.remarks).toEqual([]);
  });
});

it('a form that there is none of is written as it is', () => {
  expect(formText('4x8')).toBe('4 × 8 in');
  expect(formText('stranger')).toBe('stranger');
});
