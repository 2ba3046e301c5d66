import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import { findMethod } from '../registry';
import { waitsOf } from '../step-clock';
import { ovenDrying } from '.';

const method = findMethod(ovenDrying.id) ?? ovenDrying;
const setup = { batch: { label: 'OV-1', seed: 1, specimens: [{ label: 'U4' }, { label: 'U5' }] } };
const START = Date.UTC(2031, 4, 21, 10, 0);
const at = (hours: number): string => new Date(START + hours * 3_600_000).toISOString();
type Read = readonly (readonly [label: string, mass: string, hours: number])[];
const input = (...read: Read) =>
  usableInput(method as never, {
    system: 'US',
    inAt: at(0),
    weighings: read.map(([specimen, mass, hours]) => ({ specimen, mass, at: at(hours) })),
  }).input as never;
const dry = (label: string, ...read: Read) =>
  method.batch?.tells(input(...read), { label, batch: 'OV-1', remarks: [] }, setup);
const wait = (...read: Read) =>
  waitsOf(method, input(...read), setup).map(({ about, opens, done }) => [about, opens, done !== undefined]);

// ASTM C140/C140M 8 (from memory). The walk: 0.276 % at 28 h, so it waits from 30 h; 29 h moves nothing; 0.154 % ends it.
describe('specimens in the oven', () => {
  const three = [
    ['U4', '32.75', 24],
    ['U4', '32.58', 26],
    ['U4', '32.49', 28],
  ] as const;
  it('wait each for its own next weighing that counts', () => {
    expect(wait()).toEqual([
      ['U4', at(24), false],
      ['U5', at(24), false],
    ]);
    expect(wait(...three)[0]).toEqual(['U4', at(30), false]);
    expect(wait(...three, ['U4', '32.46', 29])[0]).toEqual(['U4', at(30), false]);
    expect(wait(...three, ['U4', '32.44', 30])[0]).toEqual(['U4', at(30), true]);
  });
  it('have no dry mass before two weighings show it, then the lowest', () => {
    expect(dry('U4', ...three)).toEqual({});
    expect(dry('U4', ...three, ['U4', '32.44', 30])).toEqual({ dryMass: '32.44 lb' });
    expect(dry('U4', ...three, ['U4', '32.41', 29], ['U4', '32.44', 30])).toEqual({ dryMass: '32.41 lb' });
    expect(dry('U5', ...three, ['U4', '32.44', 30])).toEqual({});
  });
  it('give a result of each that is dry, by its label', () => {
    const { results } = method.compute(input(...three, ['U4', '32.44', 30]), setup);
    expect(results.map(({ about, text }) => [about, text])).toEqual([['U4', '32.44']]);
  });
  it('say of a weighing that came too early when it counts', () => {
    const { findings } = method.compute(input(...three, ['U4', '32.46', 29]), setup);
    expect(findings.find(({ id }) => id === 'drying.early.U4')?.message).toContain('1 h too early');
  });
  it('cannot be called dry on a day alone', () => {
    const open = usableInput(method as never, {
      ...(input(['U4', '32.75', 24]) as object),
      dryAt: at(25),
    }).input as never;
    expect(method.compute(open, setup).findings.map(({ id }) => id)).toContain('drying.open');
  });
  it('point at the oven where it would take too long, or gains', () => {
    const slow = method.compute(input(['U4', '33.40', 24], ['U4', '33.20', 26], ['U4', '33.03', 28]), setup);
    expect(slow.findings.map(({ id }) => id)).toContain('drying.slow.U4');
    const gains = method.compute(input(['U4', '32.80', 24], ['U4', '32.83', 26]), setup);
    expect(gains.findings.map(({ id }) => id)).toContain('drying.gained.U4');
    const hot = usableInput(method as never, { ...(input() as object), hottest: '320' }).input as never;
    expect(method.compute(hot, setup).findings.map(({ id }) => id)).toContain('oven.stop');
  });
  it.each([
    [['229', '231'], []],
    // 221 to 239 °F; above 300 °F nothing counts: our choice.
    [['219', '231'], ['departure oven.log-range']],
    [['230', '241'], ['departure oven.log-range']],
    [['230', '310'], ['invalid oven.log-hot']],
    [[], []],
  ])('of which the recorder read %j °F: %j', (read, said) => {
    const log = read.map((temperature, place) => ({ temperature, at: at(2 + place) }));
    const typed = usableInput(method as never, { ...(input() as object), log }).input as never;
    const found = method.compute(typed, setup).findings.map(({ id, severity }) => `${severity} ${id}`);
    expect(found.filter((each) => /oven/u.test(each))).toEqual(said);
  });
});
