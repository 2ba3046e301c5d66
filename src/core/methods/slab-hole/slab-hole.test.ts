import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { type Method, usableInput } from '..';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';

const slabHole = findMethod('slab-hole') as Method;
const GOOD = {
  scanned: 'clear',
  thicknessBy: 'core',
  drilled: 'dry',
  cleaned: true,
  lined: true,
  sealedAt: '2031-03-02T10:20:00-05:00',
};
const hole = (thickness: string, depth: string, slab = 'grade', over: object = {}, system = 'US') => {
  const { input } = usableInput(slabHole, { system, ...GOOD, thickness, depth, ...over });
  const setup: RunSetup = { facts: { slab } };
  return { ...slabHole.compute(input, setup), input, setup };
};
const ids = ({ findings }: Pick<ReturnType<typeof hole>, 'findings'>) => findings.map(({ id }) => id);

describe('a hole for humidity', () => {
  // ASTM F2170 (from memory): 40 % of the thickness, 20 % where the slab dries from both sides.
  it.each([
    ['4.00', '1.60', 'grade', 1.6, 'right'],
    ['4.00', '1.725', 'deck', 1.6, 'right'],
    ['4.00', '1.73', 'deck', 1.6, 'deep'],
    ['5.25', '1.60', 'grade', 2.1, 'shallow'],
    ['8.00', '1.60', 'ventilated', 1.6, 'right'],
    ['8.00', '3.20', 'ventilated', 1.6, 'deep'],
    ['8.00', '1.60', 'below', 3.2, 'shallow'],
  ])('%s in thick and %s deep, %s: %d in is asked for, %s', (thickness, depth, slab, wanted, lies) => {
    const { picture, results } = hole(thickness, depth, slab);
    expect(picture.values.wanted).toBeCloseTo(wanted, 9);
    expect(picture.values.lies).toBe(lies);
    expect(Number(results[0]?.value)).toBeCloseTo((100 * Number(depth)) / Number(thickness), 9);
  });
  it('says what a hole off its depth does to its readings', () => {
    expect(hole('5.25', '1.60').findings[0]).toMatchObject({ id: 'slab.depth', severity: 'departure' });
    expect(hole('5.25', '1.60').findings[0]?.action).toContain('reads low');
    expect(hole('5.25', '2.40').findings[0]?.action).toContain('reads high');
    expect(hole('133', '53', 'grade', {}, 'SI').findings).toEqual([]);
    expect(ids(hole('133', '57', 'grade', {}, 'SI'))).toEqual(['slab.depth']);
  });
  it('is none where it goes through the slab', () => {
    const { findings, results } = hole('4', '4');
    expect(findings[0]).toMatchObject({ id: 'slab.depth', severity: 'invalid' });
    expect(results).toEqual([]);
  });
  it('is none after water, over a tendon, with a loose liner; without a scan it takes a reason', () => {
    const severity = (over: object) =>
      hole('5', '2', 'grade', over).findings.map((each) => [each.id, each.severity]);
    expect(severity({ drilled: 'wet' })).toEqual([['slab.wet', 'invalid']]);
    expect(severity({ scanned: 'obstructed' })).toEqual([['slab.obstructed', 'invalid']]);
    expect(severity({ lined: false })).toEqual([['slab.liner', 'invalid']]);
    expect(severity({ thicknessBy: 'drawing' })).toEqual([['slab.drawing', 'departure']]);
    expect(hole('5', '2', 'grade', { scanned: 'not' }).findings[0]).toMatchObject({ needsReason: true });
  });
  it('waits from a day after it was sealed until it was read, counted by instants', () => {
    const { input, setup } = hole('5', '2');
    const [wait] = slabHole.waits?.(input, setup) ?? [];
    expect(wait).toMatchObject({ lane: 'slab', opens: '2031-03-03T15:20:00.000Z', stays: true });
    expect(wait?.done).toBeUndefined();
    const readAt = '2031-03-04T09:00:00-05:00';
    expect(slabHole.waits?.(input, { facts: { ...setup.facts, readAt } })[0]?.done).toBe(
      '2031-03-04T14:00:00.000Z',
    );
    expect(slabHole.waits?.(hole('5', '2', 'grade', { sealedAt: undefined }).input, setup)).toEqual([]);
  });
});

// ASTM F2170: 24 h, in its editions to 2011 72 h (from memory).
it.each([
  [undefined, '2031-03-03T15:20:00.000Z'],
  ['2011', '2031-03-05T15:20:00.000Z'],
])('is read from its time on, by the edition %s', (edition, opens) => {
  const { input } = hole('4.00', '1.60');
  expect(slabHole.waits?.(input as never, { facts: edition ? { edition } : {} })).toMatchObject([{ opens }]);
});

it('that was formed when it was cast is told as a variant', () => {
  const formed = hole('4.00', '1.60', 'grade', { drilled: 'formed' });
  expect(formed.findings.map(({ id, severity }) => `${severity} ${id}`)).toEqual(['departure slab.formed']);
  expect(formed.results).toHaveLength(1);
});
