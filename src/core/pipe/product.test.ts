import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import {
  convert,
  type Exact,
  exact,
  measureIn,
  parseMeasure,
  type System,
  type UnitId,
  unitOf,
} from '../quantity';
import {
  classOf,
  lengthOf,
  PIPE_CLASS_IDS,
  PIPE_CLASSES,
  type PipeSaid,
  strengthOf,
  wallOf,
} from './product';

const limits = new Limits();

/** A product by what stands in its specification. */
const product = (stored: Readonly<Record<string, string>>): PipeSaid => ({
  said: (name) => stored[name],
  asked(name, unit: UnitId) {
    const parsed = parseMeasure(stored[name] ?? '', unitOf(unit).dimension, unit);
    return parsed.ok ? measureIn(parsed.measure, unit).value : undefined;
  },
});
const strength = (stored: Readonly<Record<string, string>>, system: System = 'US') => {
  const found = strengthOf(product(stored), limits, system);
  return [found?.crack, found?.most, found?.foot].map((value: Exact | undefined) => value?.toNumber());
};

// The tables of ASTM C76 and C76M (from memory), lbf/ft/ft and N/m/mm.
describe('classes of reinforced round pipe', () => {
  it.each([
    ['I', 800, 1200, 40, 60],
    ['II', 1000, 1500, 50, 75],
    ['III', 1350, 2000, 65, 100],
    ['IV', 2000, 3000, 100, 150],
    // Not one and a half times: a quarter more.
    ['V', 3000, 3750, 140, 175],
  ])('class %s', (name, crack, most, crackSi, mostSi) => {
    expect(strength({ design: `c76-${name}` })).toEqual([crack, most, undefined]);
    expect(strength({ design: `c76-${name}` }, 'SI')).toEqual([crackSi, mostSi, undefined]);
  });
  it('of SI are rounded and none converted: they differ from the others by up to five in a hundred', () => {
    for (const name of ['I', 'II', 'III', 'IV', 'V']) {
      const [us] = strength({ design: `c76-${name}` });
      const [si] = strength({ design: `c76-${name}` }, 'SI');
      const converted = convert(exact(us ?? 0), 'lbf/ft/ft', 'N/m/mm').toNumber();
      expect(Math.abs(converted / (si ?? 0) - 1)).toBeLessThan(0.05);
      expect(converted).not.toBe(si);
    }
  });
});

// The tables of ASTM C506 and C507 (from memory), lbf/ft/ft of the inside span.
describe('classes of arch and elliptical pipe', () => {
  it.each([
    ['c506-A-II', 'arch', 1000, 1500],
    ['c506-A-III', 'arch', 1350, 2000],
    ['c506-A-IV', 'arch', 2000, 3000],
    ['c507-HE-A', 'flat', 600, 900],
    ['c507-HE-I', 'flat', 800, 1200],
    ['c507-HE-II', 'flat', 1000, 1500],
    ['c507-HE-III', 'flat', 1350, 2000],
    ['c507-HE-IV', 'flat', 2000, 3000],
    ['c507-VE-II', 'upright', 1000, 1500],
    ['c507-VE-III', 'upright', 1350, 2000],
    ['c507-VE-IV', 'upright', 2000, 3000],
    ['c507-VE-V', 'upright', 3000, 3750],
    ['c507-VE-VI', 'upright', 4000, 5000],
  ])('%s, %s', (design, shape, crack, most) => {
    expect(classOf(product({ design }))?.shape).toBe(shape);
    expect(strength({ design })).toEqual([crack, most, undefined]);
    // They have no row here in SI: nothing is said rather than converted.
    expect(strength({ design }, 'SI')).toEqual([undefined, undefined, undefined]);
  });
});

