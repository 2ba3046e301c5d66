import { describe, expect, it } from 'vitest';
import { combine } from '../../acceptance/combine';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import { usableInput } from '..';
import { boilDay } from '../brick-boil/day';
import { exampleBatch } from '../example-batch';
import type { Facts } from '../facts';
import { firstOpen } from '../opening';
import { findMethod, methodsFor } from '../registry';
import type { RunSetup } from '../setup';
import { waitsOf } from '../step-clock';

const limits = new Limits();
const method = (id: string) => findMethod(id) as NonNullable<ReturnType<typeof findMethod>>;
const computed = (id: string, typed: Record<string, unknown>, setup: RunSetup = {}) => {
  const { input, errors } = usableInput(method(id), { system: 'US', ...typed });
  expect(errors).toEqual({});
  return method(id).compute(input, setup);
};
const result = (outcome: ReturnType<typeof computed>, quantity: string) =>
  outcome.results.find((each) => each.quantity === quantity);
const ids = (outcome: ReturnType<typeof computed>) =>
  outcome.findings.map(({ id, severity }) => `${severity} ${id}`);

// ASTM C67/C67M 7 (from memory): the load over the mean of both gross bearing areas.
describe('the strength of a half', () => {
  const FACTS: Facts = {
    product: 'c216',
    grade: 'sw',
    width: '3.625 in',
    length: '7.625 in',
    cooledAt: '2031-06-10T15:00:00Z',
    ends: { kind: 'sulfur', batch: 'CB-7', finishedAt: '2031-06-11T08:00:00Z', remarks: [] },
    brokenAt: ['2031-06-11T09:00:00Z'],
  };
  const base = {
    state: 'sound',
    recess: 'none',
    lengthTop: '3.79',
    widthTop: '3.61',
    maximumLoad: '78,450',
    secondHalf: '80',
    testedAt: '2031-06-11T10:30:00Z',
    zeroed: true,
  };
  const half = (typed: object = {}, facts: Facts = {}) =>
    computed('brick-compression', { ...base, ...typed }, { facts: { ...FACTS, ...facts } });
  it('is on both faces, and on one only with a remark', () => {
    // 78,450 / (3.79 × 3.61) = 5,733.85; with 3.77 × 3.58 as the other face 5,772.95 psi.
    const one = half();
    expect(Number(result(one, 'compressive strength')?.value)).toBeCloseTo(78_450 / (3.79 * 3.61), 6);
    expect(result(one, 'compressive strength')?.reported).toBe('5730');
    expect(ids(one)).toContain('departure brick.one-face');
    const both = half({ lengthBottom: '3.77', widthBottom: '3.58' });
    expect(result(both, 'compressive strength')?.reported).toBe('5770');
    expect(ids(both)).not.toContain('departure brick.one-face');
  });
  it('is that of a quarter too, which need not be half as long as its brick', () => {
    const quarter = ids(half({ piece: 'quarter', lengthTop: '5.2' }));
    expect(quarter).not.toContain('departure brick.half');
    expect(quarter).not.toContain('invalid brick.quarter');
  });
  it('in SI is the same', () => {
    const si = computed(
      'brick-compression',
      { ...base, system: 'SI', lengthTop: '96', widthTop: '91.5', maximumLoad: '349' },
      { facts: { ...FACTS, width: '92 mm', length: '194 mm' } },
    );
    expect(Number(result(si, 'compressive strength')?.value)).toBeCloseTo(349_000 / (96 * 91.5), 9);
  });
  it.each([
    [{ state: 'damp' }, 'invalid brick.damp'],
    [{ state: 'cracked' }, 'invalid brick.cracked'],
    [{ recess: 'open' }, 'invalid brick.recess'],
    [{ recess: 'filled', filledAt: '2031-06-09T11:00:00Z' }, 'invalid brick.filled'],
    [{ lengthTop: '5.2' }, 'departure brick.half'],
    // 3.8 × 3.61 = 13.7 in².
    [{ piece: 'quarter', lengthTop: '3.8' }, 'invalid brick.quarter'],
    [{ testedAt: '2031-06-11T09:59:00Z' }, 'invalid caps.unit-age'],
    [{ secondHalf: '45' }, 'invalid brick.second-half'],
    [{ secondHalf: '130' }, 'departure brick.second-half'],
  ])('%j: %s', (typed, said) => expect(ids(half(typed))).toContain(said));
  it('is that of a dry brick, capped when it was cool', () => {
    expect(ids(half())).not.toContain('departure brick.drying-unknown');
    expect(ids(half({}, { cooledAt: '2031-06-11T08:30:00Z' }))).toContain('invalid brick.capped-early');
    const { cooledAt: _, ...rest } = FACTS;
    expect(ids(computed('brick-compression', base, { facts: rest }))).toContain(
      'departure brick.drying-unknown',
    );
  });
  it('of the first may be a little fast, and is then said', () => {
    const first = { brokenAt: [] };
    expect(ids(half({ secondHalf: '45' }, first))).toContain('departure unit.second-half-first');
    expect(ids(half({ secondHalf: '20' }, first))).toContain('invalid unit.second-half-first');
  });
  it('is measured against half of its own brick, where that was measured', () => {
    expect(ids(half({}, { ownLength: '9.9 in' }))).toContain('departure brick.half');
  });
});

