import { describe, expect, it } from 'vitest';
import { criteriaOf } from '@/core/acceptance/criteria';
import { evaluate } from '@/core/acceptance/evaluate';
import { readRows } from '../../interchange/rows-csv';
import { Limits } from '../../limits';
import { exact, measureIn, parseMeasure, type UnitId, unitOf } from '../../quantity';
import type { Outcome } from '../contract';
import { fieldOf } from '../fields';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { usableInput } from '../validate';

const method = findMethod('three-edge') as NonNullable<ReturnType<typeof findMethod>>;
const limits = new Limits();

/** A class III pipe of 36 in, 8 ft by its joint. */
const PRODUCT = {
  design: 'c76-III',
  span: '36 in',
  wallLetter: 'B',
  joint: 'plain',
  overall: '8 ft',
  mark: 'M-7',
};
const MACHINE = {
  number: 'M',
  kind: 'pipe press',
  verifiedOn: '2031-01-10',
  machine: {
    capacity: '200,000 lbf',
    rams: '2',
    ramArea: '30 in2',
    gaugeDivision: '5 psi',
    gaugeEnd: '1,000 psi',
  },
};
const READ = {
  system: 'US',
  purpose: 'proof',
  turned: 'up',
  cracked: 'none',
  strips: 'wood',
  apart1: '2.5',
  apart3: '2.5',
  boards: 'one',
  beam: 'one',
  machine: 'M',
  ended: 'peak',
  testedAt: '2031-09-16T10:40:00-04:00',
};
const CRACK = [0, 3, 6, 9, 12].map((at) => ({ at: String(at), enters: 'yes', where: 'invert' }));
const CRACK_SI = [0, 75, 150, 225, 300].map((at) => ({ at: String(at), enters: 'yes', where: 'invert' }));

function tested(
  read: Readonly<Record<string, unknown>>,
  facts: RunSetup['facts'] = PRODUCT,
  over: Partial<RunSetup> = {},
): Outcome {
  const { input } = usableInput(method, { ...READ, ...read });
  return method.compute(input, { zone: 'America/New_York', equipment: [MACHINE], facts, ...over });
}
const ids = ({ findings }: Outcome): string[] => findings.map(({ id }) => id);
const line = ({ lines }: Outcome, symbol: string): number =>
  Number(lines.find((each) => each.symbol === symbol)?.value);
const result = ({ results }: Outcome, symbol: string) => results.find((each) => each.symbol === symbol);

/** The verdicts on one pipe by what its product asks for. */
function verdictsOf({ results }: Outcome, product: Readonly<Record<string, string>> = PRODUCT) {
  const asked = (name: string, unit?: UnitId) => {
    const text = product[name];
    if (!text || !unit) return undefined;
    const parsed = parseMeasure(text, unitOf(unit).dimension, unit);
    return parsed.ok ? measureIn(parsed.measure, unit).value : undefined;
  };
  return criteriaOf(['pipe-crack', 'pipe-most', 'pipe-foot']).flatMap((criterion) => {
    const own = results.filter(({ quantity }) => quantity === criterion.quantity);
    const members = own.map(({ value, reported, bound, provisional }) => ({
      id: 'P1',
      label: 'P1',
      value,
      reported,
      ...(bound ? { bound } : {}),
      ...(provisional ? { provisional } : {}),
    }));
    return evaluate(criterion, members, {
      system: 'US',
      unit: 'lbf/ft/ft',
      limits,
      mode: 'half-even',
      asked,
      said: (name) => product[name],
      step: exact(1),
    }).map(({ state }) => `${criterion.id} ${state}`);
  });
}

