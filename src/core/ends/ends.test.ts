import { describe, expect, it } from 'vitest';
import { rowsOf } from '@/testing/rows';
import { Limits } from '../limits';
import { type Method, type RunSetup, usableInput } from '../methods';
import { findMethod } from '../methods/registry';
import { exact } from '../quantity';
import {
  capThickness,
  compoundFit,
  compoundQualification,
  compoundStrength,
  compoundToMelt,
  drawn,
  hardeningHours,
  oneSidedT,
  padFit,
  padFor,
  padQualification,
  padSpan,
  padWear,
  usesLeft,
} from '.';

const limits = new Limits();
const list = (...values: (string | number)[]) => values.map((value) => exact(value));

/** A batch of specimens with the strength that is asked of each; 1.15 times that is expected. */
const batchOf = (asked: Readonly<Record<string, string | undefined>>): NonNullable<RunSetup['batch']> => ({
  label: 'CB-1',
  seed: 1,
  specimens: Object.entries(asked).map(([label, specifiedStrength]) => ({
    label,
    ...(specifiedStrength ? { facts: { specifiedStrength } } : {}),
  })),
});

describe('bonded caps', () => {
  // ASTM C617 (from memory), worked by hand.
  it('a compound is the mean of its cubes; below 5,000 psi it is not used', () => {
    const good = compoundStrength(list(21_850, 22_400, 21_300), 'US', limits);
    expect(good?.each.map((each) => each.toFixed(1))).toEqual(['5462.5', '5600.0', '5325.0']);
    expect([good?.reported.toFixed(), good?.usable]).toEqual(['5460', true]);
    const bad = compoundStrength(list(19_200, 19_750, 19_500), 'US', limits);
    expect([bad?.reported.toFixed(), bad?.usable]).toEqual(['4870', false]);
    expect(compoundStrength(list(20_000, 20_000), 'US', limits)).toBeUndefined();
  });
  it.each([
    ['high strength', '8600', [0.09, 0.11, 0.12, 0.13, 0.1, 0.12], true, true],
    ['mean too thick', '5600', [0.22, 0.26, 0.24, 0.28, 0.27, 0.3], true, false],
    ['one thick spot', '8600', [0.1, 0.12, 0.11, 0.2, 0.12, 0.09], true, false],
    ['too few pieces', '5600', [0.2, 0.2, 0.2, 0.2, 0.2], false, true],
    ['judged by the strength it proved', '7000', [0.25, 0.25, 0.25, 0.25, 0.25, 0.25], true, true],
    ['and no more', '7010', [0.25, 0.25, 0.25, 0.25, 0.25, 0.25], true, false],
  ] as const)('thickness: %s', (_, strength, pieces, determined, fits) => {
    const found = capThickness(list(...pieces), exact(strength), 'US', limits);
    expect([found?.determined, found?.fits]).toEqual([determined, fits]);
  });
  it.each([
    ['4200', true, '2'],
    ['4499', true, '2'],
    ['4500', true, '16'],
    ['4999', false, '2'],
    ['5000', false, '16'],
  ])('%s psi, planned %s, hardens %s h', (strength, planned, hours) => {
    expect(hardeningHours('sulfur', exact(strength), 'US', limits, planned).hours.toFixed()).toBe(hours);
  });
  it('hardens the longer time when nothing is known', () => {
    expect(hardeningHours('sulfur', undefined, 'SI', limits, true).hours.toFixed()).toBe('16');
    expect(hardeningHours('gypsum', undefined, 'SI', limits, true).hours.toFixed()).toBe('0.5');
  });
  it('says how much to melt', () => {
    // Common practice, no source: 18 of 4 × 8 and 6 of 6 × 12, 1/8 in thick.
    const melt = compoundToMelt(
      [
        { count: 18, diameter: 4 },
        { count: 6, diameter: 6 },
      ],
      0.125,
    );
    expect(melt).toBeCloseTo(9.65, 2);
  });
  it('draws one from the start, one from the middle, one from the end, always the same ones', () => {
    for (let seed = 0; seed < 50; seed += 1) {
      const picked = drawn(18, seed);
      expect(picked.map((index) => Math.floor(index / 6))).toEqual([0, 1, 2]);
      expect(drawn(18, seed)).toEqual(picked);
    }
    expect(drawn(2, 9)).toEqual([0, 1]);
    // Every place has its turn: batches are numbered one after the other, and so are their seeds.
    const places = Array.from({ length: 300 }, (_, number) => drawn(18, (number + 1) * 7919)).flat();
    expect(new Set(places).size).toBe(18);
  });
});

