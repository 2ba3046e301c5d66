import { describe, expect, it } from 'vitest';
import { gypsumOfVolume, sulfurPerCap } from '../../ends';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import { usableInput } from '..';
import { exampleBatch } from '../example-batch';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { waitsOf } from '../step-clock';
import { stepsOf } from '../steps-of';
import { capping } from '.';

const limits = new Limits();
const method = findMethod(capping.id) ?? capping;
const LABELS = ['M-1', 'M-2'];
const lot = (strength?: string, over: object = {}) => ({
  number: 'LOT-9',
  kind: 'capping compound',
  verifiedOn: '2031-06-02',
  ...(strength ? { strength } : {}),
  ...over,
});
function setupOf(equipment: object[] = [lot('3,720 psi')]): RunSetup {
  const { batch, zone } = exampleBatch('CB-9', LABELS, 'unit-full', []);
  const facts = { width: '7.625 in', length: '15.625 in' };
  return {
    ...(zone ? { zone } : {}),
    batch: { ...batch, specimens: batch?.specimens.map((each) => ({ ...each, facts })) ?? [] },
    equipment,
  } as RunSetup;
}
const at = (time: string): string => `2031-06-11T${time}:00Z`;
const pour = (specimen: string, end: string, time: string, over: object = {}) => ({
  specimen,
  end,
  at: at(time),
  ...over,
});
const base = {
  system: 'US',
  kind: 'gypsum',
  lot: 'LOT-9',
  sounding: 'sound',
  levelled: true,
  lastCapAt: at('09:40'),
};
const inputOf = (typed: Record<string, unknown> = {}) => usableInput(method, { ...base, ...typed }).input;
const found = (typed: Record<string, unknown> = {}, setup = setupOf()) =>
  method.compute(inputOf(typed), setup).findings.map(({ id, severity }) => `${severity} ${id}`);

// Arithmetic: 22.5 in³ of paste with a tenth of waste is 405.58 cm³; gypsum of 2.76 times the density of water.
describe('what is weighed out', () => {
  it.each([
    ['0.26', '651.7', '169.4'],
    ['0.30', '612.4', '183.7'],
  ])('at %s of water: %s g of gypsum and %s g of water', (ratio, gypsum, water) => {
    const mix = gypsumOfVolume(exact('22.5').times('16.387064'), exact(ratio), limits);
    expect([mix.gypsum.toFixed(1), mix.water.toFixed(1)]).toEqual([gypsum, water]);
  });
  it('sulfur by the open mould and the depth of the pour', () => {
    // The mould is half an inch larger than the brick: 4.1 × 4.3 × 0.20 in at 130 lb/ft³.
    expect(sulfurPerCap({ width: exact('3.6'), length: exact('3.8') }, 'US', limits).toFixed(3)).toBe(
      '0.265',
    );
    const si = sulfurPerCap({ width: exact('91'), length: exact('97') }, 'SI', limits);
    expect(Number(si)).toBeCloseTo((104 * 110 * 5 * 2080) / 1e9, 9);
  });
  it('is said before the first cap, with the steps that block wants and those of concrete gone', () => {
    const items = method.plan('US', setupOf()).map(({ label }) => label);
    expect(items).toContain('Gypsum for all caps');
    const steps = stepsOf(method, setupOf()).map(({ id }) => id);
    expect(steps).toContain('mix');
    expect(steps).not.toContain('planeness');
    expect(stepsOf(method, {}).map(({ id }) => id)).not.toContain('mix');
  });
});

