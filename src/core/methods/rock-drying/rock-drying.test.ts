import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { usableInput } from '../validate';

const method = findMethod('rock-drying') as NonNullable<ReturnType<typeof findMethod>>;
const water = findMethod('rock-water') as NonNullable<ReturnType<typeof findMethod>>;
const IN = Date.parse('2031-06-11T09:40:00-04:00');
const at = (hours: number): string => new Date(IN + hours * 3_600_000).toISOString();
const SETUP: RunSetup = {
  zone: 'America/New_York',
  batch: { label: 'RD-7', seed: 1, specimens: [{ label: 'L1' }, { label: 'L2' }] },
};
type Row = Readonly<Record<string, string>>;
const tin = (specimen: string, tinMass: string, wetMass: string, more: Row = {}): Row => ({
  ...{
    id: specimen.toLowerCase(),
    specimen,
    tin: `T-${specimen}`,
    tinMass,
    wetMass,
    wetAt: at(-0.1),
    ...more,
  },
});
const out = (specimen: string, mass: string, hours: number): Row => ({
  ...{ id: `${specimen.toLowerCase()}${hours}`.replace('.', 'h'), specimen, mass, at: at(hours) },
});
const dried = (tins: readonly Row[], weighings: readonly Row[], more: object = {}) => {
  const { input } = usableInput(method, {
    ...{ system: 'SI', dried: 'usual', temperature: '110', inAt: at(0), tins, weighings, ...more },
  });
  return {
    ...method.compute(input, SETUP),
    waits: method.waits?.(input, SETUP) ?? [],
    tells: (label: string) => method.batch?.tells(input, { label, batch: 'RD-7', remarks: [] }, SETUP) ?? {},
  };
};
const ids = ({ findings }: { findings: readonly { id: string }[] }) => findings.map(({ id }) => id);

// ASTM D2216 (from memory): figures by hand.
describe('several tins in one oven', () => {
  // 546.77 g of pieces lose 0.80 g, 0.146 %: not dry. 572.9 g lose 0.25 g, 0.044 %: dry.
  const done = dried(
    [tin('L1', '25.13', '588.42'), tin('L2', '31.20', '612.40')],
    [out('L1', '571.90', 13), out('L1', '571.10', 14.5), out('L2', '604.10', 13), out('L2', '603.85', 14.5)],
  );
  it('are dry each by itself, by the loss of its pieces and not of the tin', () => {
    expect(done.results.map(({ about, text }) => [about, text])).toEqual([['L2', '572.65']]);
    expect(done.waits.map(({ about, done: over }) => [about, over !== undefined])).toEqual([
      ['L1', false],
      ['L2', true],
    ]);
  });
  it('tell each of the specimens its own masses, without the tin', () => {
    expect(done.tells('L2')).toEqual({
      oven: 'RD-7',
      wetAt: at(-0.1),
      wetPieces: '581.2 g',
      dryPieces: '572.65 g',
    });
    expect(done.tells('L1')).toEqual({ oven: 'RD-7', wetAt: at(-0.1), wetPieces: '563.29 g' });
  });
  it('the water content of one in the oven with others follows from what it is told', () => {
    const { input } = usableInput(water, { system: 'SI', finishedAt: at(15) });
    const found = water.compute(input, { facts: done.tells('L2') as RunSetup['facts'] });
    // 8.55 over 572.65 g.
    expect(found.results[0]?.text).toBe('1.5');
    expect(ids(found)).toEqual([]);
    expect(water.compute(input, { facts: done.tells('L1') as RunSetup['facts'] }).results).toEqual([]);
    expect(water.waits?.(input, { facts: { oven: 'RD-7' } })).toEqual([]);
  });
  it.each([
    [[tin('L1', '600', '588')], [], 'water.order.L1'],
    [[tin('L1', '25', '588')], [out('L1', '20', 13)], 'water.order.L1'],
    [[tin('L1', '25', '588')], [out('L1', '590', 13)], 'water.order.L1'],
    [[], [out('L1', '571', 13)], 'water.no-tin.L1'],
    [[tin('L1', '25', '900')], [out('L1', '571', 13)], 'water.most.L1'],
    [[tin('L1', '25', '588', { tin: 'T-3' }), tin('L2', '25', '588', { tin: 't-3' })], [], 'water.tin-twice'],
    [[tin('L9', '25', '588')], [], 'tins.strange'],
  ])('%j and %j: %s', (tins, weighings, id) => {
    expect(ids(dried(tins, weighings))).toContain(id);
  });
  it('an oven that is too hot, and one that is gentle', () => {
    expect(ids(dried([], [], { temperature: '125' }))).toContain('water.oven');
    const gentle = dried([tin('L1', '25', '600')], [], { dried: 'gentle', temperature: '60' });
    expect(ids(gentle)).not.toContain('water.gentle');
    expect(gentle.tells('L1')).toMatchObject({ gently: true });
    const { input } = usableInput(water, { system: 'SI' });
    expect(ids(water.compute(input, { facts: { oven: 'RD-7', gently: true } }))).toContain('water.gently');
  });
});

it('a tin that was weighed by itself keeps its own readings, whatever oven it is laid into', () => {
  const { input, setup } = water.example('SI');
  const alone = water.compute(usableInput(water, input).input, setup);
  const laid = { ...setup, facts: { ...setup.facts, oven: 'RD-7', wetPieces: '500 g', dryPieces: '400 g' } };
  expect(water.compute(usableInput(water, input).input, laid).results).toEqual(alone.results);
});

it('a tin that stands alone has to be weighed, or it has no result', () => {
  const { input } = usableInput(water, { system: 'SI', finishedAt: at(15) });
  expect(ids(water.compute(input, {}))).toContain('water.missing');
  expect(ids(water.compute(usableInput(water, { system: 'SI' }).input, {}))).toEqual([]);
});
