import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { combine } from '@/core/acceptance';
import { Limits, type Profile } from '@/core/limits';
import { exact } from '@/core/quantity';
import { computed, idsOf, lineOf, textOf } from '@/testing/outcome';
import { pointLoad } from '.';
import { orientations } from './advisor';

const piece = (over: object, profile: Profile = 'astm', equipment: object[] = []) =>
  computed(pointLoad, { system: 'SI', type: 'lump', fracture: 'through', ...over }, {
    profile,
    equipment,
  } as never);
const index = (over: object): string | undefined => textOf(piece(over), 'point load strength index');
const INVALID = (over: object, profile: Profile = 'astm'): string[] =>
  piece(over, profile)
    .findings.filter(({ severity }) => severity === 'invalid')
    .map(({ id }) => id);

// ISRM 1985, the typical results of the suggested method (from memory): sizes in mm, load in kN, Is(50) in MPa.
describe('published results', () => {
  it.each([
    [{ type: 'axial', width1: '30.4', separation: '17.2', load: '2.687' }, 666, 25.8, 4.03, 0.743, '3.00'],
    [{ type: 'axial', width1: '42.5', separation: '29', load: '6.119' }, 1569, 39.6, 3.9, 0.9, '3.51'],
    [{ type: 'diametral', separation: '49.93', load: '5.107' }, 2493, 49.93, 2.05, 0.999, '2.05'],
    [{ type: 'diametral', separation: '25.23', load: '1.837' }, 637, 25.23, 2.89, 0.735, '2.12'],
  ])('%o', (over, square, diameter, raw, factor, text) => {
    const outcome = piece(over, 'isrm');
    expect(textOf(outcome, 'point load strength index')).toBe(text);
    expect(lineOf(outcome, 'De2')).toBeCloseTo(square, -0.5);
    expect(Math.abs(lineOf(outcome, 'De') - diameter)).toBeLessThan(0.06);
    expect(Math.abs(lineOf(outcome, 'Is') - raw)).toBeLessThan(0.011);
    expect(Math.abs(lineOf(outcome, 'F') - factor)).toBeLessThan(0.0012);
  });
});

