import { describe, expect, it } from 'vitest';
import { combine } from '../../acceptance/combine';
import { Limits } from '../../limits';
import { usableInput } from '../../methods';
import type { Facts } from '../../methods/facts';
import { airRow, batchOf } from '../../methods/mortar-making';
import { findMethod } from '../../methods/registry';
import { waitsOf } from '../../methods/step-clock';
import { exact } from '../../quantity';
import { grout } from '../grout';
import { mortar } from '.';

const limits = new Limits();
const method = (id: string) => findMethod(id) as NonNullable<ReturnType<typeof findMethod>>;
const LAB: Facts = {
  purpose: 'laboratory',
  mortarType: 'S',
  mortarBy: 'property',
  mortarCement: 'lime',
  partsCement: '1',
  partsLime: '0.5',
  partsSand: '4.5',
};
const base = { system: 'US', waterAt: '2031-06-05T09:00:00Z', filledAt: '2031-06-05T09:15:00Z' };
const making = (typed: object, facts: Facts = LAB) => {
  const { input, errors } = usableInput(method('mortar-making'), { ...base, ...typed });
  expect(errors).toEqual({});
  return method('mortar-making').compute(input, { facts });
};
const result = (outcome: ReturnType<typeof making>, quantity: string) =>
  outcome.results.find((each) => each.quantity === quantity)?.reported;
const ids = (outcome: ReturnType<typeof making>) =>
  outcome.findings.map(({ id, severity }) => `${severity} ${id}`);

// ASTM C270 (from memory): the first is the example that its own text works out.
describe('a laboratory batch', () => {
  it.each([
    [
      ['1', '1.25', '6.75'],
      ['251', '133', '1440'],
    ],
    [
      ['1', '0.5', '4.5'],
      ['376', '80', '1440'],
    ],
    [
      ['1', '0.25', '3'],
      ['564', '60', '1440'],
    ],
  ])('of %j parts is %j g', ([partsCement, partsLime, partsSand], grams) => {
    const batch = batchOf({ facts: { partsCement, partsLime, partsSand } as Facts });
    expect([batch?.cement, batch?.lime, batch?.sand].map((each) => each?.toFixed(0))).toEqual(grams);
  });
  it('with more than three and a half parts of sand is told', () => {
    expect(ids(making({}, { ...LAB, partsSand: '5.5' }))).toContain('departure mortar.sand');
    expect(ids(making({}))).not.toContain('departure mortar.sand');
  });
});

const flow = (when: string, d: string) => ({ when, d1: d, d2: d, d3: d, d4: d });
const PARTS = [
  { material: 'cement', mass: '376', density: '3.15' },
  { material: 'lime', mass: '80', density: '2.30' },
  { material: 'sand', mass: '1440', density: '2.65' },
];