describe('unbonded pads', () => {
  // ASTM C1231 table (from memory).
  it.each([
    ['4500', ['fits', 'fits', 'fits'], '60'],
    ['6400', ['does not fit', 'fits', 'fits'], '60'],
    ['7000', ['does not fit', 'fits', 'fits'], '60'],
    ['7010', ['does not fit', 'does not fit', 'fits when qualified'], '70'],
    ['2000', ['fits', 'does not fit', 'does not fit'], '50'],
    ['12600', ['does not fit', 'does not fit', 'does not fit'], null],
    ['1200', ['does not fit', 'does not fit', 'does not fit'], null],
  ])('%s psi', (strength, fits, choice) => {
    expect((['50', '60', '70'] as const).map((each) => padFit(each, exact(strength), 'US', limits))).toEqual(
      fits,
    );
    expect(padFor(exact(strength), 'US', limits)).toBe(choice);
  });
  it('have a hundred tests, fifty once they were used above 7,000 psi', () => {
    expect(usesLeft(47, [exact(6900)], 'US', limits)).toBe(53);
    expect(usesLeft(47, [exact(8200)], 'US', limits)).toBe(3);
    expect(usesLeft(100, [undefined], 'US', limits)).toBe(0);
  });

  it('last so long at the pace of late, and say where they break', () => {
    const test = (fracture: string | null, daysAgo: number) => ({ fracture, daysAgo });
    const tests = [test('5', 1), test('6', 2), test('1', 3), test('3', 40), test(null, 50)];
    // Three in fourteen days: 59 left last 275 days.
    expect(padWear(tests, 59)).toEqual({ left: 59, days: 275, edge: { share: 0.5, of: 4 } });
    expect(padWear([test('1', 30)], -2)).toEqual({ left: 0, days: null, edge: { share: 0, of: 1 } });
  });

  const reference = [8120, 8340, 8010, 8260, 8430, 7980, 8190, 8300, 8150, 8220];
  const pairsWith = (pads: readonly number[]) =>
    reference.slice(0, pads.length).map((value, index) => ({
      reference: exact(value),
      pads: exact(pads[index] ?? 0),
    }));
  // ASTM C1231: x̄p ≥ 0.98 x̄s + t s / √n (from memory); t from statistical tables; worked by hand.
  it.each([
    ['close', [8060, 8390, 7950, 8200, 8380, 8010, 8090, 8330, 8180, 8140], 55.388, 8068.11, true],
    [
      'lower and scattered',
      [7890, 8310, 7700, 8050, 8290, 7720, 7980, 8120, 7890, 8070],
      78.712,
      8081.62,
      false,
    ],
    ['lower but steady', [7985, 8210, 7870, 8100, 8305, 7840, 8050, 8170, 8015, 8085], 9.487, 8041.5, true],
  ])('qualification: %s', (_, pads, deviation, wanted, qualified) => {
    const found = padQualification(pairsWith(pads), 'US', limits);
    expect(found?.deviation.toNumber()).toBeCloseTo(deviation, 3);
    expect(found?.wanted.toNumber()).toBeCloseTo(wanted, 2);
    expect(found?.qualified).toBe(qualified);
    expect(found?.oneLevel).toBe(true);
  });
  it('needs ten pairs of one level', () => {
    expect(padQualification(pairsWith([8060, 8390, 7950]), 'US', limits)).toBeUndefined();
    const far = pairsWith(reference).map((pair, index) =>
      index === 0 ? { reference: exact(9500), pads: exact(9480) } : pair,
    );
    expect(padQualification(far, 'US', limits)?.oneLevel).toBe(false);
  });
  it('qualifies from the lowest level to the highest, each by itself', () => {
    const shifted = (by: number, pads = -30) =>
      reference.map((value) => ({ reference: exact(value + by), pads: exact(value + by + pads) }));
    const two = padSpan([...shifted(2600), ...shifted(0)], 'US', limits);
    expect(two.ok && [two.span.from.toNumber(), two.span.to.toNumber()]).toEqual([8200, 10_800]);
    const one = padSpan(shifted(0), 'US', limits);
    expect(one.ok && one.span.levels.length).toBe(1);
    expect(padSpan([...shifted(2600), ...shifted(0).slice(1)], 'US', limits)).toMatchObject({
      ok: false,
      why: expect.stringContaining('9 pairs'),
    });
    expect(padSpan([...shifted(2600, -400), ...shifted(0)], 'US', limits)).toMatchObject({
      ok: false,
      why: expect.stringContaining('Not qualified'),
    });
    expect(padSpan([...shifted(0), ...shifted(900), ...shifted(1800)], 'US', limits).ok).toBe(false);
    expect(padSpan([], 'US', limits).ok).toBe(false);
  });
  it('takes t of the table, never a milder one', () => {
    // Student's t, one-sided 95 %: statistical tables.
    expect([9, 14, 19, 29].map((freedom) => oneSidedT(freedom)?.toFixed(3))).toEqual([
      '1.833',
      '1.761',
      '1.729',
      '1.699',
    ]);
    expect(oneSidedT(17)?.toFixed(3)).toBe('1.761');
  });
});