// ASTM C67/C67M 8 (from memory).
// EN 772-1, IS 3495-1 (from memory): whole bricks on their gross area, without the caps and the drying of ASTM.
describe('the strength of a whole brick', () => {
  const whole = (product: string, typed: object = {}) =>
    computed(
      'brick-compression',
      {
        system: 'SI',
        ...{
          state: 'damp',
          recess: 'none',
          maximumLoad: '410',
          testedAt: '2031-06-11T10:30:00Z',
          zeroed: true,
        },
        ...{ lengthTop: '215', widthTop: '102', lengthBottom: '215', widthBottom: '102' },
        ...typed,
      },
      {
        specimen: { label: 'W', form: 'brick' },
        facts: { product, declared: '10 MPa', width: '102 mm', height: '65 mm', length: '215 mm' },
      },
    );
  it('is on the gross area, wet as it comes from the water', () => {
    const outcome = whole('is1077', { bearing: 'plywood' });
    expect(Number(result(outcome, 'compressive strength')?.value)).toBeCloseTo(410_000 / (215 * 102), 9);
    expect(ids(outcome).filter((id) => /brick|caps|school/u.test(id))).toEqual([]);
    expect(result(outcome, 'normalised strength')).toBeUndefined();
  });
  it('of EN is normalised by its shape and by how wet it was', () => {
    // Between 100 and 150 mm wide: 0.85 − 0.10 × 2 / 50.
    const fb = result(whole('en771-1', { bearing: 'ground', condition: 'wet' }), 'normalised strength');
    expect(Number(fb?.value)).toBeCloseTo((410_000 / (215 * 102)) * 1.2 * 0.846, 9);
    expect(ids(whole('en771-1'))).toEqual(
      expect.arrayContaining(['departure school.bearing', 'departure school.condition']),
    );
  });
  it('is planned on the whole brick', () => {
    const plan = method('brick-compression').plan('SI', {
      specimen: { label: 'W', form: 'brick' },
      facts: { product: 'is1077', declared: '10 MPa', width: '100 mm', length: '200 mm' },
    });
    expect(plan[0]?.text).toBe('20,000 mm²');
    // 14 N/mm² a minute on 20,000 mm² are 4.667 kN a second, set in steps of 0.05.
    expect(plan.at(-1)).toMatchObject({
      text: '4.65 kN/s',
      note: expect.stringContaining('3.97 to 5.37 kN/s'),
    });
  });
});