// The table of ASTM C14 (from memory): least ultimate load, lbf/ft, by inside diameter in in.
describe('pipe that is not reinforced', () => {
  it.each([
    [4, 1500, 2000, 2400],
    [6, 1500, 2000, 2400],
    [8, 1500, 2000, 2400],
    [10, 1600, 2000, 2400],
    [12, 1800, 2250, 2600],
    [15, 2000, 2600, 2900],
    [18, 2200, 3000, 3300],
    [21, 2400, 3300, 3850],
    [24, 2600, 3600, 4400],
    [27, 2800, 3950, 4600],
    [30, 3000, 4300, 4750],
    [33, 3150, 4400, 4850],
    [36, 3300, 4500, 5000],
  ])('of %i in bears %i, %i and %i lbf/ft', (size, ...loads) => {
    expect(['c14-1', 'c14-2', 'c14-3'].map((design) => strength({ design, span: `${size} in` })[2])).toEqual(
      loads,
    );
  });
  it('of a size that is not in the table, or in SI, what is typed counts', () => {
    expect(strength({ design: 'c14-1', span: '17 in' })[2]).toBeUndefined();
    expect(strength({ design: 'c14-1', span: '17 in', footLoad: '2100 lbf/ft' })[2]).toBe(2100);
    expect(strength({ design: 'c14-1', span: '300 mm', footLoad: '26 kN/m' }, 'SI')[2]).toBe(26);
  });
});

// ASTM C655 (from memory): 1.5 times up to 2,000, 1.25 from 3,000 on, a straight line between.
describe('pipe by the D-load that is ordered', () => {
  const most = (ordered: number): number =>
    strength({ design: 'c655', crackLoad: `${ordered} lbf/ft/ft` })[1] ?? 0;
  it('has its ultimate D-load by it', () => {
    expect([1000, 2000, 2200, 2500, 2800, 3000, 3600].map(most)).toEqual([
      1500, 3000, 3190, 3437.5, 3640, 3750, 4500,
    ]);
  });
  it('never bears less for more that is ordered, up to the ends of its line and beyond', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 9000 }), fc.integer({ min: 1, max: 500 }), (ordered, more) => {
        expect(most(ordered + more)).toBeGreaterThan(most(ordered));
      }),
    );
  });
  it('what the order says of its end goes before it', () => {
    expect(
      strength({ design: 'c655', crackLoad: '2100 lbf/ft/ft', mostLoad: '3300 lbf/ft/ft' }).slice(0, 2),
    ).toEqual([2100, 3300]);
    expect(strength({ design: 'c655' })).toEqual([undefined, undefined, undefined]);
    // In SI its factor has no corners: the end has to be ordered too.
    expect(strength({ design: 'c655', crackLoad: '70 N/m/mm' }, 'SI')).toEqual([70, undefined, undefined]);
  });
});

it('every class has words of its own, and one that is none says nothing', () => {
  expect(new Set(PIPE_CLASSES.map(({ label }) => label)).size).toBe(PIPE_CLASS_IDS.length);
  expect(strength({ design: 'c76-VI' })).toEqual([undefined, undefined, undefined]);
  expect(strength({})).toEqual([undefined, undefined, undefined]);
});

// ASTM C76 tables (from memory): wall B is the diameter in feet and an inch, C three quarters more; A has rows of its own.
describe('the wall of a round pipe', () => {
  it.each([
    ['A', 12, 1.75],
    ['A', 15, 1.875],
    ['A', 24, 2.5],
    ['A', 33, 2.875],
    ['A', 36, 3],
    ['A', 72, 6],
    ['B', 12, 2],
    ['B', 24, 3],
    ['B', 36, 4],
    ['B', 48, 5],
    ['C', 24, 3.75],
    ['C', 36, 4.75],
    ['C', 48, 5.75],
  ])('%s of %i in is %d in', (wallLetter, size, wall) => {
    expect(wallOf(product({ wallLetter, span: `${size} in` }), 'US')?.toNumber()).toBe(wall);
  });
  it('as it is ordered goes before its letter; a letter says nothing in SI, nor A of a size without a row', () => {
    expect(wallOf(product({ wallLetter: 'B', span: '36 in', wall: '4.5 in' }), 'US')?.toNumber()).toBe(4.5);
    expect(wallOf(product({ wallLetter: 'B', span: '900 mm' }), 'SI')).toBeUndefined();
    expect(wallOf(product({ wallLetter: 'A', span: '20 in' }), 'US')).toBeUndefined();
    expect(wallOf(product({ span: '36 in' }), 'US')).toBeUndefined();
  });
});