// ASTM C1552 (from memory).
describe('caps of masonry', () => {
  it('are mixed between 0.26 and 0.30, as the ratio is reported', () => {
    const mix = (gypsum: string, water: string) =>
      found({ mixes: [{ gypsum, water, at: at('08:10') }] }).filter((each) => each.includes('ratio'));
    expect(mix('650', '169')).toEqual([]);
    expect(mix('612.4', '183.7')).toEqual([]);
    expect(mix('650', '200')).toEqual(['invalid caps.gypsum-ratio.1']);
    expect(mix('650', '160')).toEqual(['invalid caps.gypsum-ratio.1']);
    // 0.304 is 0.30.
    expect(mix('1000', '304')).toEqual([]);
  });
  it('need cubes on file, and strong ones', () => {
    expect(found({}, setupOf([lot()]))).toContain('departure caps.unit-strength');
    expect(found({}, setupOf([lot('3,490 psi')]))).toContain('invalid caps.unit-strength');
    expect(found().some((each) => each.includes('unit-strength'))).toBe(false);
  });
  it('are thin and sound, each by itself; the last look counts', () => {
    const look = (thickness: string, is = 'sound', end = '1') => ({
      specimen: 'M-1',
      end,
      thickness,
      look: is,
    });
    expect(found({ inspected: [look('0.115')] })).not.toContain('advice caps.unit-thick');
    expect(found({ inspected: [look('0.13')] })).toContain('advice caps.unit-thick');
    expect(found({ inspected: [look('0.1', 'patched')] })).toContain('advice caps.unit-thick');
    expect(found({ inspected: [look('0.13'), look('0.11')] })).not.toContain('advice caps.unit-thick');
    const tells = (label: string) =>
      method.batch?.tells(
        inputOf({ inspected: [look('0.13')] }),
        { label, batch: 'CB-9', remarks: [] },
        setupOf(),
      ).ends as { troubles: string[] };
    expect(tells('M-1').troubles).toEqual(['end 1 0.13 in thick']);
    expect(tells('M-2').troubles).toEqual([]);
  });
  it('harden two hours from the younger of a unit, which then waits at the press', () => {
    const pours = [pour('M-1', '1', '08:12'), pour('M-1', '2', '09:40'), pour('M-2', '1', '08:20')];
    const waits = waitsOf(method, inputOf({ pours }), setupOf());
    expect(waits).toMatchObject([
      { about: 'M-1', lane: 'press', opens: '2031-06-11T11:40:00.000Z' },
      { about: 'M-2', lane: 'press', opens: '2031-06-11T10:20:00.000Z' },
    ]);
  });
  it('of sulfur count from when they were lifted, and the pot waits to be filled again', () => {
    const pours = [pour('M-1', '2', '09:38', { lifted: at('09:40') })];
    const sulfur = { kind: 'sulfur', safe: true, pours };
    const opens = (typed: object) => waitsOf(method, inputOf({ ...sulfur, ...typed }), setupOf());
    expect(opens({})[0]?.opens).toBe('2031-06-11T11:40:00.000Z');
    expect(opens({}).find(({ id }) => id === 'refill')?.done).toBeUndefined();
    expect(opens({ addedAt: at('16:00') }).find(({ id }) => id === 'refill')?.done).toBe(at('16:00'));
  });
  it('are not poured out of an empty pot, nor at another temperature than the sheet of the lot asks for', () => {
    const sulfur = { kind: 'sulfur', safe: true };
    expect(found({ ...sulfur, potMass: '1' })).toContain('advice caps.pot-low');
    expect(found({ ...sulfur, potMass: '20' })).not.toContain('advice caps.pot-low');
    const own = setupOf([lot('3,720 psi', { compound: { potLow: '290 degF', potHigh: '305 degF' } })]);
    expect(found({ ...sulfur, potStart: '298' })).toContain('departure caps.pot');
    expect(found({ ...sulfur, potStart: '298' }, own)).not.toContain('departure caps.pot');
    expect(found({ ...sulfur, potStart: '280' }, own)).toContain('departure caps.pot');
    expect(found({ ...sulfur, potStart: '330' }, own)).toContain('invalid caps.pot-stop');
  });
  it('ask for nothing that is asked of moist concrete', () => {
    const late = { ...base, firstCapAt: at('02:00') };
    expect(
      found(late, { ...setupOf(), asOf: at('14:00') }).some((each) => each.includes('out-of-moist')),
    ).toBe(false);
  });
});
