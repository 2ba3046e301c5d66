import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { countedBothWays, type Dial, loadAtTurn, readDial } from './dial';
import { chooseSpacers, missingSpacer, type PressSpace, stackOf } from './spacers';

const dial = (major: number, minor: number, fullScale: number): Dial => ({
  major: exact(major),
  minor: exact(minor),
  fullScale: exact(fullScale),
});
const COMMON = dial(5000, 500, 250_000);

function load(words: string, on: Dial): string {
  const read = readDial(words, on);
  return read.ok ? read.load.toFixed() : read.message;
}

describe('what a needle says', () => {
  // Counting on a dial of numbered and small marks: common practice, no source.
  it.each([
    ['7 past 45,000', COMMON, '48500'],
    ['seven small marks over 45', COMMON, '48500'],
    ['45,000 + 7', COMMON, '48500'],
    ['2 short of 70,000', COMMON, '69000'],
    ['two minor divisions below 70', COMMON, '69000'],
    ['one small mark over 60', COMMON, '60500'],
    ['half a mark over 60', COMMON, '60250'],
    ['three and a half past 130,000', dial(10_000, 1000, 300_000), '133500'],
    ['3.5 past 130', dial(10_000, 1000, 300_000), '133500'],
    ['3 1/2 past 130', dial(10_000, 1000, 300_000), '133500'],
    ['6 past 340', dial(20, 2, 1000), '352'],
    ['61,250', COMMON, '61250'],
    ['0', COMMON, '0'],
  ])('%s', (words, on, expected) => expect(load(words, on)).toBe(expected));

  it.each([
    ['12 past 45,000', 'There are 10 small marks'],
    ['7 past 47,000', 'Count from a numbered mark'],
    ['3 past 250,000', 'The dial ends at 250,000'],
    ['48,510', 'lies between the marks'],
    ['some past 45,000', 'is no number'],
    ['about fifty', 'Type the load'],
    ['', 'Type the load'],
  ])('refuses %s', (words, why) => expect(load(words, COMMON)).toContain(why));

  it('counts both ways to the same load', () => {
    expect(countedBothWays(exact(48_500), COMMON)).toEqual({
      up: '7 past 45,000',
      down: '3 short of 50,000',
    });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 499 }), (marks) => {
        const at = exact(marks).times(500);
        const { up, down } = countedBothWays(at, COMMON);
        expect(load(up, COMMON)).toBe(at.toFixed());
        expect(load(down, COMMON)).toBe(at.toFixed());
      }),
    );
  });

  it('takes a needle drawn anywhere to the nearest half mark', () => {
    expect(loadAtTurn(0.2421, COMMON).toFixed()).toBe('60500');
    expect(loadAtTurn(-1, COMMON).toFixed()).toBe('0');
    expect(loadAtTurn(2, COMMON).toFixed()).toBe('250000');
  });
});

describe('spacers', () => {
  const space = (assembly: string, more: Partial<Record<'give' | 'spacers', string[]>> = {}): PressSpace => ({
    clearHeight: exact('18.5'),
    lowerBlock: exact('2'),
    stroke: exact('2.5'),
    spacers: (more.spacers ?? ['4', '2', '1.5', '1', '0.5']).map((each) => exact(each)),
    assembly: exact(assembly),
    give: exact(more.give?.[0] ?? '0.346'),
    gap: { low: exact('0.375'), target: exact('0.625'), high: exact('1') },
    margin: { length: exact('0.5'), percent: exact('20') },
  });
  const heights = (assembly: string): string[] =>
    chooseSpacers(space(assembly)).spacers.map((each) => each.toFixed());

  // Worked by hand from the rule that the gap must lie between 0.375 and 1 in: our choice.
  it('fills up under a 4 × 8 with pads: 4 and 2, gap 0.50, travel 0.846 of 2.00', () => {
    const stack = chooseSpacers(space('10'));
    expect(stack.spacers.map((each) => each.toFixed())).toEqual(['4', '2']);
    expect(stack.gap.toFixed()).toBe('0.5');
    expect(stack.travel.toFixed()).toBe('0.846');
    expect(stack.usable.toFixed()).toBe('2');
    expect(stack.trouble).toBe('none');
  });
  it('takes the fewest pieces, then the gap nearest the target: 2 and 1.5 under a capped 6 × 12', () => {
    expect(heights('12.25')).toEqual(['2', '1.5']);
  });
  it('says when nothing the machine has will do', () => {
    const stack = chooseSpacers(space('2'));
    expect(stack.trouble).toBe('beyond the stroke');
    expect(missingSpacer(space('2'), stack)?.toFixed()).toBe('4.875');
  });
  it('knows a stack that does not go in, and what to take instead', () => {
    const tall = space('14');
    expect(stackOf(tall, [exact('2'), exact('0.5')]).trouble).toBe('does not go in');
    expect(heights('14')).toEqual(['2']);
  });
  it('tells a gap that is too small from one that is too large', () => {
    expect(stackOf(space('14.2'), [exact('2')]).trouble).toBe('gap too small');
    expect(stackOf(space('13'), [exact('2')]).trouble).toBe('gap too large');
    expect(missingSpacer(space('14.2'), stackOf(space('14.2'), [exact('2')]))).toBeUndefined();
  });
});