// ASTM C76 and C497 (from memory): class III has D-loads of 1,350 and 2,000 lbf/ft/ft; arithmetic by hand.
describe('loads and rates of a pipe', () => {
  it('follow from its class, its designated diameter and the length by its joint', () => {
    const done = tested({});
    expect(['Ps', 'Pu', 'Pt', 'r1', 'r2'].map((symbol) => line(done, symbol))).toEqual([
      32_400, 48_000, 24_300, 60_000, 10_800,
    ]);
  });
  it.each([
    // A tongue of 3 in and a bell of 4 in are taken off; a special end goes by its drawing.
    [{ joint: 'tongue', overall: '8.25 ft', jointDepth: '3 in' }, 8],
    [{ joint: 'bell', overall: '8 ft', jointDepth: '4 in' }, 7.666_666_666_666_67],
    [{ joint: 'special', overall: '8.5 ft', testLength: '8.1 ft', testLengthFrom: 'J-4' }, 8.1],
  ])('%j', (joint, length) => {
    expect(line(tested({}, { ...PRODUCT, ...joint }), 'L')).toBeCloseTo(length, 12);
  });
  it('are not known without a joint: nothing is loaded, and it says what is missing', () => {
    const done = tested({}, { ...PRODUCT, joint: 'bell' });
    expect(ids(done)).toContain('teb.product');
    expect(done.results).toEqual([]);
  });
  it.each([
    // An ellipse by its opening from side to side: 60 in where it lies, 38 in where it stands.
    ['c507-HE-III', '60 in', '38 in', 54_000],
    ['c507-VE-III', '38 in', '60 in', 34_200],
    ['c506-A-III', '43.75 in', '26.625 in', 39_375],
  ])('%s of %s', (design, span, rise, load) => {
    expect(line(tested({}, { ...PRODUCT, design, span, rise }), 'Ps')).toBeCloseTo(load, 6);
  });
  it('of C655 the ultimate D-load follows from the one that is ordered', () => {
    const most = (crackLoad: string): number =>
      line(tested({}, { ...PRODUCT, design: 'c655', crackLoad: `${crackLoad} lbf/ft/ft` }), 'Pu') / 24;
    expect(['2000', '2500', '3000', '1350'].map(most)).toEqual([3000, 3437.5, 3750, 2025]);
  });
  it('of pipe that is not reinforced goes by its end alone', () => {
    const plain = { design: 'c14-2', span: '12 in', joint: 'plain', overall: '4 ft' };
    const done = tested({ purpose: 'most', most: '9,200', apart1: '1', apart3: '1' }, plain);
    expect(['Pu', 'Pt', 'r1', 'r2'].map((symbol) => line(done, symbol))).toEqual([9000, 6750, 30_000, 3000]);
    expect(result(done, 'w')?.text).toBe('2,300');
    expect(verdictsOf(done, plain)).toEqual(['pipe-foot meets']);
  });
  it('of plain pipe a rate that was too fast leans its end, whatever it was tested for', () => {
    const plain = { design: 'c14-2', span: '12 in', joint: 'plain', overall: '4 ft' };
    const log = [
      { seconds: '0', load: '0' },
      { seconds: '20', load: '6,750' },
      { seconds: '40', load: '9,000' },
    ];
    for (const purpose of ['most', 'proof']) {
      const done = tested({ purpose, most: '9,200', apart1: '1', apart3: '1', log }, plain);
      // 2,250 lbf in 20 s are 6,750 a minute, 3,000 are allowed.
      expect(ids(done)).toContain('teb.second-rate');
      expect(result(done, 'w')?.bound).toBe('at most');
      expect(ids(done).includes('teb.purpose')).toBe(purpose === 'proof');
    }
  });
  it('of a class in SI is its own, never one converted', () => {
    const facts = { design: 'c76-III', span: '900 mm', joint: 'plain', overall: '2.44 m' };
    const done = tested({ system: 'SI', apart1: '70', apart3: '70' }, facts);
    expect(line(done, 'Ps')).toBeCloseTo(142.74, 6);
    expect(line(done, 'r2')).toBeCloseTo(47.58, 6);
    expect(line(done, 'r1')).toBeCloseTo(266.936, 6);
  });
  it('are told in what each gauge shows: stops rounded up, rates down', () => {
    const setup = {
      facts: PRODUCT,
      equipment: [{ ...MACHINE, machine: { ...MACHINE.machine, beamWeight: '450 lbf' } }],
    };
    const gauge = method.plan('US', setup).find(({ label }) => label === 'Gauge of M');
    expect(gauge?.text).toBe('400 psi, then 535 psi; ultimate 795 psi');
    expect(gauge?.note).toContain('1,000 psi/min, then 180 psi/min');
    const worn = { ...MACHINE.machine, beamWeight: '450 lbf', ramFactor: '0.97' };
    expect(
      method
        .plan('US', { ...setup, equipment: [{ ...MACHINE, machine: worn }] })
        .find(({ label }) => label.startsWith('Gauge'))?.text,
    ).toContain('then 550 psi');
  });
});

