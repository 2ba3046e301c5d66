import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { absorptionMost, COUNTS } from '../../pipe/absorption';
import { exact } from '../../quantity';
import { findMethod } from '../registry';
import { usableInput } from '../validate';
import { derives } from './compute';

const method = findMethod('pipe-absorption') as NonNullable<ReturnType<typeof findMethod>>;
const day = Date.UTC(2031, 8, 18, 12);
const at = (hours: number): string => new Date(day + hours * 3_600_000).toISOString();

/** A piece of a wall 2.5 in thick, dry after 56 h by its last two masses. */
function weighed(
  dry: readonly (readonly [mass: string, hours: number])[],
  wet?: string,
  more: object = {},
  by: 'a' | 'b' = 'a',
  earlier: readonly string[] = [],
) {
  const { input } = usableInput(method, {
    system: 'US',
    ...{ piece: 'sound', thickness: '2.5', temperature: '230', inAt: at(0) },
    weighings: dry.map(([mass, hours], place) => ({ id: `w${place}`, mass, at: at(hours) })),
    ...(wet ? { wet } : {}),
    ...more,
  });
  const setup = { facts: { absorptionBy: by, earlier } };
  return { ...method.compute(input, setup), waits: method.waits?.(input, setup) ?? [] };
}
const ids = ({ findings }: { findings: readonly { id: string }[] }) => findings.map(({ id }) => id);

// ASTM C497 (from memory): of the dry mass; dry where six hours more lose no more than 0.10 %. Quotients by hand.
describe('absorption of a wall', () => {
  it.each([
    ['1486.2', '1572.9', '5.8'],
    ['1320.5', '1440.7', '9.1'],
    ['1250.0', '1362.5', '9.0'],
    ['2303.0', '2481.6', '7.8'],
  ])('%s g dry and %s g wiped: %s %%', (dry, wet, text) => {
    const done = weighed(
      [
        [dry, 48],
        [dry, 54],
      ],
      wet,
    );
    expect(done.results[0]?.text).toBe(text);
    expect(ids(done)).not.toContain('pipe-water.loss');
  });
  it('is not taken of a piece that is not dry', () => {
    const one = [
      ['1487.9', 48],
      ['1486.2', 54],
    ] as const;
    expect(ids(weighed(one, '1572.9'))).toContain('pipe-water.loss');
    expect(weighed(one).waits).toMatchObject([{ id: 'weigh', opens: at(60) }]);
    const dry = weighed([...one, ['1485.3', 60]], '1572.9');
    expect(ids(dry)).not.toContain('pipe-water.loss');
    expect(dry.waits[0]?.done).toBe(at(60));
  });
  it.each([
    ['1.5', 24],
    ['1.6', 48],
    ['3', 48],
    ['3.1', 72],
  ])('a wall of %s in waits %i h for the first weighing that counts', (thickness, hours) => {
    expect(weighed([], undefined, { thickness }).waits).toMatchObject([{ opens: at(hours) }]);
  });
  it('a wet mass below the dry one, a small piece, a strange number and missing times are told', () => {
    const dry = [
      ['800.0', 48],
      ['800.0', 54],
    ] as const;
    expect(ids(weighed(dry, '790.0'))).toEqual(
      expect.arrayContaining(['pipe-water.order', 'pipe-water.mass-a']),
    );
    expect(ids(weighed(dry, '910.0'))).toContain('pipe-water.likely');
    expect(ids(weighed(dry, '850.0', { weighedAt: at(80) }))).toContain('pipe-water.times');
    expect(ids(weighed(dry, '850.0', {}, 'b'))).not.toContain('pipe-water.mass-b');
  });
  it.each([
    ['a', { heatAt: at(60), boilingAt: at(61.5), offAt: at(66.6), outAt: at(82) }, []],
    ['a', { heatAt: at(60), boilingAt: at(60.5) }, ['pipe-water.heat']],
    ['a', { boilingAt: at(61), offAt: at(65.9) }, ['pipe-water.boil-a']],
    ['a', { boilingAt: at(61), offAt: at(66.3) }, ['pipe-water.boil-a']],
    ['a', { offAt: at(66), outAt: at(79) }, ['pipe-water.cool-a']],
    ['b', { boilingAt: at(61), offAt: at(64.1), outAt: at(67.2) }, []],
    [
      'b',
      { boilingAt: at(61), offAt: at(63.5), outAt: at(66.4) },
      ['pipe-water.boil-b', 'pipe-water.cool-b'],
    ],
  ] as const)('by method %s its clocks %j: %j', (by, times, found) => {
    const dry = [
      ['1250', 48],
      ['1250', 54],
    ] as const;
    const said = ids(weighed(dry, '1330', times, by)).filter((id) => /heat|boil|cool/u.test(id));
    expect(said).toEqual(found);
  });
});

// ASTM C76 (from memory): 9.0 % by method A, 8.5 % by B; another piece of the same pipe stands in the place of one that fails.
describe('which piece counts', () => {
  const about = (values: readonly string[], most?: string) => ({
    pieces: values.map((value, place) => ({
      ...{ label: `W${place + 1}`, value, used: true, quantities: {} },
    })),
    ...({
      rejected: 0,
      facts: {},
      system: 'US',
      unit: 'percent',
      limits: new Limits(),
      mode: 'half-even',
    } as const),
    asked: (name: string) => (name === 'absorptionMost' && most ? exact(most) : undefined),
    said: () => undefined,
  });
  it.each([
    [['5.8'], undefined, '5.8'],
    [['9.1', '7.2'], undefined, '7.2'],
    [['9.1'], undefined, '9.1'],
    // The first is good: another that was made besides changes nothing.
    [['8.9', '9.4'], undefined, '8.9'],
    [['8.9', '7.0'], '8', '7.0'],
  ])('%j, at most %s: %s', (values, most, counts) => {
    expect(derives(exact(0), about(values, most)).values[COUNTS]).toBe(counts);
  });
  it('is held against its method, or what the owner asks', () => {
    const of = (said: string | undefined, most?: string) =>
      absorptionMost({ ...about([], most), said: () => said })?.toString();
    expect([of(undefined), of('a'), of('b'), of('b', '7.5')]).toEqual(['9', '9', '8.5', '7.5']);
  });
});

it.each([
  [['6.0 percent', '5.0 percent'], false],
  [['5.0 percent', '4.6 percent'], true],
  [[], false],
])('against earlier pieces %j: a rise is said: %s', (earlier, said) => {
  // 5.83 %, by hand.
  const dry = [
    ['1486.2', 48],
    ['1486.2', 54],
  ] as const;
  expect(ids(weighed(dry, '1572.9', {}, 'a', earlier)).includes('pipe-water.rise')).toBe(said);
});