// ASTM C1437, C1506, C270 (from memory).
describe('fresh mortar', () => {
  it.each([
    ['8.42', '110.5', false],
    ['8.62', '115.5', true],
  ])('spread to %s in flows %s %%', (diameter, reported, refused) => {
    const outcome = making({ flow: [flow('first', diameter)] });
    expect(result(outcome, 'flow')).toBe(reported);
    expect(ids(outcome).includes('invalid mortar.flow')).toBe(refused);
  });
  it('keeps its water by the share of its flow after suction', () => {
    // 92.0 of 110.5 is 83.26 %, 80.0 is 72.4 %.
    const kept = making({ flow: [flow('first', '8.42'), flow('after', '7.68')] });
    expect(result(kept, 'water retention')).toBe('83.3');
    expect(kept.verdicts.find(({ criterion }) => criterion.startsWith('Water'))?.state).toBe('meets');
    const lost = making({ flow: [flow('first', '8.42'), flow('after', '7.20')] });
    expect(result(lost, 'water retention')).toBe('72.4');
    expect(lost.verdicts.find(({ criterion }) => criterion.startsWith('Water'))?.state).toBe('does not meet');
    expect(ids(making({ flow: [flow('first', '8.40'), flow('after', '8.60')] }))).toContain(
      'invalid mortar.flow-order',
    );
  });
  it('has the air that its cup says', () => {
    const outcome = making({ parts: PARTS, water: '372', inCup: '730' });
    // 2268 / 1069.544 = 2.12053; 100 - 730 / (4 × 2.12053) = 13.94.
    expect(result(outcome, 'air')).toBe('13.9');
    expect(outcome.verdicts.find(({ criterion }) => criterion.startsWith('Air'))?.state).toBe(
      'does not meet',
    );
    expect(ids(making({ parts: PARTS, water: '372', inCup: '73' }))).toContain('advice mortar.air-usual');
    expect(ids(making({ parts: PARTS, water: '372', inCup: '930' }))).toContain('invalid mortar.air-usual');
  });
  it.each([
    [{ mortarType: 'M' }, 'mortar.air-ms'],
    [{ mortarType: 'N' }, 'mortar.air-no'],
    [{ mortarType: 'N', jointSteel: true }, 'mortar.air-steel'],
    [{ mortarType: 'S', mortarCement: 'masonry' }, 'mortar.air-masonry-ms'],
    [{ mortarType: 'O', mortarCement: 'masonry' }, 'mortar.air-masonry-no'],
    [{ mortarType: 'O', mortarCement: 'masonry', jointSteel: true }, 'mortar.air-masonry-steel'],
  ] as const)('the air of %j is held against %s', (facts, row) => {
    expect(airRow({ facts: { ...LAB, ...facts } })).toBe(row);
  });
});

describe('mortar of the wall', () => {
  const field = { ...LAB, purpose: 'field' };
  it('is held against no property, and says why', () => {
    const outcome = making({ flow: [flow('first', '8.9'), flow('after', '7.0')], cone: '62' }, field);
    expect(outcome.verdicts).toEqual([]);
    expect(ids(outcome)).toContain('advice mortar.field');
    expect(ids(outcome)).not.toContain('invalid mortar.flow');
  });
  it('is not older than two and a half hours', () => {
    expect(ids(making({ takenAt: '2031-06-05T11:31:00Z' }, field))).toContain('invalid mortar.use');
    expect(ids(making({ takenAt: '2031-06-05T11:30:00Z' }, field))).not.toContain('invalid mortar.use');
  });
  it('comes out of its moulds after a day, that of the laboratory after two', () => {
    const out = (demouldedAt: string, facts: Facts) => ids(making({ demouldedAt }, facts));
    expect(out('2031-06-06T09:15:00Z', field)).not.toContain('departure mortar.first');
    expect(out('2031-06-06T09:15:00Z', LAB)).toContain('departure mortar.mould');
    expect(out('2031-06-07T13:15:00Z', LAB)).not.toContain('departure mortar.mould');
    expect(out('2031-06-07T13:16:00Z', LAB)).toContain('departure mortar.mould');
    const { input } = usableInput(method('mortar-making'), base);
    expect(waitsOf(method('mortar-making'), input, { facts: LAB })).toMatchObject([
      { opens: '2031-06-07T09:15:00.000Z', closes: '2031-06-07T13:15:00.000Z', lane: 'tank' },
    ]);
  });
});

/** What a set of three says, by what is asked and what is known of its specimens. */
const verdictsOf = (id: string, strengths: readonly string[], known: Record<string, string>) => {
  const { set } = method(id);
  if (!set) throw new Error('no rule');
  return combine(
    set,
    strengths.map((value, place) => ({ label: `S${place}`, value })),
    {
      system: 'US',
      limits,
      mode: 'half-even',
      unit: 'psi',
      asked: (name) => (known[name] ? exact(known[name] as string) : undefined),
      said: (name) => known[name],
    },
  ).verdicts.map(({ criterion, state }) => [criterion, state]);
};