// ASTM C497 (from memory); what a verdict takes is unrounded.
describe('a pipe that is tested', () => {
  it('has the D-load of the last load without the crack, and of its end', () => {
    const done = tested({ sound: '34,150', opened: '34,900', most: '51,920', probes: CRACK });
    expect(result(done, 'Dc')).toMatchObject({ text: '1,423' });
    expect(result(done, 'Dm')).toMatchObject({ text: '2,163' });
    expect(Number(result(done, 'Dc')?.value)).toBeCloseTo(1422.917, 3);
    expect(line(done, 'Lc')).toBe(12);
    expect(verdictsOf(done)).toEqual(['pipe-crack meets', 'pipe-most meets']);
    expect(done.picture.values.judged).toBe('2031-09-16/M-7/meets//proof');
  });
  it.each([
    ['31,900', 'does not meet'],
    ['32,390', 'does not meet'],
    // Equal is enough.
    ['32,400', 'meets'],
  ])('held %s lbf before it was the crack: it %s', (sound, state) => {
    const done = tested({ sound, opened: '33,500', most: '50,000', probes: CRACK });
    expect(verdictsOf(done)[0]).toBe(`pipe-crack ${state}`);
  });
  it('adds the beam once, and takes a pressure by its rams', () => {
    const done = tested({ weighs: '450', soundPressure: '535', mostPressure: '800' });
    // 535 psi on twice 30 in², and the beam.
    expect(line(done, 'P0')).toBe(32_550);
    expect(line(done, 'Pm')).toBe(48_450);
    expect(line(tested({ weighs: '450', sound: '32,000' }), 'P0')).toBe(32_450);
  });
  it('that is only proved is known to bear at least so much', () => {
    const done = tested({ purpose: 'crack', sound: '32,400', ended: 'stopped' });
    expect(result(done, 'Dc')).toMatchObject({ bound: 'at least', text: '≥ 1,350' });
    expect(result(done, 'Dm')).toBeUndefined();
    expect(verdictsOf(done)).toEqual(['pipe-crack meets']);
    const both = tested({ purpose: 'both', sound: '32,400', most: '48,000', ended: 'stopped' });
    expect(verdictsOf(both)).toEqual(['pipe-crack meets', 'pipe-most meets']);
    expect(
      tested({ purpose: 'both', sound: '32,400', most: '47,000', ended: 'noise' }).picture.values.judged,
    ).toBe('2031-09-16/M-7/open//both');
  });
  it('that was loaded too fast can fail, and never passes', () => {
    const fast = (sound: string) =>
      tested({
        ...{ sound, opened: '34,900', most: '51,920', probes: CRACK },
        log: [
          { seconds: '0', load: '0' },
          { seconds: '60', load: '24,300' },
          { seconds: '100', load: '32,400' },
        ],
      });
    expect(ids(fast('34,150'))).toContain('teb.second-rate');
    expect(verdictsOf(fast('34,150'))[0]).toBe('pipe-crack not yet determinable');
    expect(fast('34,150').picture.values.judged).toBe('2031-09-16/M-7/again//proof');
    expect(verdictsOf(fast('31,900'))[0]).toBe('pipe-crack does not meet');
    expect(fast('31,900').picture.values.judged).toBe('2031-09-16/M-7/fails//proof');
  });
  it('is not decided while the probes cannot tell: it says where to probe on', () => {
    const probes = [0, 4, 8, 12].map((at) => ({ at: String(at), enters: 'yes', where: 'crown' }));
    const done = tested({ purpose: 'crack', sound: '32,400', probes, ended: 'stopped' });
    expect(done.findings.find(({ id }) => id === 'teb.probe-gap')?.action).toContain('2 in, 6 in, 10 in');
    expect(verdictsOf(done)).toEqual(['pipe-crack not yet determinable']);
  });
  it('probes of two cracks are never one run', () => {
    const probes = CRACK.map((probe, place) => ({ ...probe, where: place < 3 ? 'invert' : 'crown' }));
    expect(tested({ probes }).picture.values.says).toBe('it is not');
  });
  it('first probed when it was the crack already bears no more than that', () => {
    const done = tested({ opened: '33,000', most: '50,000', probes: CRACK });
    expect(result(done, 'Dc')?.bound).toBe('at most');
  });
});