describe('what a half takes up', () => {
  const half = (dry: string, cold: string, boiled: string, typed: object = {}) =>
    computed(
      'brick-absorption',
      { whole: 'yes', ...typed },
      { facts: { dryMass: `${dry} g`, cold: `${cold} g`, boiled: `${boiled} g` } },
    );
  it.each([
    ['905.5', '991.0', '1024.5', '9.4', '13.1', '0.72'],
    ['912.0', '1000.5', '1033.0', '9.7', '13.3', '0.73'],
    ['928.0', '1019.0', '1036.0', '9.8', '11.6', '0.84'],
  ])('%s, %s and %s g: %s %% cold, %s %% boiled, %s', (dry, cold, boiled, Ac, Ab, SC) => {
    const outcome = half(dry, cold, boiled);
    expect(result(outcome, 'cold absorption')?.reported).toBe(Ac);
    expect(result(outcome, 'boiling absorption')?.reported).toBe(Ab);
    expect(result(outcome, 'saturation coefficient')?.reported).toBe(SC);
  });
  it.each([
    ['905.5', '905.0', '1024.5'],
    ['905.5', '991.0', '900.0'],
    ['905.5', '1030.0', '1024.5'],
  ])('masses that cannot be, %s %s %s, are no test', (dry, cold, boiled) => {
    const outcome = half(dry, cold, boiled);
    expect(ids(outcome)).toContain('invalid brick.mass-order');
    expect(outcome.results).toEqual([]);
  });
  it('a chip lost in the water voids it, an unusual coefficient is looked at', () => {
    expect(ids(half('905.5', '991', '1024.5', { whole: 'chip' }))).toContain('invalid brick.chip');
    expect(ids(half('905.5', '920', '1024.5'))).toContain('advice brick.sat-usual');
  });
  it('the coefficient of a sample is the mean of its coefficients, never the share of two means', () => {
    const masses = [
      ['905.5', '991.0', '1024.5'],
      ['912.0', '1000.5', '1033.0'],
      ['899.0', '985.5', '1019.0'],
      ['908.5', '994.0', '1027.0'],
      ['903.0', '989.5', '1022.5'],
    ] as const;
    const members = masses.map(([dry, cold, boiled], place) => {
      const quantities = Object.fromEntries(
        half(dry, cold, boiled).results.map(({ quantity, value }) => [quantity, value]),
      );
      return { label: `B${place}`, value: quantities['cold absorption'] ?? '', quantities };
    });
    const { set } = method('brick-absorption');
    if (!set) throw new Error('no rule');
    const asked: Record<string, string> = { product: 'c216', grade: 'sw' };
    const { derived, verdicts } = combine(set, members, {
      system: 'US',
      limits,
      mode: 'half-even',
      unit: 'percent',
      asked: () => undefined,
      said: (name) => asked[name],
    });
    // 0.7185, 0.7314, 0.7208, 0.7215 and 0.7238: 0.7232.
    expect(Number(derived?.values['mean saturation'])).toBeCloseTo(0.7232, 4);
    expect(Number(derived?.values['mean boiling absorption'])).toBeCloseTo(13.207, 3);
    expect(verdicts.map(({ criterion, state }) => [criterion, state])).toEqual([
      ['brick-boil-mean', 'meets'],
      ['brick-boil-each', 'meets'],
      ['brick-saturation-mean', 'meets'],
      ['brick-saturation-each', 'meets'],
    ]);
  });
});

const batch = (labels: readonly string[], equipment: Parameters<typeof exampleBatch>[3] = []) =>
  exampleBatch('X-1', labels, 'brick-half', equipment);