describe('what a test says of its ends', () => {
  const method = findMethod('cylinder-compression') as Method;
  const found = (input: object, setup: RunSetup): string[] => {
    const { input: usable } = usableInput(method, {
      system: 'US',
      diameter1: '4.02',
      diameter2: '4.02',
      zeroed: true,
      ...input,
    });
    return method.compute(usable, setup).findings.map(({ id }) => id);
  };
  // 4,000 psi asked for: 1.15 times that is expected.
  const specimen = { form: '4x8' };
  const specifiedStrength = '4,000 psi';
  const caps = {
    kind: 'sulfur' as const,
    batch: 'CB-0001',
    finishedAt: '2031-06-11T08:00:00Z',
    compound: '5,460 psi',
  };

  it('caps that are too young are found before the load, and again by the strength that was proved', () => {
    const setup: RunSetup = { specimen, facts: { specifiedStrength: '3,650 psi', ends: caps } };
    const at = (testedAt: string, maximumLoad?: string) =>
      found({ ends: 'sulfur', testedAt, ...(maximumLoad ? { maximumLoad } : {}) }, setup).includes(
        'caps.hardening',
      );
    expect(at('2031-06-11T09:59:00Z')).toBe(true);
    expect(at('2031-06-11T10:15:00Z')).toBe(false);
    expect(at('2031-06-11T11:30:00Z', '55,000')).toBe(false);
    // 65,000 lbf is 5,120 psi: the caps needed 16 h after all.
    expect(at('2031-06-11T11:30:00Z', '65,000')).toBe(true);
  });
  it('a compound weaker than the specimen is found', () => {
    const setup: RunSetup = { specimen, facts: { specifiedStrength, ends: caps } };
    const testedAt = '2031-06-12T08:00:00Z';
    expect(found({ ends: 'sulfur', testedAt, maximumLoad: '71,000' }, setup)).toContain('caps.lot-strength');
    expect(found({ ends: 'sulfur', testedAt, maximumLoad: '62,000' }, setup)).not.toContain(
      'caps.lot-strength',
    );
  });
  const padsOf = (pads: object): RunSetup => ({
    specimen,
    facts: { specifiedStrength },
    equipment: [{ number: 'P-1', kind: 'unbonded pads', pads: { durometer: '50', ...pads } }],
  });
  it.each([
    ['in its band', { maximumLoad: '60,000' }, {}, []],
    ['broke above its band', { maximumLoad: '80,600' }, {}, ['pads.band']],
    ['worn out', {}, { uses: 100 }, ['pads.reuse']],
    ['nearly worn out', {}, { uses: 96 }, ['pads.reuse-soon']],
    ['retainer that binds', {}, { retainer: '4.08 in' }, ['pads.retainer']],
    ['retainer that fits', {}, { retainer: '4.18 in', pad: '4.15 in' }, []],
    ['retainer too loose', {}, { retainer: '4.31 in' }, ['pads.retainer']],
    ['pad too small', {}, { retainer: '4.18 in', pad: '4.10 in' }, ['pads.gap']],
    [
      'above 7,000 without qualification',
      { maximumLoad: '101,000' },
      { durometer: '70' },
      ['pads.qualified'],
    ],
    ['above 7,000 qualified', { maximumLoad: '101,000' }, { durometer: '70', qualifiedTo: '8,200 psi' }, []],
    [
      'below the lowest level that was shown',
      { maximumLoad: '101,000' },
      { durometer: '70', qualifiedTo: '10,000 psi', qualifiedFrom: '8,300 psi' },
      ['pads.qualified'],
    ],
  ] as const)('pads: %s', (_, input, pads, ids) => {
    const all = found(
      { ends: 'pads', pads: 'P-1', padsLooked: 'sound', aligned: true, ...input },
      padsOf(pads),
    );
    expect(all.filter((id) => id.startsWith('pads.'))).toEqual(ids);
  });
});