describe('what forbids a test of a pipe', () => {
  it.each([
    [{ apart1: '3.25' }, 'teb.strip'],
    [{ apart1: '0.75' }, 'teb.strip'],
    [{ strips: 'rubber', hardness1: '44' }, 'teb.rubber'],
    [{ strips: 'rubber', hardness1: '61', hardness2: '63', hardness3: '40' }, 'teb.rubber'],
    [{ boards: 'stacked' }, 'teb.stacked'],
    [{ beam: 'several' }, 'teb.timbers'],
    [{ turned: 'turned' }, 'teb.turned'],
    [{ cracked: 'open' }, 'teb.precracked'],
    [{ sound: '34,000', opened: '33,000' }, 'teb.order'],
  ])('%j', (read, id) => {
    const done = tested(read);
    expect(done.findings.find((each) => each.id === id)?.severity).toBe('invalid');
    expect(done.picture.values.judged ?? null).toBeNull();
  });
  it('an elliptical cage has a top', () => {
    expect(ids(tested({ turned: 'none' }, { ...PRODUCT, cage: 'elliptical' }))).toContain('teb.turned');
    expect(ids(tested({ turned: 'none' }, { ...PRODUCT, cage: 'circular' }))).not.toContain('teb.turned');
  });
  it('rubber in the range, and three places of which the middle one counts', () => {
    for (const hardness1 of ['45', '60'])
      expect(ids(tested({ strips: 'rubber', hardness1 }))).not.toContain('teb.rubber');
    expect(
      ids(tested({ strips: 'rubber', hardness1: '43', hardness2: '50', hardness3: '52' })),
    ).not.toContain('teb.rubber');
  });
  it('a machine that is overdue, or has not a fifth to spare', () => {
    expect(
      tested({}, PRODUCT, { equipment: [{ ...MACHINE, verifiedOn: '2029-01-10' }] }).findings.find(
        ({ id }) => id === 'equipment.overdue',
      )?.severity,
    ).toBe('invalid');
    const small = { ...MACHINE, machine: { capacity: '55,000 lbf' } };
    expect(ids(tested({}, PRODUCT, { equipment: [small] }))).toContain('teb.spare');
    expect(ids(tested({ purpose: 'crack' }, PRODUCT, { equipment: [small] }))).not.toContain('teb.spare');
  });
  it('a beam of 12 by 16 in is stiff enough under 48,000 lbf, one of 10 by 12 in is not', () => {
    const beam = (beamWide: string, beamHigh: string) =>
      tested({ beamOf: 'wood', beamWide, beamHigh }, PRODUCT, {
        equipment: [{ ...MACHINE, machine: { capacity: '200,000 lbf' } }],
      });
    // 48,000 · 96³ / (128 · 1.6e6 · 4,096), by hand; 96/720 = 0.133 in.
    expect(line(beam('12', '16'), 'y')).toBeCloseTo(0.050_625, 6);
    expect(ids(beam('12', '16'))).not.toContain('teb.sag');
    expect(line(beam('10', '12'), 'y')).toBeCloseTo(0.144, 6);
    expect(ids(beam('10', '12'))).toContain('teb.sag');
  });
});