// ASTM C497, its drawing of joints (from memory).
describe('the length that a D-load is told by', () => {
  const length = (stored: Readonly<Record<string, string>>, system: System = 'US') =>
    lengthOf(product(stored), system)?.length.toNumber();
  it('is overall, less the tongue or the depth of the bell', () => {
    expect(length({ joint: 'plain', overall: '8 ft' })).toBe(8);
    expect(length({ joint: 'tongue', overall: '8 ft', jointDepth: '3 in' })).toBe(7.75);
    expect(length({ joint: 'bell', overall: '2.5 m', jointDepth: '100 mm' }, 'SI')).toBe(2.4);
  });
  it('of a special end is what its drawing says, with its number', () => {
    const special = { joint: 'special', overall: '8 ft', testLength: '7.6 ft' };
    expect(length(special)).toBe(7.6);
    expect(lengthOf(product({ ...special, testLengthFrom: 'J-12' }), 'US')?.words).toBe('by J-12');
  });
  it('is not there while something of it is missing', () => {
    for (const stored of [
      {},
      { joint: 'plain' },
      { overall: '8 ft' },
      { joint: 'tongue', overall: '8 ft' },
      { joint: 'special', overall: '8 ft' },
    ])
      expect(length(stored as Record<string, string>)).toBeUndefined();
  });
  it('is never longer than the pipe, and as much shorter as its joint is deep', () => {
    fc.assert(
      fc.property(fc.integer({ min: 48, max: 200 }), fc.integer({ min: 1, max: 12 }), (inches, depth) => {
        const found = length({ joint: 'bell', overall: `${inches} in`, jointDepth: `${depth} in` });
        expect(found).toBeCloseTo((inches - depth) / 12, 9);
      }),
    );
  });
});

describe('units of a D-load', () => {
  // By definition: 1 lbf = 4.4482216152605 N, 1 ft = 304.8 mm.
  it.each([
    ['1', 'lbf/ft/ft', 'N/m/mm', 0.047_880_26],
    ['7500', 'lbf/ft', 'kN/m', 109.4543],
    ['60', 'lbf/min', 'kN/min', 0.266_893_3],
  ] as const)('%s %s in %s', (value, from, to, wanted) => {
    expect(convert(exact(value), from, to).toNumber()).toBeCloseTo(wanted, 4);
  });
});

// EN 1916, AS/NZS 4058, IS 458 (from memory): loads on a metre; figures by hand.
describe('pipe of other countries, by loads on a metre', () => {
  const metre = (stored: Readonly<Record<string, string>>, system: System = 'SI') => {
    const found = strengthOf(product(stored), limits, system);
    return [found?.footCrack, found?.foot].map((value) => value?.toDecimalPlaces(3).toNumber());
  };
  it.each([
    [{ design: 'en1916', classNumber: '135', span: '600 mm' }, [54.27, 81]],
    [{ design: 'en1916', footLoad: '100 kN/m', span: '600 mm' }, [67, 100]],
    [{ design: 'as4058', classNumber: '4', footCrackLoad: '40 kN/m' }, [40, 60]],
    [{ design: 'as4058', classNumber: '6', footCrackLoad: '40 kN/m' }, [40, 50]],
    [{ design: 'as4058', footCrackLoad: '40 kN/m' }, [undefined, undefined]],
    [{ design: 'is458', footCrackLoad: '25 kN/m', footLoad: '38 kN/m' }, [25, 38]],
    [{ design: 'is458', footCrackLoad: '25 kN/m' }, [undefined, undefined]],
    [{ design: 'en1916', classNumber: 'many', span: '600 mm' }, [undefined, undefined]],
  ])('%j: %j', (stored, loads) => {
    expect(metre(stored)).toEqual(loads);
    // They are metric: nothing is converted.
    expect(metre(stored, 'US')).toEqual([undefined, undefined]);
  });
});