describe('the branches of a brick', () => {
  it('has the tests of its role, and none of another', () => {
    const of = (form: string, role: string) => methodsFor({ form, role }).map(({ id }) => id);
    expect(of('brick', 'halves')).toEqual(['brick-size']);
    expect(of('brick', 'whole')).toEqual(['brick-size', 'brick-suction', 'brick-flexure']);
    expect(of('brick-half', 'compression')).toEqual(['brick-compression']);
    expect(of('brick-half', 'absorption')).toEqual(['brick-absorption']);
  });
  it('dries, then cools before it may go on', () => {
    const row = (mass: string, at: string) => ({ specimen: 'H', mass, at });
    const typed = {
      temperature: '235',
      inAt: '2031-05-20T09:00:00Z',
      weighings: [row('912.5', '2031-05-21T09:00:00Z'), row('911.0', '2031-05-21T11:00:00Z')],
      dryAt: '2031-05-21T11:10:00Z',
      cooling: 'room',
    };
    // 1.5 of 912.5 g is 0.164 %: dry.
    expect(result(computed('brick-drying', typed, batch(['H'])), 'oven-dry mass')?.reported).toBe('911.0');
    const cool = (cooledAt: string, cooling = 'room') =>
      ids(computed('brick-drying', { ...typed, cooling, cooledAt }, batch(['H'])));
    expect(cool('2031-05-21T15:09:00Z')).toContain('invalid brick.cool-room');
    expect(cool('2031-05-21T15:10:00Z')).not.toContain('invalid brick.cool-room');
    expect(cool('2031-05-21T13:10:00Z', 'fan')).not.toContain('invalid brick.cool-fan');
    expect(ids(computed('brick-drying', { ...typed, temperature: '225' }, batch(['H'])))).toContain(
      'departure brick.oven',
    );
    const { input } = usableInput(method('brick-drying'), { system: 'US', ...typed });
    expect(waitsOf(method('brick-drying'), input, batch(['H'])).find(({ id }) => id === 'cool')?.opens).toBe(
      '2031-05-21T15:10:00.000Z',
    );
  });
  it('lies in cold water for a day, and is on the balance within five minutes', () => {
    const typed = (outAt: string, out = '40') => ({
      inAt: '2031-05-20T10:00:00Z',
      water: '72',
      outAt,
      halves: [{ specimen: 'H', mass: '991', out, at: outAt }],
      weighedAt: outAt,
    });
    const soaked = (outAt: string, out?: string) =>
      ids(computed('brick-soak', typed(outAt, out), batch(['H'])));
    expect(soaked('2031-05-21T09:20:00Z')).toContain('departure brick.soak');
    expect(soaked('2031-05-21T10:00:00Z')).toEqual([]);
    expect(soaked('2031-05-21T10:40:00Z')).toContain('departure brick.soak');
    expect(soaked('2031-05-21T10:00:00Z', '300')).toEqual([]);
    expect(soaked('2031-05-21T10:00:00Z', '301')).toContain('departure brick.out.H');
  });
  it('boils for five hours, reached within one, and cools by itself for sixteen', () => {
    const typed = (over: object = {}) => ({
      heatAt: '2031-05-20T10:30:00Z',
      boilingAt: '2031-05-20T11:30:00Z',
      boiled: 'through',
      offAt: '2031-05-20T16:30:00Z',
      water: '78',
      outAt: '2031-05-21T08:30:00Z',
      halves: [{ specimen: 'H', mass: '1024.5', at: '2031-05-21T08:32:00Z' }],
      weighedAt: '2031-05-21T08:40:00Z',
      ...over,
    });
    const boil = (over?: object) => ids(computed('brick-boil', typed(over), batch(['H'])));
    expect(boil()).toEqual([]);
    expect(boil({ boilingAt: '2031-05-20T11:31:00Z' })).toContain('departure brick.heat');
    expect(boil({ offAt: '2031-05-20T16:29:00Z' })).toContain('invalid brick.boil');
    expect(boil({ outAt: '2031-05-21T08:29:00Z' })).toContain('invalid brick.cool-water');
    expect(boil({ water: '95' })).toContain('departure brick.water');
    expect(boil({ boiled: 'broken' })).toContain('invalid brick.boil-broken');
  });
});

// Arithmetic on the hours of the laboratory: 07:30 to 16:30 on working days.
describe('what has to fall into opening hours', () => {
  it('a boil: heat on by 10:30, the soak of the day before by 10:15, weighed the next morning', () => {
    expect(boilDay(limits).map(({ text }) => text)).toEqual(['10:30', '10:15', '08:30']);
    const short = new Limits({
      'lab.closes': { status: 'set by the laboratory', both: { high: '13', unit: 'one' } },
    });
    expect(boilDay(short).map(({ text }) => text)).toEqual(['does not fit']);
  });
  // The fourth of June 2031 is a Wednesday.
  it.each([
    ['2031-06-04T18:20:00', '2031-06-05T07:30:00'],
    ['2031-06-04T10:00:00', '2031-06-04T10:00:00'],
    ['2031-06-04T06:00:00', '2031-06-04T07:30:00'],
    ['2031-06-06T17:00:00', '2031-06-09T07:30:00'],
    ['2031-06-07T15:00:00', '2031-06-09T07:30:00'],
  ])('after %s somebody is there at %s', (at, open) => {
    const zone = 'utc';
    expect(firstOpen(Date.parse(`${at}Z`), zone, limits)).toBe(Date.parse(`${open}Z`));
  });
  it('a soak that is over on a Saturday is said when it begins', () => {
    const soak = (inAt: string) =>
      ids(computed('brick-soak', { inAt, water: '72' }, { ...batch(['H']), zone: 'utc' }));
    expect(soak('2031-06-06T10:00:00Z')).toContain('advice lab.closed');
    expect(soak('2031-06-05T10:00:00Z')).not.toContain('advice lab.closed');
    const unit = (inAt: string) =>
      ids(
        computed(
          'unit-soak',
          { inAt, water: '70' },
          { ...exampleBatch('SK', ['U'], 'unit-full', []), zone: 'utc' },
        ),
      );
    // 24 to 28 h: a soak of 15:00 is still weighed between 15:00 and 16:30, one of a Friday is not.
    expect(unit('2031-06-03T15:00:00Z')).not.toContain('advice lab.closed');
    expect(unit('2031-06-06T10:00:00Z')).toContain('advice lab.closed');
  });
});