// ASTM C76 (from memory): 1/8 in a foot short, no more than 1/2 in; sides of 42 in 0.4375 in apart.
describe('sizes of a pipe', () => {
  const size = (facts: object, read: Record<string, unknown>): string[] =>
    ids(tested(read, { ...PRODUCT, ...facts })).filter((id) => id.startsWith('pipe.'));
  it.each([
    [{ span: '18 in' }, { bore1: '17.66' }, ['pipe.bore-small']],
    [{ span: '18 in' }, { bore1: '17.69' }, []],
    [{}, { bore1: '36.375' }, []],
    [{}, { bore1: '36.4' }, ['pipe.bore-small']],
    [{}, { walls: [{ wall: '3.80' }] }, []],
    [{}, { walls: [{ wall: '4.5' }, { wall: '3.75' }] }, ['pipe.wall']],
    [{}, { side1: '7\' 11 1/2"', side2: '7\' 11 1/2"' }, []],
    [{}, { side1: '7.95', side2: '7.95' }, ['pipe.short-foot']],
    [{ span: '42 in' }, { side1: '8 ft', side2: '8.033 ft' }, []],
    [{ span: '42 in' }, { side1: '8 ft', side2: '8.04 ft' }, ['pipe.sides-foot']],
  ])('%j %j: %j', (facts, read, found) => {
    expect(size(facts, read)).toEqual(found);
  });
});

it('a record of a recorder is held by its slope over some seconds', () => {
  const trace = (second: number): string =>
    Array.from({ length: 260 }, (_, place) => {
      const at = place * 0.5;
      const load = at <= 48.6 ? at * 500 : Math.min(32_400, 24_300 + (at - 48.6) * (second / 60));
      return `${at} ${load.toFixed(0)}`;
    }).join('\n');
  expect(ids(tested({ trace: trace(10_800) }))).not.toContain('teb.second-rate');
  expect(ids(tested({ trace: trace(11_200) }))).not.toContain('teb.second-rate');
  expect(ids(tested({ trace: trace(12_000) }))).toContain('teb.second-rate');
  expect(ids(tested({ trace: 'no numbers here' }))).toContain('teb.trace');
});

// The files that a plant keeps: places with yes and no, seconds with a load or a pressure.
it.each([
  [
    'probes',
    'x_in,yes\n31,yes\n34,no',
    [
      { at: '31 in', enters: 'yes' },
      { at: '34 in', enters: 'no' },
    ],
  ],
  [
    'log',
    't_s,P_lbf\n0,0\n30,15000',
    [
      { seconds: '0 s', load: '0 lbf' },
      { seconds: '30 s', load: '15000 lbf' },
    ],
  ],
  [
    'log',
    't_s,p_psi\n0,0\n30,260',
    [
      { seconds: '0 s', pressure: '0 psi' },
      { seconds: '30 s', pressure: '260 psi' },
    ],
  ],
])('%s come from a file: %j', (name, text, rows) => {
  const field = fieldOf(method.Input, name);
  if (field?.kind !== 'rows') throw new Error(name);
  const read = readRows(text, field, { system: 'US', zone: 'utc', now: 0 });
  expect(read.rows.map(({ cells }) => cells)).toEqual(rows);
});