// Worked by hand from De² = 4·W·D / π or D², Is = P / De², F = (De / 50)^0.45 (ASTM D5731, from memory).
describe('an index', () => {
  it.each([
    [
      'a lump, two widths',
      { width1: '66', width2: '58', separation: '44', freeEnd: '35', load: '9.85' },
      '3.05',
    ],
    [
      'a weak lump, points dug in',
      { width1: '60', separation: '46', depthAtFailure: '42', load: '3.10' },
      '1.02',
    ],
    ['the same, not measured', { width1: '60', separation: '46', load: '3.10' }, '0.95'],
    [
      'across a core',
      { type: 'diametral', separation: '47.6', length: '80', freeEnd: '38', load: '8.40' },
      '3.63',
    ],
    [
      'across a core, dug in',
      { type: 'diametral', separation: '54.0', depthAtFailure: '51.5', load: '4.20' },
      '1.55',
    ],
    ['along a core', { type: 'axial', width1: '63.5', separation: '38', load: '12.60' }, '4.30'],
    ['a block', { type: 'block', width1: '70', separation: '55', load: '21.40' }, '5.08'],
    ['depth as width', { type: 'block', width1: '52', separation: '52', load: '10.40' }, '3.25'],
    ['a pressure gauge', { width1: '61', separation: '45', pressure: '6.90', ramArea: '1445' }, '3.08'],
    [
      'zeroed under load',
      { width1: '58', separation: '45', load: '6.20', zeroed: 'held', seatLoad: '0.65' },
      '2.20',
    ],
    [
      'a prism, three widths',
      { width1: '52', width2: '60', width3: '57', separation: '41', load: '7.30' },
      '2.57',
    ],
  ])('of %s', (_, over, text) => expect(index(over)).toBe(text));
  it('is computed in pounds and inches by their own numbers', () => {
    const outcome = computed(pointLoad, {
      system: 'US',
      type: 'block',
      pressure: '1450',
      ramArea: '2.24',
      width1: '2.40',
      separation: '1.80',
      fracture: 'through',
    });
    expect(textOf(outcome, 'point load strength index')).toBe('639');
    expect(outcome.results[0]?.converted).toEqual({ text: '4.41', unit: 'MPa' });
  });
  it('leaves a penetration of two per cent uncounted, in the shape always', () => {
    const at = (depthAtFailure: string) =>
      piece({ width1: '60', separation: '50', depthAtFailure, load: '5' }).lines.map(({ symbol }) => symbol);
    expect(lineOf(piece({ width1: '60', separation: '50', depthAtFailure: '49', load: '5' }), 'A')).toBe(
      3000,
    );
    expect(lineOf(piece({ width1: '60', separation: '50', depthAtFailure: '48.9', load: '5' }), 'A')).toBe(
      2934,
    );
    expect(at('49')).toContain('De');
    // 52 mm are too tall for a width of 51, although the points stood 50 apart in the end.
    expect(INVALID({ width1: '51', separation: '52', depthAtFailure: '50' })).toContain('point.depth-width');
  });
  it('says how well it is known: 6.5 % of a lump, 5.9 % across a core', () => {
    expect(lineOf(piece({ width1: '60', separation: '50', load: '5' }), 'u')).toBeCloseTo(6.5, 1);
    expect(lineOf(piece({ type: 'diametral', separation: '50', load: '5' }), 'u')).toBeCloseTo(5.9, 1);
  });
  it('follows the load, and the size by the power of 1.55', () => {
    const size = fc.integer({ min: 300, max: 850 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(size, fc.integer({ min: 1, max: 50 }), (depth, load) => {
        const value = (d: number, p: number): number =>
          lineOf(piece({ type: 'diametral', separation: d.toFixed(2), load: String(p) }), 'Is50');
        const one = value(depth, load);
        expect(value(depth, load * 2) / one).toBeCloseTo(2, 9);
        const by = 1000 * load * depth ** -1.55 * 50 ** -0.45;
        expect(one / by).toBeCloseTo(1, 9);
      }),
      { numRuns: 60 },
    );
  });
});

describe('the shape of a piece', () => {
  it.each([
    ['too tall by a millimetre', { width1: '52', separation: '53' }, ['point.depth-width']],
    ['as tall as wide', { width1: '52', separation: '52' }, []],
    ['half its depth to the end', { width1: '60', separation: '50', freeEnd: '25' }, []],
    [
      'less, though long in all',
      { width1: '60', separation: '50', freeEnd: '20', length: '48' },
      ['point.free-end'],
    ],
    ['small', { width1: '40', separation: '28' }, ['point.depth']],
    ['wide', { width1: '86', separation: '60' }, ['point.width']],
    ['a short core', { type: 'diametral', separation: '50', length: '50' }, ['point.core-length']],
    ['a core long enough', { type: 'diametral', separation: '50', length: '51' }, []],
  ])('%s', (_, over, ids) => expect(INVALID(over)).toEqual(ids));
  it('may be smaller in the school of the ISRM, and flat only as far as three tenths', () => {
    expect(INVALID({ width1: '40', separation: '28' }, 'isrm')).toEqual([]);
    expect(INVALID({ width1: '40', separation: '14.9' }, 'isrm')).toEqual(['point.depth']);
    expect(INVALID({ width1: '60', separation: '18' }, 'isrm')).toEqual([]);
    expect(INVALID({ width1: '60', separation: '17' }, 'isrm')).toEqual(['point.depth-width']);
  });
  it('is said where the text of the method asks more than its drawing', () => {
    const outcome = piece({ width1: '64', separation: '40', freeEnd: '26' });
    expect(outcome.findings.map(({ id, severity }) => [id, severity])).toContainEqual([
      'point.free-end-width',
      'departure',
    ]);
  });
  it('within what the readings are good for is to be measured again', () => {
    const tall = piece({ width1: '52.0', separation: '52.5' }).findings[0];
    expect(tall?.action).toContain('measure again');
    expect(piece({ width1: '40', separation: '52.5' }).findings[0]?.action).not.toContain('measure again');
    expect(tall?.action).toContain('0.5 mm off the depth');
  });
});

describe('how it went', () => {
  const good = { width1: '62', separation: '44', load: '9.85' };
  it.each([
    ['8', true],
    ['10', false],
    ['60', false],
    ['64', true],
  ])('failing after %s s is outside: %s', (time, outside) => {
    const found = piece({ ...good, time }).findings.find(({ id }) => id === 'point.time');
    expect(found !== undefined).toBe(outside);
    if (found) expect(found).toMatchObject({ severity: 'departure', needsReason: true });
  });
  it.each(['one-point', 'chip', 'old', 'off-fabric', 'sank'])('%s is no test of the rock', (fracture) =>
    expect(INVALID({ ...good, fracture })).toEqual([`point.${fracture}`]),
  );
  it.each(['through', 'three', 'leaning'])('%s is one', (fracture) =>
    expect(INVALID({ ...good, fracture })).toEqual([]),
  );
  it('crushing to seat is said, and above a fifth of the load the piece was damaged', () => {
    const at = (crushLoad: string) =>
      piece({ ...good, crushLoad }).findings.map(({ id, severity, needsReason }) => [
        id,
        severity,
        needsReason,
      ]);
    expect(at('0.9')).toEqual([['point.crush', 'departure', false]]);
    expect(at('1.5')).toEqual([['point.crush', 'departure', true]]);
    expect(at('2.1')).toEqual([['point.crush-most', 'invalid', true]]);
  });
  it('a zero under a load that nobody knows, dug-in points nobody measured, and a depth that grew are told', () => {
    expect(idsOf(piece({ ...good, zeroed: 'held' }))).toContain('point.zero');
    expect(idsOf(piece({ ...good, zeroed: 'held', seatLoad: '0.4' }))).not.toContain('point.zero');
    expect(idsOf(piece({ ...good, dugIn: 'yes' }))).toContain('point.dug-in');
    expect(idsOf(piece({ ...good, depthAtFailure: '45' }))).toContain('point.depth-order');
  });
  it('the frame against the calliper, but not after a crush', () => {
    expect(idsOf(piece({ ...good, depth: '45' }))).toContain('point.agree');
    expect(idsOf(piece({ ...good, depth: '44.8' }))).not.toContain('point.agree');
    expect(idsOf(piece({ ...good, depth: '48', crushLoad: '0.5' }))).not.toContain('point.agree');
  });
  it('a load outside what the frame was verified for', () => {
    const frame = (verifiedFrom: string, verifiedTo: string) =>
      idsOf(
        piece({ ...good, frame: 'F-1', testedAt: '2031-06-12T10:24:00-04:00' }, 'astm', [
          { number: 'F-1', kind: 'point load frame', verifiedOn: '2031-02-01', verifiedFrom, verifiedTo },
        ]),
      );
    expect(frame('1 kN', '50 kN')).toEqual([]);
    expect(frame('10 kN', '50 kN')).toContain('point.range');
    expect(frame('1 kN', '9 kN')).toContain('point.range');
  });
  it('newtons typed as kilonewtons, and a rock too weak to say', () => {
    expect(idsOf(piece({ ...good, load: '98.5' }))).toContain('point.usual');
    expect(idsOf(piece({ ...good, load: '2.5' }))).toContain('point.ambiguous');
  });
});

describe('a group', () => {
  const named = (values: readonly string[]) =>
    values.map((value, place) => ({ label: String(place + 1), value }));
  const mean = (...values: string[]) =>
    combine(pointLoad.set as NonNullable<typeof pointLoad.set>, named(values), {
      system: 'SI',
      limits: new Limits(),
      mode: 'half-even',
      unit: 'MPa',
      asked: () => undefined,
    });
  // ASTM D5731 (from memory), worked by hand.
  it('of twelve leaves out the two highest and the two lowest, of eight one each', () => {
    const twelve = '4.12 3.55 4.87 3.98 4.31 2.64 4.05 5.90 3.77 4.44 4.18 3.02'.split(' ');
    expect(mean(...twelve).text).toBe('4.05');
    expect(mean(...twelve).used).toHaveLength(8);
    expect(mean(...'2.31 2.58 1.74 2.40 2.95 2.22 2.49 2.36'.split(' ')).text).toBe('2.39');
  });
  it('of two is their plain mean, and says so', () => {
    expect(mean('2.00', '3.00')).toMatchObject({ text: '2.50', note: expect.stringContaining('too few') });
  });
});

describe('the ways a piece may lie', () => {
  const limits = new Limits();
  const ways = (...sizes: [string, string, string]) =>
    orientations(sizes.map((size) => size.split(' ').map((each) => exact(each))) as never, 'SI', limits);
  it('of 38 by 57 by 80 mm only the smallest size goes between the points', () => {
    const all = ways('38', '57', '80');
    expect(all.map(({ between, lawful }) => [between, lawful])).toEqual([
      [0, true],
      [1, false],
      [2, false],
    ]);
    expect(all[0]?.ratio.toFixed(3)).toBe('0.667');
    expect(all[0]?.freeEnd.toFixed()).toBe('40');
    expect(all[1]?.ratio.toFixed(2)).toBe('1.50');
    expect(all[1]?.problems.join()).toMatch(/too tall: take 19 mm/u);
  });
  it('of one with leaning sides takes the mean of both widths, and is told where the top slopes', () => {
    const [best] = ways('38 40', '54 62', '80 84');
    expect(best?.lawful).toBe(true);
    expect(best?.width.toFixed()).toBe('58');
    expect(best?.widths.map((each) => each.toFixed())).toEqual(['54', '62']);
    expect(best?.freeEnd.toFixed()).toBe('41');
    const [sloping] = ways('34 46', '54 62', '80 84');
    expect(sloping?.lawful).toBe(false);
    expect(sloping?.problems).toContain('its top slopes by 12 mm: saw a flat for the points');
  });
  it('says what to saw off', () => {
    expect(ways('50', '90', '120')[0]?.problems).toContain('saw 5 mm off the width');
    expect(ways('20', '40', '80')[0]?.problems).toContain('the depth is 10 mm too small');
    expect(ways('60', '70', '50').every(({ freeEnd }) => freeEnd.greaterThan(0))).toBe(true);
    expect(ways('0', '70', '50')).toEqual([]);
  });
  it('never calls the smallest size too tall, and lawful what the test itself would refuse', () => {
    const size = fc.integer({ min: 20, max: 120 }).map(String);
    fc.assert(
      fc.property(size, size, size, (a, b, c) => {
        const all = ways(a, b, c);
        const smallest = all.find(({ depth }) => depth.equals(Math.min(Number(a), Number(b), Number(c))));
        expect(smallest?.problems.join()).not.toContain('too tall');
        for (const way of all) {
          const refused = INVALID({
            width1: way.width.toFixed(),
            separation: way.depth.toFixed(),
            freeEnd: way.freeEnd.toFixed(),
          });
          expect(refused.length === 0, `${way.depth} in ${a} ${b} ${c}`).toBe(way.lawful);
        }
      }),
      { numRuns: 200 },
    );
  });
});