// ASTM C270 Table 2, C476 (from memory).
describe('the strength of a set', () => {
  const lab = { mortarType: 'S', mortarBy: 'property', purpose: 'laboratory' };
  it('of laboratory mortar is held by its type, of the wall never', () => {
    const cubes = ['2065', '2105', '1995'];
    expect(verdictsOf('mortar-cube', cubes, lab)).toEqual([['mortar-strength', 'meets']]);
    expect(verdictsOf('mortar-cube', cubes, { ...lab, mortarType: 'M' })).toEqual([
      ['mortar-strength', 'does not meet'],
    ]);
    expect(verdictsOf('mortar-cube', cubes, { ...lab, purpose: 'field' })).toEqual([]);
    expect(verdictsOf('mortar-cube', cubes, { ...lab, mortarBy: 'proportion' })).toEqual([]);
    // Cubes that came with a sample of concrete.
    expect(verdictsOf('mortar-cube', cubes, {})).toEqual([]);
  });
  it('of grout is held by its specification, and by that of the masonry where it is higher', () => {
    const prisms = ['3218.36', '3063.36', '3381.66'];
    expect(verdictsOf('grout-prism', prisms, { groutKind: 'coarse' })).toEqual([['grout-strength', 'meets']]);
    expect(verdictsOf('grout-prism', prisms, { groutKind: 'coarse', masonryStrength: '3300' })).toEqual([
      ['grout-strength', 'does not meet'],
    ]);
    expect(verdictsOf('grout-prism', ['1978', '1978', '1978'], { groutKind: 'fine' })).toEqual([
      ['grout-strength', 'does not meet'],
    ]);
    expect(verdictsOf('grout-prism', prisms, {})).toEqual([]);
  });
});

// ASTM C1019 (from memory).
describe('grout between its units', () => {
  const make = (typed: object, facts: Facts = { groutKind: 'coarse' }) => {
    const { input, errors } = usableInput(method('grout-making'), { system: 'US', ...typed });
    expect(errors).toEqual({});
    return method('grout-making').compute(input, { facts });
  };
  it.each([
    ['3.00', '1.63'],
    ['3.60', '0.43'],
  ])('a side of %s in wants a plug of %s in', (side, plug) => {
    expect(result(make({ side, unitHeight: '7.63' }), 'plug')).toBe(plug);
  });
  it('says what is not as it should be', () => {
    expect(ids(make({ side: '4.2', unitHeight: '7.63' }))).toContain('invalid grout.low');
    expect(ids(make({ slump: '7' }))).toContain('departure grout.slump');
    expect(ids(make({ filled: 'two' }))).toContain('departure grout.slump-missing');
    expect(ids(make({ filled: 'self' }))).toContain('departure grout.not-self');
    expect(ids(make({ filled: 'self' }, { groutKind: 'self' }))).not.toContain('departure grout.not-self');
    const stood = (strippedAt: string) => ids(make({ coveredAt: '2031-06-05T10:00:00Z', strippedAt }));
    expect(stood('2031-06-06T09:59:00Z')).toContain('departure grout.stand');
    expect(stood('2031-06-07T10:00:00Z')).not.toContain('departure grout.stand');
    expect(stood('2031-06-07T10:01:00Z')).toContain('departure grout.stand');
  });
});

describe('registering', () => {
  const about = { system: 'US', limits, sampledAt: 0, madeAt: undefined } as const;
  const told = { madeAt: '2031-06-05T09:00:00Z', ageDays: '28' };
  it('cubes keep what their sample was made for, and the window of mortar', () => {
    const [way] = mortar.registers ?? [];
    const made = way?.register(told, { ...about, form: 'mortar-2', sample: { purpose: 'field' } });
    if (!made?.ok) throw new Error('refused');
    expect(made.value.about).toMatchObject({ purpose: 'field' });
    expect((made.value.closesAt ?? 0) - (made.value.opensAt ?? 0)).toBe(24 * 3_600_000);
    expect(way?.forms({}, 'US', {})).toEqual(['mortar-2']);
  });
  it('grout prisms have the window of their age', () => {
    const [way] = grout.registers ?? [];
    const made = way?.register(told, { ...about, form: 'prism-3.5', sample: {} });
    if (!made?.ok) throw new Error('refused');
    expect(made.value.about).not.toHaveProperty('purpose');
    expect((made.value.closesAt ?? 0) - (made.value.opensAt ?? 0)).toBe(40 * 3_600_000);
    expect(way?.register(told, { ...about, form: 'brick', sample: {} }).ok).toBe(false);
  });
});