// Our own choices for hold, slips and gauge; what they mean in words.
describe('what is asked again', () => {
  it.each([
    [{ held: '45' }, 'teb.hold'],
    [{ held: '900' }, 'teb.hold-long'],
    [{ sank: '31,600' }, 'teb.drift'],
    [{ sound: '70,000' }, 'teb.factor'],
    [{ most: '120,000' }, 'teb.factor'],
    [{ weighs: '4,000' }, 'teb.weighs'],
    [{ off1: '0.5' }, 'teb.offset'],
    [{ apart1: '2', apart3: '2.5' }, 'teb.strip-ends'],
    [{ strips: 'rubber' }, 'teb.rubber'],
    [{ straight: 'false' }, 'teb.straight'],
    [{ surface: 'false' }, 'teb.surface'],
    [{ clear: 'false' }, 'teb.clear'],
    [{ holes: 'near' }, 'teb.holes'],
    [{ ended: 'noise' }, 'teb.noise'],
    [{ hairline: '36,000', opened: '35,000', sound: '34,000' }, 'teb.order'],
    [{ most: '30,000', sound: '34,000' }, 'teb.order'],
    [{ opened: '35,000', sound: '34,000' }, 'teb.unprobed'],
    [{ probes: CRACK, sound: '34,000' }, 'teb.opened'],
    [{ probes: CRACK.slice(0, 3), opened: '35,000', sound: '34,000' }, 'teb.probes'],
    [{ sound: '31,000', opened: '31,900', probes: CRACK }, 'teb.early'],
    [{ sound: '32,600', opened: '33,900', probes: CRACK }, 'teb.near'],
  ])('%j: %s', (read, id) => {
    expect(ids(tested(read))).toContain(id);
  });
  it('nothing of a test that is in order', () => {
    const good = {
      ...{ held: '75', sank: '32,100', sound: '34,150', opened: '34,900', most: '51,920', probes: CRACK },
      ...{
        hairline: '28,000',
        weighs: '450',
        off1: '0.125',
        straight: 'true',
        surface: 'true',
        clear: 'true',
      },
    };
    expect(ids(tested(good))).toEqual([]);
  });
  it('a gauge is read between a tenth and nine tenths of it, and by marks that are fine enough', () => {
    const gauge = (gaugeEnd: string, gaugeDivision: string) =>
      ids(
        tested({}, PRODUCT, {
          equipment: [{ ...MACHINE, machine: { ...MACHINE.machine, gaugeEnd, gaugeDivision } }],
        }),
      ).filter((id) => id === 'teb.scale' || id === 'teb.division');
    // 540 and 800 psi on two rams of 30 in².
    expect(gauge('1,000 psi', '5 psi')).toEqual([]);
    expect(gauge('850 psi', '5 psi')).toEqual(['teb.scale']);
    expect(gauge('6,000 psi', '5 psi')).toEqual(['teb.scale']);
    expect(gauge('1,000 psi', '10 psi')).toEqual(['teb.division']);
  });
  it('a machine that shows the load itself has no gauge to be doubted', () => {
    const digital = { ...MACHINE.machine, indicator: 'digital' as const, gaugeEnd: '6,000 psi' };
    expect(ids(tested({}, PRODUCT, { equipment: [{ ...MACHINE, machine: digital }] }))).not.toContain(
      'teb.scale',
    );
  });
});

// ASTM C76M and C497M (from memory): 0.3 mm over 300 mm, probes no more than 75 mm apart; products by hand.
describe('a pipe in SI', () => {
  const facts = { design: 'c76-IV', span: '600 mm', joint: 'plain', overall: '2.5 m', wall: '75 mm' };
  const read = {
    ...{ system: 'SI', apart1: '45', apart3: '45', sound: '160', opened: '168', most: '236' },
    probes: [500, 575, 650, 725, 800].map((at) => ({ at: String(at), enters: 'yes', where: 'crown' })),
  };
  it('has its D-loads in N/m/mm', () => {
    const done = tested(read, facts);
    // 100 N/m/mm · 600 mm · 2.5 m.
    expect(line(done, 'Ps')).toBeCloseTo(150, 9);
    expect(result(done, 'Dc')).toMatchObject({ text: '106.7', unit: 'N/m/mm' });
    expect(result(done, 'Dm')).toMatchObject({ text: '157.3' });
    expect(done.picture.values.says).toBe('it is the crack');
  });
  it('cannot tell a crack by probes 80 mm apart', () => {
    const probes = [500, 580, 660, 740, 820].map((at) => ({ at: String(at), enters: 'yes', where: 'crown' }));
    expect(ids(tested({ ...read, probes }, facts))).toContain('teb.probe-gap');
  });
  it('its strips go by the metre: 83 mm for it, and never under 25 mm', () => {
    // 0.6 m · 83 mm: 49.8.
    expect(ids(tested({ ...read, apart1: '50' }, facts))).toContain('teb.strip');
    expect(ids(tested({ ...read, apart1: '24', apart3: '24' }, facts))).toContain('teb.strip');
    expect(ids(tested(read, facts))).not.toContain('teb.strip');
  });
});

it('of pipe without loads nothing is drawn or judged, and everything else is told all the same', () => {
  const done = tested({ sound: '30,000', boards: 'stacked' }, {});
  expect(ids(done)).toEqual(expect.arrayContaining(['teb.product', 'teb.stacked']));
  expect(done.picture.values).toMatchObject({ design: null, judged: null });
  expect(method.plan('US', { facts: {} })).toMatchObject([{ label: 'Loads', text: 'not known yet' }]);
});

