import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { usableInput } from '../../methods';
import type { Facts } from '../../methods/facts';
import { heightFactor } from '../../methods/prism-compression/compute';
import { findMethod } from '../../methods/registry';
import type { RunSetup } from '../../methods/setup';
import { waitsOf } from '../../methods/step-clock';
import { exact } from '../../quantity';
import { Sheet } from '../../working';
import { prism } from '.';
import { byUnits } from './unit-strength';

const limits = new Limits();
const method = (id: string) => findMethod(id) as NonNullable<ReturnType<typeof findMethod>>;
const factor = (ratio: string) => heightFactor(exact(ratio), limits, new Sheet('half-even'));

// ASTM C1314 Table 1 (from memory); between its rows by a straight line.
describe('the factor for height over thickness', () => {
  it.each([
    ['1.3', 0.75],
    ['1.40', 0.805],
    ['1.5', 0.86],
    ['2.0', 1],
    ['2.05', 1.004],
    ['2.75', 1.055],
    ['3.5', 1.11],
    ['3.66667', 1.12333],
    ['4.6', 1.192],
    ['5.0', 1.22],
  ])('at %s is %d', (ratio, expected) => expect(Number(factor(ratio))).toBeCloseTo(expected, 4));
  it('is none outside the table', () => {
    expect(factor('1.25')).toBeUndefined();
    expect(factor('5.11')).toBeUndefined();
  });
});

const FACTS: Facts = {
  masonryStrength: '2000 psi',
  built: 'grouted',
  courses: '2',
  ends: { kind: 'gypsum', batch: 'CB-9', finishedAt: '2031-06-11T06:30:00Z', remarks: [] },
  brokenAt: ['2031-06-11T08:00:00Z'],
};
const base = {
  system: 'US',
  state: 'sound',
  unbaggedAt: '2031-06-09T09:00:00Z',
  testedAt: '2031-06-11T09:00:00Z',
  secondHalf: '84',
  zeroed: true,
};
const computed = (typed: object, facts: Facts = {}, setup: RunSetup = {}) => {
  const { input, errors } = usableInput(method('prism-compression'), { ...base, ...typed });
  expect(errors).toEqual({});
  return method('prism-compression').compute(input, { facts: { ...FACTS, ...facts }, ...setup });
};
const both = (L: string, W: string, height: string, maximumLoad: string) => ({
  lengthTop: L,
  lengthBottom: L,
  widthTop: W,
  widthBottom: W,
  height,
  maximumLoad,
});
const strength = (outcome: ReturnType<typeof computed>) =>
  outcome.results.find(({ quantity }) => quantity === 'masonry strength');
const ids = (outcome: ReturnType<typeof computed>) =>
  outcome.findings.map(({ id, severity }) => `${severity} ${id}`);

// Arithmetic: load over area, times the factor.
describe('the strength of masonry', () => {
  it.each([
    // Grouted half blocks, and clay five courses high: the gross area.
    [both('7.63', '7.62', '15.65', '158,400'), {}, 2736.16, '2740'],
    [both('7.60', '3.60', '13.20', '98,500'), {}, 4044.16, '4040'],
    // A hollow one: the net area of its units.
    [{ ...both('15.62', '7.63', '15.65', '142,300'), netArea: '64.1' }, { built: 'hollow' }, 2229.05, '2230'],
    [{ ...both('15.63', '7.62', '15.60', '136,800'), netArea: '64.1' }, { built: 'hollow' }, 2142.23, '2140'],
  ] as const)('%#', (typed, facts, value, reported) => {
    const found = strength(computed(typed, facts));
    expect(Number(found?.value)).toBeCloseTo(value, 1);
    expect(found?.reported).toBe(reported);
  });
  it('has no result outside the table, and none on a net area that nobody knows', () => {
    const low = computed(both('7.60', '3.60', '4.5', '88,000'));
    expect(strength(low)).toBeUndefined();
    expect(ids(low)).toContain('invalid prism.least');
    expect(ids(computed(both('7.60', '3.60', '18.4', '88,000')))).toContain('invalid prism.most');
    const hollow = computed(both('15.62', '7.63', '15.65', '142,300'), { built: 'hollow' });
    expect(hollow.results).toEqual([]);
    expect(ids(hollow)).toContain('departure prism.net-unknown');
  });
  it.each([
    [{ state: 'cracked' }, 'invalid prism.unsound'],
    [{ unbaggedAt: '2031-06-10T09:00:00Z' }, 'departure prism.unbag'],
    [{ testedAt: '2031-06-11T08:29:00Z' }, 'invalid caps.unit-age'],
  ])('%j: %s', (typed, said) =>
    expect(ids(computed({ ...both('7.63', '7.62', '15.65', '158,400'), ...typed }))).toContain(said),
  );
  it('is broken in its window', () => {
    const specimen = { since: '2031-05-12T09:00:00Z', ageHours: 672 };
    const typed = both('7.63', '7.62', '15.65', '158,400');
    expect(ids(computed(typed, {}, { specimen })).some((id) => /age-/u.test(id))).toBe(true);
    const due = { since: '2031-05-14T09:00:00Z', ageHours: 672 };
    expect(ids(computed(typed, {}, { specimen: due })).some((id) => /age-/u.test(id))).toBe(false);
  });
});