// ASTM C67/C67M 10 (from memory).
describe('suction', () => {
  const base = {
    state: 'oven',
    length: '7.62',
    width: '3.60',
    depth: '0.125',
    water: '71',
    before: '1816.5',
    contact: '60',
    after: '1838.0',
    testedAt: '2031-05-22T11:00:00Z',
  };
  it.each([
    [{}, '23.5'],
    [{ cores: '5.43' }, '29.3'],
    [{ before: '1802.0', after: '1839.5', length: '7.60', width: '3.58' }, '41.3'],
  ])('with %j is %s', (over, reported) => {
    const outcome = computed('brick-suction', { ...base, ...over });
    expect(result(outcome, 'initial rate of absorption')?.reported).toBe(reported);
  });
  it('is the same in SI', () => {
    const si = computed('brick-suction', {
      ...base,
      system: 'SI',
      length: '193.5',
      width: '91.4',
      depth: '3.2',
      water: '21',
    });
    expect(result(si, 'initial rate of absorption')?.reported).toBe('23.5');
  });
  it.each([
    [{ contact: '63' }, 'invalid brick.suction-time'],
    [{ depth: '0.15' }, 'departure brick.suction-depth'],
    [{ toBalance: '130' }, 'departure brick.suction-weigh'],
    [{ after: '1816.0' }, 'invalid brick.suction-order'],
    [{ cores: '28' }, 'invalid brick.suction-cores'],
    [{ after: '1850' }, 'advice brick.suction-high'],
    [{ after: '1819' }, 'advice brick.suction-low'],
  ])('%j: %s', (over, said) => expect(ids(computed('brick-suction', { ...base, ...over }))).toContain(said));
});

// ASTM C67/C67M 6 (from memory): S = 3 W (l/2 - x) / (b d²).
describe('bending', () => {
  const base = {
    supports: true,
    span: '6.63',
    width: '3.60',
    depth: '2.25',
    testedAt: '2031-05-22T13:00:00Z',
  };
  it.each([
    [{ load: '1430', off: '0.35' }, '698'],
    [{ load: '1430', off: '0' }, '780'],
    [{ load: '1180', depth: '2.24', off: '1.10' }, '434'],
  ])('%j is %s psi', (over, reported) => {
    expect(result(computed('brick-flexure', { ...base, ...over }), 'modulus of rupture')?.reported).toBe(
      reported,
    );
  });
  it.each([
    [{ load: '1180', off: '1.10' }, 'advice brick.off-middle'],
    [{ load: '1180', off: '3.4' }, 'invalid brick.flexure-outside'],
    [{ load: '1430', off: '0.35', time: '40' }, 'departure brick.flexure-rate'],
    [{ load: '1430', off: '0.35', length: '8.1' }, 'advice brick.flexure-span'],
  ])('%j: %s', (over, said) => expect(ids(computed('brick-flexure', { ...base, ...over }))).toContain(said));
});