// EN 1916 (from memory): class 135 at 600 mm bears 81 kN/m, looked at for its crack at 67 % of that, at one rate throughout.
describe('a pipe by loads on a metre', () => {
  const EN = {
    design: 'en1916',
    classNumber: '135',
    span: '600 mm',
    joint: 'plain',
    overall: '2.5 m',
    mark: 'E-1',
  };
  const METRIC = {
    ...MACHINE,
    machine: { capacity: '900 kN' },
  };
  const read = {
    system: 'SI',
    apart1: '45',
    apart3: '45',
    most: '210',
    probes: CRACK_SI,
    sound: '140',
    opened: '150',
  };
  const done = (more: object = {}) => tested({ ...read, ...more }, EN, { equipment: [METRIC] });
  it('has its loads, one rate and results on its length', () => {
    const found = done();
    // 54.27 and 81 kN/m on 2.5 m; 25 kN/m a minute.
    expect([line(found, 'Ps'), line(found, 'Pu'), line(found, 'r1'), line(found, 'r2')]).toEqual([
      135.675, 202.5, 62.5, 62.5,
    ]);
    expect(found.results.map(({ quantity, text, unit }) => [quantity, text, unit])).toEqual([
      ['load on its length at the crack', '56.0', 'kN/m'],
      ['ultimate load on its length', '84.0', 'kN/m'],
    ]);
  });
  it('stands by what its class asks for', () => {
    expect(done().picture.values.judged).toContain('/meets/');
    expect(done({ sound: '130' }).picture.values.judged).toContain('/fails/');
    expect(done({ most: '200' }).picture.values.judged).toContain('/fails/');
  });
  it('says in its plan which crack is looked for', () => {
    expect(
      method.plan('SI', { facts: EN }).find(({ label }) => label === 'Crack that is looked for')?.text,
    ).toBe('0.3 mm wide');
    expect(
      method.plan('US', { facts: PRODUCT }).some(({ label }) => label === 'Crack that is looked for'),
    ).toBe(false);
  });
});

describe('what a careful technician compares', () => {
  const READINGS = { probes: CRACK, sound: '33000', opened: '34000', most: '50000' };
  it('the first hairline with that of earlier pipe', () => {
    const earlier = { ...PRODUCT, hairlines: ['26,000 lbf', '28,000 lbf'] };
    expect(ids(tested({ ...READINGS, hairline: '20000' }, earlier))).toContain('teb.hairline-early');
    expect(ids(tested({ ...READINGS, hairline: '20300' }, earlier))).not.toContain('teb.hairline-early');
    expect(ids(tested({ ...READINGS, hairline: '12000' }))).not.toContain('teb.hairline-early');
  });
  // Class III: 2,000 over 1,350 is 1.48; 36,000 over 33,000 is 74 % of that.
  it.each([
    ['36000', true],
    ['50000', false],
    ['66000', true],
  ])('the end, %s lbf, with the crack', (most, said) => {
    expect(ids(tested({ ...READINGS, most })).includes('teb.ratio')).toBe(said);
  });
  it('no ratio is told of a bound', () => {
    expect(ids(tested({ ...READINGS, most: '36000', ended: 'stopped' }))).not.toContain('teb.ratio');
  });
  it('a crack on one side, or wider at one end', () => {
    expect(ids(tested({ alike: 'side' }))).toContain('teb.one-sided');
    expect(ids(tested({ alike: 'end' }))).toContain('teb.one-end');
    expect(ids(tested({ alike: 'alike' }))).not.toContain('teb.one-end');
  });
});

it('the plan tells the strokes of a hand pump where it is described', () => {
  const pump = (more: object) =>
    method
      .plan('US', {
        facts: PRODUCT,
        equipment: [{ ...MACHINE, machine: { ...MACHINE.machine, ...more } }],
      })
      .find(({ label }) => label === 'Pump of M');
  expect(pump({})).toBeUndefined();
  expect(pump({ strokeVolume: '1.5 in3' })).toMatchObject({
    text: 'strokes not known yet',
    note: 'A stroke moves the rams 0.025 in. Count strokes from mark to mark: they say how many keep the rate.',
  });
  // 60,000 and 10,800 lbf/min; 2,000 lbf/in of 0.025 in are 50 lbf a stroke.
  expect(pump({ strokeVolume: '1.5 in3', stiffness: '20,000 lbf/in' })?.text).toBe(
    '20.0 strokes in 10 s at most, then 3.6',
  );
});