describe('a batch of caps', () => {
  const method = findMethod('capping') as Method;
  const run = (input: object, setup: RunSetup = {}) => {
    const { input: usable } = usableInput(method, { system: 'US', kind: 'sulfur', ...input });
    return method.compute(usable, setup).findings.map(({ id, severity }) => `${severity} ${id}`);
  };
  it.each([
    ['250', 'departure caps.pot-hold'],
    ['260', 'departure caps.pot'],
    ['292', 'departure caps.pot'],
    ['321', 'invalid caps.pot-stop'],
  ])('a pot at %s °F', (potStart, id) => expect(run({ potStart })).toContain(id));
  it.each(['265', '290'])('a pot at %s °F is right', (potStart) => expect(run({ potStart })).toEqual([]));
  it('counts melts, and takes no recovered caps for strong concrete', () => {
    expect(run({ melts: '5' })).toEqual([]);
    expect(run({ melts: '6' })).toContain('departure caps.melts');
    expect(run({ material: 'recovered' })).toContain('departure caps.harden-switch');
    expect(run({ material: 'recovered' }, { batch: batchOf({ A: '3,470 psi' }) })).toEqual([]);
  });
  it('wants the specimens that were drawn, three diameters each, and every cap plane', () => {
    const setup: RunSetup = { batch: batchOf({ A: undefined, B: undefined }) };
    const looked = (text: string) => ({ planeness: rowsOf('specimen first second third', text) });
    expect(run(looked('A,yes,yes,yes'), setup)).toContain('departure caps.specimens');
    expect(run(looked('A,yes,yes\nB,yes,no,yes'), setup)).toEqual(
      expect.arrayContaining(['invalid cylinder.planeness', 'advice rows.unfinished']),
    );
    expect(run(looked('A,yes,yes,yes\nB,yes,yes,yes'), setup)).toEqual([]);
  });
});

describe('a compound above 7,000 psi', () => {
  const reference = Array.from({ length: 15 }, (_, index) => exact(8000 + 40 * (index - 7)));
  // ASTM C617 (from memory): 15 of each, mean at least 98 %, deviation at most 1.57 times the reference’s.
  const capped = (mean: number, stretch: number) =>
    Array.from({ length: 15 }, (_, index) => exact(mean + 40 * stretch * (index - 7)));
  it.each([
    ['as good', 7900, 1, true],
    ['at the edge of the mean', 7840, 1, true],
    ['below it', 7839, 1, false],
    ['at the edge of the deviation', 8000, 1.57, true],
    ['too scattered', 8000, 1.58, false],
  ])('%s', (_, mean, stretch, qualified) => {
    const found = compoundQualification(reference, capped(mean, stretch), 'US', limits);
    expect(found?.qualified).toBe(qualified);
    // Deviation of fifteen even steps of 40, by hand: 40 √20 = 178.885.
    expect(found?.deviationReference.toNumber()).toBeCloseTo(178.885, 3);
    expect(found?.usableTo.toNumber()).toBe(9600);
  });
  it('wants fifteen of each', () => {
    expect(compoundQualification(reference, capped(8000, 1).slice(1), 'US', limits)).toBeUndefined();
  });
  const onFile = { usableTo: exact(9600), qualifiedOn: '2031-01-15' };
  it.each([
    ['7000', undefined, '2031-06-11', 'not asked'],
    ['7010', undefined, '2031-06-11', 'none'],
    ['9600', onFile, '2031-06-11', 'qualified'],
    ['9601', onFile, '2031-06-11', 'too weak'],
    ['8000', onFile, '2032-01-15', 'qualified'],
    ['8000', onFile, '2032-01-16', 'too old'],
  ] as const)('%s psi with %o on %s: %s', (strength, on, day, fit) =>
    expect(compoundFit(exact(strength), on, day, 'US', limits)).toBe(fit),
  );
  it('hardens a shorter time only where that was shown', () => {
    expect(hardeningHours('sulfur', exact(8000), 'US', limits, false, exact(3)).hours.toFixed()).toBe('3');
    expect(hardeningHours('sulfur', exact(8000), 'US', limits, false, exact(30)).hours.toFixed()).toBe('16');
    expect(hardeningHours('sulfur', exact(4000), 'US', limits, false, exact(1)).hours.toFixed()).toBe('2');
  });

  const method = findMethod('capping') as Method;
  const batch = (specified: string, compound?: object): string[] => {
    const { input } = usableInput(method, {
      system: 'US',
      kind: 'sulfur',
      lot: 'L-1',
      lastCapAt: '2031-06-10T10:00:00-04:00',
    });
    const setup: RunSetup = {
      zone: 'America/New_York',
      batch: batchOf({ A: specified }),
      equipment: [
        {
          number: 'L-1',
          kind: 'capping compound',
          verifiedOn: '2031-05-01',
          strength: '7,900 psi',
          ...(compound ? { compound: compound as never } : {}),
        },
      ],
    };
    return method.compute(input, setup).findings.map(({ id }) => id);
  };
  it('is asked for by the batch, whatever its cubes came to', () => {
    expect(batch('6,000 psi')).not.toContain('caps.qualified');
    expect(batch('6,520 psi')).toContain('caps.qualified');
    const compound = { usableTo: '9,600 psi', qualifiedOn: '2031-01-15', qualification: 'Q-9' };
    expect(batch('6,520 psi', compound)).not.toContain('caps.qualified');
  });
});