// TMS 602 Table 2 (from memory); between its rows by a straight line, never above the last.
it.each([
  ['2740', 'S', undefined, 2303.8],
  ['2740', 'N', undefined, 2030],
  ['2000', 'M', undefined, 2000],
  ['1999', 'S', undefined, undefined],
  ['9000', 'S', undefined, 3000],
  ['2740', 'S', '3.625', 1958.3],
] as const)('units of %s psi in %s mortar stand for %s', (units, mortar, height, expected) => {
  const found = byUnits(exact(units), mortar, height ? exact(height) : undefined, limits);
  if (expected === undefined) expect(found).toBeUndefined();
  else expect(Number(found)).toBeCloseTo(expected, 0);
});

describe('how prisms are built', () => {
  const build = method('prism-building');
  const facts = { courses: '2', built: 'grouted', unitHeight: '7.625 in', unitThickness: '7.625 in' };
  it('is known before the first course: 15 5/8 in, 2.05 times as high as thick', () => {
    const [height] = build.plan('US', { facts });
    expect(height?.text).toContain('15.62');
    expect(height?.note).toContain('2.05');
    const [flat] = build.plan('US', { facts: { ...facts, unitHeight: '2.25 in' } });
    expect(flat?.note).toContain('no prism of this test');
  });
  it('waits for the grout where it is grouted, and for two days in the bag', () => {
    const { input } = usableInput(build, {
      system: 'US',
      laidAt: '2031-06-05T10:00:00Z',
      closedAt: '2031-06-05T10:20:00Z',
    });
    const waits = (built: string) =>
      waitsOf(build, input, { facts: { ...facts, built } }).map(({ id }) => id);
    expect(waits('grouted')).toEqual(['prism.grout', 'prism.stand']);
    expect(waits('hollow')).toEqual(['prism.stand']);
  });
  it('says what was not as it should be', () => {
    const { input } = usableInput(build, {
      system: 'US',
      units: 'other',
      bagged: 'no',
      laidAt: '2031-06-05T10:00:00Z',
      closedAt: '2031-06-05T10:20:00Z',
      movedAt: '2031-06-07T10:19:00Z',
      joint: '3/4',
    });
    const found = build.compute(input, { facts }).findings.map(({ id }) => id);
    expect(found).toEqual(
      expect.arrayContaining(['prism.units', 'prism.bagged', 'prism.stand', 'prism.joint']),
    );
  });
});

it('prisms are registered with the window of their age', () => {
  const [way] = prism.registers ?? [];
  const told = way?.register(
    { builtAt: '2031-06-05T10:00:00Z', ageDays: '28' },
    { form: 'masonry-prism', system: 'US', limits, sampledAt: 0, sample: {}, madeAt: undefined },
  );
  if (!told?.ok) throw new Error('refused');
  expect(told.value.ageHours).toBe(672);
  expect((told.value.closesAt ?? 0) - (told.value.opensAt ?? 0)).toBe(40 * 3_600_000);
});