describe('sizes and voids', () => {
  const facts: Facts = { type: 'fbs', width: '3.625 in', height: '2.25 in', length: '7.625 in' };
  const places = [0, 1, 2, 3].map(() => ({ width: '3.60', height: '2.25', length: '7.62' }));
  it.each([
    ['310', '30.6'],
    ['230', '22.7'],
  ])('%s mL of sand are %s %% of the brick', (sand, reported) => {
    const outcome = computed('brick-size', { places, sand }, { facts });
    expect(result(outcome, 'voids')?.reported).toBe(reported);
  });
  it('says how far each side is off, as it was measured', () => {
    const outcome = computed('brick-size', { places }, { facts });
    expect(Number(result(outcome, 'width variation')?.value)).toBeCloseTo(0.025, 9);
    expect(ids(computed('brick-size', { places, sand: '700' }, { facts }))).toContain('invalid brick.hollow');
  });
  it('are held by the type and the class of the dimension', () => {
    const { set } = method('brick-size');
    if (!set) throw new Error('no rule');
    const values = { 'width variation': '0.1', 'length variation': '0.2', voids: '24.96' };
    const held = (type: string) => {
      const sizes: Record<string, string> = { width: '3.625', height: '2.25', length: '7.625' };
      const { verdicts } = combine(set, [{ label: 'B1', value: '7.62', quantities: values }], {
        system: 'US',
        limits,
        mode: 'half-even',
        unit: 'in',
        asked: (name) => (sizes[name] ? exact(sizes[name] as string) : undefined),
        said: (name) => ({ type, product: 'c216' })[name as 'type'],
      });
      return Object.fromEntries(verdicts.map(({ criterion, state }) => [criterion, state]));
    };
    // FBX: 3/32 in up to 4 in and 5/32 in up to 8 in; FBS: 1/8 and 1/4 in.
    expect(held('fbx')).toMatchObject({
      'brick-width': 'does not meet',
      'brick-length': 'does not meet',
      'brick-voids': 'meets',
    });
    expect(held('fbs')).toMatchObject({ 'brick-width': 'meets', 'brick-length': 'meets' });
  });
});

describe('efflorescence', () => {
  const pair = (seen: string, place: number) => ({ wet: `B${place}`, dry: `D${place}`, seen });
  const compare = (seen: readonly string[], asked = 'none') =>
    computed(
      'brick-efflorescence',
      {
        water: true,
        light: true,
        inAt: '2031-05-20T09:00:00Z',
        outAt: '2031-05-27T09:00:00Z',
        ovenAt: '2031-05-27T09:30:00Z',
        comparedAt: '2031-05-28T10:00:00Z',
        pairs: seen.map(pair),
      },
      { facts: { efflorescence: asked } },
    );
  it('is said of the pairs, and held where it is asked for', () => {
    const five = ['no', 'no', 'no', 'no', 'no'];
    expect(compare(five).verdicts[0]?.state).toBe('meets');
    expect(compare(['yes', ...five.slice(1)]).verdicts[0]).toMatchObject({
      state: 'does not meet',
      sentence: expect.stringContaining('B0'),
    });
    expect(compare(five, 'any').verdicts).toEqual([]);
    expect(ids(compare(five.slice(1)))).toContain('departure brick.white-pairs');
  });
});

// IS 3495-3 and IS 1077 (from memory).
describe('efflorescence by its extent', () => {
  it.each([
    ['10 MPa', 'moderate', 'meets'],
    ['12.5 MPa', 'heavy', 'does not meet'],
    ['15 MPa', 'slight', 'meets'],
    ['15 MPa', 'moderate', 'does not meet'],
  ])('class %s, %s: %s', (declared, extent, state) => {
    const { verdicts } = computed(
      'brick-efflorescence',
      { extent },
      { facts: { product: 'is1077', declared } },
    );
    expect(verdicts.map((each) => each.state)).toEqual([state]);
  });
  it('is asked of IS alone', () => {
    const asks = method('brick-efflorescence').steps.find(({ id }) => id === 'extent')?.when;
    expect([asks?.({ facts: { product: 'is1077' } }), asks?.({ facts: { product: 'c216' } })]).toEqual([
      true,
      false,
    ]);
    const other = computed('brick-efflorescence', { extent: 'heavy' }, { facts: { product: 'c216' } });
    expect(other.verdicts).toEqual([]);
  });
});