describe('caps as they were poured', () => {
  const poured = (text: string) => ({
    pours: rowsOf('specimen end at pot', text.replaceAll(/9:(\d\d)/gu, '2031-06-10T09:$1:00-04:00')),
  });
  const method = findMethod('capping') as Method;
  const found = (input: object): string[] => {
    const { input: usable } = usableInput(method, {
      system: 'US',
      kind: 'sulfur',
      firstCapAt: '2031-06-10T09:00:00-04:00',
      lastCapAt: '2031-06-10T09:30:00-04:00',
      ...input,
    });
    const setup: RunSetup = {
      zone: 'America/New_York',
      batch: batchOf({ A: undefined, B: undefined }),
    };
    return method.compute(usable, setup).findings.map(({ id }) => id);
  };
  it('are held against the batch: labels, both ends, the youngest, the pot of each', () => {
    expect(found(poured('A,1,9:05\nA,2,9:10\nB,1,9:20\nB,2,9:30'))).not.toContain('caps.pour-missing');
    expect(found(poured('A,1,9:05\nC,2,9:10'))).toEqual(
      expect.arrayContaining(['caps.pour-missing', 'caps.pour-strange']),
    );
    expect(found(poured('A,1,9:05\nA,2,9:31'))).toContain('caps.pour-later');
    expect(found(poured('A,1,9:05,250\nA,2,9:10,270'))).toContain('caps.pot-hold');
    expect(found({ pours: [{ specimen: 'A' }] })).toContain('rows.unfinished');
    expect(found({ returnedAt: '2031-06-10T12:00:00-04:00' })).not.toContain('cylinder.out-of-moist');
    expect(found({ returnedAt: '2031-06-10T12:01:00-04:00' })).toContain('cylinder.out-of-moist');
  });
});

describe('what a test with pads is asked besides', () => {
  const method = findMethod('cylinder-compression') as Method;
  const found = (input: object): string[] => {
    const { input: usable } = usableInput(method, { system: 'US', ends: 'pads', zeroed: true, ...input });
    return method.compute(usable, {}).findings.map(({ id }) => id);
  };
  // ASTM C1231 (from memory): no hollow deeper than 0.20 in, no pad that is split.
  it.each([
    [{ padsLooked: 'split' }, 'pads.worn', true],
    [{ padsLooked: 'hard' }, 'pads.worn', true],
    [{ padsLooked: 'sound' }, 'pads.worn', false],
    [{ maximumLoad: '60,000' }, 'pads.not-looked', true],
    [{ maximumLoad: '60,000', padsLooked: 'sound' }, 'pads.not-looked', false],
    [{ depression: '0.20' }, 'pads.depression', false],
    [{ depression: '0.21' }, 'pads.depression', true],
  ])('%o: %s %s', (input, id, there) => expect(found(input).includes(id)).toBe(there));
});
