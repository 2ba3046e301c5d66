import { describe, expect, it } from 'vitest';
import { type Combinable, combine, type SetRule } from '../../acceptance';
import { Limits } from '../../limits';
import { type Exact, exact, PI, type System } from '../../quantity';
import type { Facts } from '../facts';
import { findMethod } from '../registry';
import { classOf, gradeOf, ratingOf } from './grades';
import { lineOf } from './group';

const RULE = findMethod('point-load')?.set as SetRule;
const limits = new Limits();

function group(
  members: readonly Combinable[],
  {
    facts = {},
    asked = {},
    system = 'SI',
    rejected = 0,
  }: { facts?: Facts; asked?: Record<string, string>; system?: System; rejected?: number } = {},
  waits = false,
) {
  const about = {
    system,
    limits,
    mode: 'half-even',
    unit: system === 'SI' ? 'MPa' : 'psi',
    asked: (name: string): Exact | undefined => (asked[name] === undefined ? undefined : exact(asked[name])),
    facts,
    rejected,
  } as const;
  return combine(RULE, members, about, waits);
}
const of = (...values: string[]): Combinable[] =>
  values.map((value, place) => ({ label: `L${place + 1}`, value }));
const said = (set: ReturnType<typeof group>): Readonly<Record<string, string>> =>
  Object.fromEntries(set.derived?.said ?? []);

describe('the line of a group over its sizes', () => {
  // Worked by hand from W, D and P; slope and index by the log-log rule of ISRM 1985 (from memory).
  const widths = [34, 40, 46, 52, 60, 66, 74, 80];
  const depths = [30, 33, 38, 44, 48, 55, 60, 68];
  const loads = [4.32, 5.2, 6.9, 8.55, 10.7, 12.9, 15.9, 18.4];
  const pieces = widths.map((width, place) => ({
    label: `L${place + 1}`,
    quantities: {
      'equivalent diameter': String(Math.sqrt((4 * width * (depths[place] ?? 0)) / PI.toNumber())),
      'failure load': String(loads[place]),
    },
  }));
  it('has its slope and the index at 50 mm', () => {
    const line = lineOf(pieces, { limits, system: 'SI' });
    expect(line?.fit.slope).toBeCloseTo(0.8825, 4);
    expect(line?.fit.r2).toBeCloseTo(0.999, 4);
    expect(line?.load).toBeCloseTo(7.568, 3);
    expect(line?.index).toBeCloseTo(3.03, 2);
    expect(line?.doubts).toEqual([]);
  });
  it('is doubted where the pieces do not carry it, and none through one', () => {
    expect(lineOf(pieces.slice(0, 3), { limits, system: 'SI' })?.doubts.join()).toMatch(/3 of the 5 pieces/u);
    const alike = pieces.slice(0, 5).map((piece) => ({
      ...piece,
      quantities: { ...piece.quantities, 'equivalent diameter': String(50 + Math.random() / 10) },
    }));
    expect(lineOf(alike, { limits, system: 'SI' })?.doubts.join()).toContain('too much of one size');
    expect(lineOf(pieces.slice(0, 1), { limits, system: 'SI' })).toBeUndefined();
    expect(lineOf([{ label: 'x', quantities: {} }], { limits, system: 'SI' })).toBeUndefined();
  });
  it('is the same in the other system, by exact factors', () => {
    const inches = pieces.map(({ label, quantities }) => ({
      label,
      quantities: {
        'equivalent diameter': String(Number(quantities['equivalent diameter']) / 25.4),
        'failure load': String(Number(quantities['failure load']) * 224.80894),
      },
    }));
    const [si, us] = [lineOf(pieces, { limits, system: 'SI' }), lineOf(inches, { limits, system: 'US' })];
    expect(us?.fit.slope).toBeCloseTo(si?.fit.slope ?? 0, 6);
    expect((us?.index ?? 0) / 145.0377).toBeCloseTo(si?.index ?? 0, 2);
  });
});

