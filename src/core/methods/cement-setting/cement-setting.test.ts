import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { usableInput } from '../validate';
import { nextFall } from './compute';
import type { CementSettingInput } from './input';

const method = findMethod('cement-setting') as NonNullable<ReturnType<typeof findMethod>>;
const CONTACT = Date.UTC(2031, 8, 12, 12, 12);
const at = (minutes: number): string => new Date(CONTACT + minutes * 60_000).toISOString();
const FACTS = { cementType: 'c150.I', consistency: '27.0 percent' };

/** Falls by text, `minutes:mm`, and what more stands in their rows. */
const ring = (
  falls: string,
  more: Readonly<Record<string, unknown>> = {},
  rows: Readonly<Record<number, object>> = {},
  setup: RunSetup = { facts: FACTS },
) => {
  const { input } = usableInput(method, {
    ...{ system: 'US', cement: '650', water: '175.5', contactAt: at(0), mouldedAt: at(7) },
    falls: falls
      .split(' ')
      .filter(Boolean)
      .map((pair, place) => {
        const [minutes = '0', depth = '0'] = pair.split(':');
        return { id: `f${place}`, at: at(Number(minutes)), depth, ...rows[place] };
      }),
    ...more,
  });
  return {
    ...method.compute(input, setup),
    next: nextFall(input as CementSettingInput, setup),
    waits: method.waits?.(input, setup) ?? [],
  };
};
type Told = ReturnType<typeof ring>;
const ids = ({ findings }: Told) => findings.map(({ id }) => id);
const texts = ({ results }: Told) => results.map(({ text }) => text);
const state = ({ verdicts }: Told) => verdicts[0]?.state;
const NORMAL = '37:40 52:40 67:39 82:38 97:34 112:28 127:19 142:11';

// ASTM C191 (from memory); minutes by hand.
describe('a ring under the needle', () => {
  it('has its initial set between two falls, and meets its type', () => {
    const told = ring(NORMAL);
    expect(texts(told)).toEqual(['117']);
    expect(state(told)).toBe('meets');
    expect(ids(told)).toEqual([]);
  });
  it.each([
    // 47.5 min: half to even.
    ['37:27.0 45:25.2 60:24', '48', 'meets'],
    ['30:31.2 45:24.9', '45', 'meets'],
    ['375:25.6 390:19.0', '376', 'does not meet'],
    ['37:21', '≤ 37', 'does not meet'],
    // It may be met yet.
    ['37:40 52:38', '≥ 52', 'not yet determinable'],
  ])('%s: %s min, %s', (falls, text, verdict) => {
    const told = ring(falls);
    expect(texts(told)[0]).toBe(text);
    expect(state(told)).toBe(verdict);
  });
  it('376 min fail C150 and meet C595', () => {
    const told = ring('375:25.6 390:19.0', {}, {}, { facts: { ...FACTS, cementType: 'c595.IL' } });
    expect(state(told)).toBe('meets');
  });
  it('a fall with paste on the needle counts for nothing; the falls about it are far apart', () => {
    const told = ring('37:40 105:33 120:17 135:24', {}, { 2: { wrong: 'dirty' } });
    expect(texts(told)).toEqual(['132']);
    expect(ids(told)).toEqual(expect.arrayContaining(['setting.falls', 'setting.gap']));
  });
  it('falls further apart than half an hour give a bracket, and decide nothing', () => {
    const told = ring('37:40 90:33 130:20');
    expect(told.results[0]?.provisional).toMatch(/between 90 and 130 min/u);
    expect(state(told)).toBe('not yet determinable');
  });
  it.each([
    [{ wrong: 'bent' }],
    [{ wrong: 'jolt' }],
    [{ wrong: 'slowed' }],
    [{ settled: '25' }],
    [{ x: '0', y: '25' }],
  ])('%j: it does not count', (row) => {
    expect(ids(ring('112:28 127:19', {}, { 1: row }))).toContain('setting.falls');
  });
  it('a soft paste may be slowed by the fingers', () => {
    expect(ids(ring('37:40 52:39.5', {}, { 1: { wrong: 'slowed' } }))).not.toContain('setting.falls');
  });
  it('a hole too near another counts for nothing, whether that one counted or not', () => {
    const near = { 0: { x: '0', y: '0', wrong: 'dirty' }, 1: { x: '3', y: '0' } };
    expect(ids(ring('112:28 127:19', {}, near))).toContain('setting.falls');
  });
  it('a needle that goes deeper again is said', () => {
    expect(ids(ring('37:40 105:30 120:23 135:27'))).toContain('setting.rise');
  });
  it('a needle that stood on the plate before the set is said', () => {
    expect(ids(ring('37:40 52:24'))).toContain('setting.plate');
  });
  it('the first fall comes half an hour after moulding, not after the water', () => {
    expect(ids(ring('30:40 45:40'))).toContain('setting.first');
    expect(ids(ring('37:40 52:40'))).not.toContain('setting.first');
  });
});

describe('the final set', () => {
  const FINAL = `${NORMAL} 217:1 232:0 232.667:0 233.25:0`;
  const none = (...places: readonly number[]) =>
    Object.fromEntries(places.map((place) => [place, { circle: 'none' }]));
  it('is the first of three without a circle, to five minutes', () => {
    const told = ring(FINAL, {}, { 8: { circle: 'whole' }, ...none(9, 10, 11) });
    expect(texts(told)).toEqual(['117', '230']);
    expect(told.next).toBeUndefined();
  });
  it('waits for the two others at once', () => {
    const told = ring(`${NORMAL} 232:0`, {}, none(8));
    expect(texts(told)).toEqual(['117']);
    expect(told.next).toBeCloseTo(232, 3);
    expect(told.picture.values).toMatchObject({ more: 2 });
  });
});

describe('the next fall', () => {
  it.each([
    ['', {}, 'c150.I', 37],
    [NORMAL, {}, 'c150.I', 157],
    [NORMAL, {}, 'c150.III', 152],
    [NORMAL, { finishedAt: at(300) }, 'c150.I', undefined],
    ['', { mouldedAt: '' }, 'c150.I', undefined],
  ] as const)('after %s, %j, %s: %s min', (falls, more, cementType, minutes) => {
    const told = ring(falls, more, {}, { facts: { ...FACTS, cementType } });
    expect(told.next).toBe(minutes);
  });
  it('waits on Today in the lane of pastes', () => {
    expect(ring(NORMAL).waits).toMatchObject([{ lane: 'paste', opens: at(157), closes: at(162) }]);
    expect(ring(NORMAL, { finishedAt: at(300) }).waits).toMatchObject([{ done: at(142) }]);
    expect(ring('', { contactAt: '' }).waits).toEqual([]);
  });
});

describe('the water of the paste', () => {
  it('is that of the consistency', () => {
    expect(ids(ring(NORMAL, { water: '182' }))).toContain('setting.water');
    expect(ids(ring(NORMAL, {}, {}, { facts: { cementType: 'c150.I' } }))).toContain('setting.consistency');
    expect(method.plan('US', { facts: FACTS })[0]?.text).toBe('650 g of cement, 175.5 g of water');
  });
});
