import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import type { LogTrouble } from '../../signals';
import type { PressTest, PressUse } from '../contract';
import type { RunSetup } from '../setup';
import { logBand, logCriteria, logFindings, troubleWords } from './load-log';

const limits = new Limits();
const FIELDS: PressUse['fields'] = {
  machine: 'machine',
  load: 'maximumLoad',
  at: 'testedAt',
  rate: 'loadingRate',
};
type Facts = NonNullable<RunSetup['loadLog']>;
const SOUND: Facts = { verdict: 'valid', troubles: [], outside: 4, underRead: 0.1, dips: [], spikes: [] };
const said = (facts: Partial<Facts>) =>
  logFindings({ loadLog: { ...SOUND, ...facts } }, limits, 'US', FIELDS);
const one = (facts: Partial<Facts>, id: string) => said(facts).find((each) => each.id === id);

describe('what a kept log says of its test', () => {
  it('is nothing when there is none, or it is sound', () => {
    expect(logFindings({}, limits, 'US', FIELDS)).toEqual([]);
    expect(said({})).toEqual([]);
    expect(said({ outside: null, underRead: null })).toEqual([]);
  });

  it.each(['clipped', 'maximum not shown'] as const)('%s leaves no result', (trouble) => {
    const [finding, ...others] = said({ troubles: [trouble] });
    expect(others).toEqual([]);
    expect(finding?.severity).toBe('invalid');
    expect(finding?.fields).toEqual(['maximumLoad']);
    expect(finding?.message).toContain(troubleWords(trouble));
  });
  it.each(['starts late', 'gap', 'not at zero', 'time not increasing'] as const)(
    '%s goes with the result as a remark',
    (trouble) => {
      const [finding] = said({ troubles: [trouble] });
      expect(finding?.severity).toBe('departure');
      expect(finding?.needsReason).toBe(false);
      expect(finding?.remark).toBe(`Load log: ${troubleWords(trouble)}.`);
    },
  );
  it.each(['empty', 'too few for sliding rates'] as const)('%s is no fault of the test', (trouble) => {
    expect(said({ troubles: [trouble] })).toEqual([]);
  });

  // 10 % for a remark and 30 % for a review are our choice.
  it.each([
    [10, undefined],
    [10.4, false],
    [30, false],
    [30.1, true],
    [100, true],
  ])('%s %% outside the band: its reason is asked for is %s', (outside, heavy) => {
    const finding = one({ outside }, 'log.share');
    expect(finding?.needsReason).toBe(heavy);
    if (heavy !== undefined) expect(finding?.fields).toEqual(['loadingRate']);
  });
  it('says nothing of a rate where the method reads none: it is judged by its time', () => {
    const { rate: _, ...fields } = FIELDS;
    expect(logFindings({ loadLog: { ...SOUND, outside: 50 } }, limits, 'US', fields)).toEqual([]);
  });

  it.each([
    [0.5, undefined],
    [0.51, false],
    [1.0, false],
    [1.02, true],
  ])('a peak that may be missed by %s %%', (underRead, heavy) => {
    expect(one({ underRead }, 'log.under-read')?.needsReason).toBe(heavy);
  });

  it('lists every drop that recovered, with its load and depth', () => {
    const finding = one(
      {
        dips: [
          { load: 40_712.345, depth: 3.41 },
          { load: 51_000, depth: 2 },
        ],
      },
      'log.dip',
    );
    expect(finding?.message).toBe(
      'The load dropped and recovered: at 40,712 lbf by 3.4 %, at 51,000 lbf by 2.0 %.',
    );
    expect(finding?.needsReason).toBe(false);
  });
  it('tells of readings that jumped, one or more', () => {
    const jump = { was: 53_460, now: 44_465 };
    expect(one({ spikes: [jump] }, 'log.spikes')?.message).toMatch(/^1 single reading jumped/);
    expect(one({ spikes: [jump, jump] }, 'log.spikes')?.message).toMatch(/^2 single readings jumped/);
    expect(one({ spikes: [jump] }, 'log.spikes')?.severity).toBe('advice');
  });
  it('says all of it at once, in words for each trouble', () => {
    const all: LogTrouble[] = ['clipped', 'maximum not shown', 'starts late', 'gap', 'not at zero'];
    expect(said({ troubles: all, outside: 50 }).map(({ id }) => id)).toEqual([
      'log.clipped',
      'log.maximum-not-shown',
      'log.share',
      'log.starts-late',
      'log.gap',
      'log.not-at-zero',
    ]);
    expect(new Set(all.map(troubleWords)).size).toBe(all.length);
  });
});

describe('what a log is analysed with', () => {
  const test: PressTest = {
    area: exact('12.5664'),
    factor: exact(1),
    band: limits.of('cylinder.loading-rate', 'US'),
    from: 'half',
    ends: 'pads',
    measured: true,
  };
  it('is the band as a stress and the area to come to it', () => {
    const band = logBand(test, 'US', limits);
    expect(band.low).toBeCloseTo(28, 9);
    expect(band.high).toBeCloseTo(42, 9);
    expect(band.area).toBeCloseTo(12.5664, 9);
  });
  it('is in MPa and kN in SI', () => {
    const si = {
      ...test,
      area: exact('8107.3'),
      factor: exact(1000),
      band: limits.of('cylinder.loading-rate', 'SI'),
    };
    const band = logBand(si, 'SI', limits);
    expect(band.low).toBeCloseTo(0.2, 9);
    expect(band.high).toBeCloseTo(0.3, 9);
    expect(band.stress).toBe(1000);
  });
  it('takes its criteria from the register, a laboratory’s own value first', () => {
    expect(logCriteria(limits)).toEqual({
      share: { remark: 10, review: 30 },
      underRead: { remark: 0.5, review: 1 },
    });
    const own = new Limits({
      'log.share-review': { status: 'set by the laboratory', both: { high: '20', unit: 'percent' } },
    });
    expect(logCriteria(own).share.review).toBe(20);
  });
});