describe('the estimate of the strength', () => {
  // 23 · Is(50) of ASTM D5731, 15 to 50 of ISRM 1985 (from memory).
  it('by the general factor has the span of all rocks, and its grades', () => {
    const estimate = said(group(of('3.05')));
    expect(estimate['Estimated strength']).toBe('70 MPa (46 to 152), general K 23; estimated, not tested');
    expect(estimate['Grade by the estimate']).toBe('R4, strong; R3 to R5 over its interval');
    expect(estimate['Rating points, 1989']).toBe('7');
    expect(estimate['Class by the index alone, AS 1726']).toBe('very high');
  });
  // Ten pairs, K through the origin; the interval is that of one more core: t(9) 2.262.
  const site = {
    siteFactor: '22.392',
    siteScatter: '5.090',
    siteSquares: '162.97',
    sitePairs: '10',
    siteLeast: '1.8',
    siteMost: '6.0',
  };
  it('by the site’s own factor has the interval of its pairs', () => {
    expect(said(group(of('3.40'), { facts: site }))['Estimated strength']).toBe(
      '76 MPa (64 to 88), the site’s own K 22.4 from 10 pairs; estimated, not tested',
    );
    const straddling = said(group(of('2.20'), { facts: site }));
    expect(straddling['Estimated strength']).toMatch(/^49 MPa \(38 to 61\)/u);
    expect(straddling['Grade by the estimate']).toBe('R3, medium strong; R3 to R4 over its interval');
  });
  it('says where the site’s factor does not reach, and where it is of other rock', () => {
    const other = { ...site, moisture: 'saturated', 'site-moisture': 'received' };
    const remarks = group(of('7.1'), { facts: other }).derived?.remarks.join(' ');
    expect(remarks).toContain('lies outside the indices');
    expect(remarks).toContain('another moisture');
    expect(
      group(of('3.4'), { facts: { ...site, moisture: 'received', 'site-moisture': 'received' } }).derived
        ?.remarks,
    ).toEqual([]);
  });
  it('takes the project’s factor with where it comes from, or the law it names', () => {
    const own = { asked: { factor: '20' }, facts: { factorFrom: 'method statement of May' } };
    expect(said(group(of('3.4'), own))['Estimated strength']).toMatch(
      /^68 MPa .*K 20 method statement of May/u,
    );
    expect(said(group(of('3.4'), { facts: { law: 'gb' } }))['Estimated strength']).toMatch(
      /^57 MPa .*GB\/T 50218/u,
    );
    expect(said(group(of('3.4'), { facts: { law: 'is' } }))['Estimated strength']).toMatch(
      /^75 MPa .*IS 8764/u,
    );
    expect(said(group(of('3.4'), { facts: { ...site, law: 'general' } }))['Estimated strength']).toContain(
      'general K 23',
    );
  });
  it('of a rock too weak names no grade and asks for cores', () => {
    const weak = group(of('0.6'));
    expect(said(weak)['Estimated strength']).toMatch(/^14 MPa/u);
    expect(said(weak)['Grade by the estimate']).toBeUndefined();
    expect(weak.derived?.remarks.join()).toContain('Compress cores');
  });
  it('looks at pieces that differ threefold', () => {
    expect(group(of('1.5', '3.0', '4.9')).derived?.remarks.join()).toMatch(/3\.3 times the weakest/u);
    expect(group(of('1.5', '3.0', '4.4')).derived?.remarks).toEqual([]);
  });
  it('looks at the frame where many are no valid test', () => {
    expect(group(of('3.0', '3.1', '3.2'), { rejected: 2 }).derived?.remarks.join()).toMatch(
      /^2 of 5 were no/u,
    );
    expect(group(of('3.0', '3.1', '3.2'), { rejected: 1 }).derived?.remarks).toEqual([]);
  });
  it('is in the units of the job', () => {
    const estimate = said(group(of('442'), { system: 'US' }));
    expect(estimate['Estimated strength']).toBe(
      '10,200 psi (6,600 to 22,100), general K 23; estimated, not tested',
    );
  });
});

describe('what the project asks of a group', () => {
  const ten = of('3.1', '2.9', '3.3', '2.2', '3.0', '3.4', '2.8', '3.2', '2.7', '3.6');
  it('is held against the mean of those that count, the least of all, and the estimate', () => {
    const { verdicts } = group(ten, { asked: { leastIndex: '3.0', leastPiece: '2.5', leastStrength: '60' } });
    expect(verdicts.map(({ criterion, state }) => [criterion, state])).toEqual([
      ['rock-index-mean', 'meets'],
      ['rock-index-least', 'does not meet'],
      ['rock-estimate', 'meets'],
    ]);
    expect(verdicts[0]?.statistic).toBe('3.05');
    expect(verdicts[1]?.sentence).toContain('lowest 2.2 MPa');
  });
  it('decides nothing while pieces wait, and nothing where nothing is asked', () => {
    const waiting = group(ten, { asked: { leastIndex: '3.0' } }, true);
    expect(waiting.verdicts.map(({ state, sentence }) => [state, sentence])).toEqual([
      ['not yet determinable', 'Not yet determinable: needs those of the set that are not tested yet.'],
    ]);
    expect(waiting.text).toBe('3.05');
    expect(group(ten).verdicts).toEqual([]);
  });
});

// ISRM 1981, AS 1726 and the 1989 rating (from memory); a boundary belongs to the higher grade.
it.each([
  ['0.2', undefined],
  ['0.25', 'R0'],
  ['4.9', 'R1'],
  ['5', 'R2'],
  ['49.9', 'R3'],
  ['50', 'R4'],
  ['100', 'R5'],
  ['250', 'R6'],
])('%s MPa is of grade %s', (strength, sign) => {
  expect(gradeOf(exact(strength), limits, 'SI')?.sign).toBe(sign);
});
it.each([
  ['0.02', undefined, undefined],
  ['0.5', 'medium', undefined],
  ['1', 'high', '4'],
  ['3', 'very high', '7'],
  ['4', 'very high', '12'],
  ['11', 'extremely high', '15'],
])('an index of %s MPa is %s, with %s points', (index, named, points) => {
  expect(classOf(exact(index), limits, 'SI')).toBe(named);
  expect(ratingOf(exact(index), limits, 'SI')).toBe(points);
});
