import { describe, expect, it } from 'vitest';
import { computed, idsOf } from '@/testing/outcome';
import type { Method } from './contract';
import { findMethod, METHODS } from './registry';
import type { RunSetup } from './setup';
import { usableInput } from './validate';

const method = (id: string): Method => findMethod(id) as Method;
const slump = (typed: Record<string, unknown>, setup: RunSetup = {}) =>
  computed(method('slump'), { shape: 'true', slump: '4', readAt: '2031-05-14T14:30:00Z', ...typed }, setup);

const CARDS = [{ methods: ['slump'], issuedOn: '2027-01-01', expiresOn: '2031-05-13' }];
const facts = { slump: '4 in', slumpKind: 'target' };

// ACI 318 26.12 and ASTM C94/C94M ask for certified technicians for acceptance tests (from memory).
describe('who made a test', () => {
  it('says nothing where nobody is known, or where no certificate is asked for', () => {
    expect(idsOf(slump({}, { facts }))).not.toContain('people.certified');
    const weather = computed(
      method('evaporation'),
      {},
      { technician: { name: 'Somebody' }, asOf: '2031-05-14T12:00:00Z' },
    );
    expect(idsOf(weather)).not.toContain('people.certified');
  });
  it.each([
    ['2031-05-13T23:59:00Z', true],
    ['2031-05-14T00:00:00Z', false],
  ])('by the day of the test, at %s certified: %s', (readAt, certified) => {
    const outcome = slump(
      { readAt },
      { zone: 'utc', facts, technician: { name: 'T. Tester', cards: CARDS } },
    );
    expect(idsOf(outcome).includes('people.certified')).toBe(!certified);
    expect(outcome.verdicts[0]?.state).toBe(certified ? 'meets' : 'not yet determinable');
  });
  it('by the day where the job is, not by that of the server', () => {
    const at = '2031-05-14T03:00:00Z';
    const setup = { facts, technician: { name: 'T. Tester', cards: CARDS } };
    expect(idsOf(slump({ readAt: at }, { ...setup, zone: 'America/New_York' }))).not.toContain(
      'people.certified',
    );
    expect(idsOf(slump({ readAt: at }, { ...setup, zone: 'Europe/Berlin' }))).toContain('people.certified');
  });
  it('keeps the result and its remark, withholds the mark, and says who decides', () => {
    const outcome = slump({}, { zone: 'utc', facts, technician: { name: 'T. Tester' } });
    const found = outcome.findings.find(({ id }) => id === 'people.certified');
    expect(outcome.results[0]?.text).toBe('4.00');
    expect(found?.severity).toBe('departure');
    expect(found?.remark).toBe('Not certified: T. Tester, no certificate for this test is on file.');
    expect(found?.action).toMatch(/engineer’s decision/);
    expect(outcome.verdicts[0]?.sentence).toMatch(/^Mark of acceptance withheld.*In tolerance: 4 in/);
    expect(outcome.verdicts[0]?.side).toBeUndefined();
  });
  it('lets a preliminary sample be judged all the same: it accepts nothing', () => {
    const outcome = slump(
      {},
      { zone: 'utc', facts, sample: { kind: 'preliminary' }, technician: { name: 'T.' } },
    );
    expect(idsOf(outcome)).toContain('people.certified');
    expect(outcome.verdicts[0]?.state).toBe('meets');
  });
  it('is asked of every fresh test that accepts, and of no other method', () => {
    expect(METHODS.filter(({ needsCard }) => needsCard).map(({ id }) => id)).toEqual([
      'sampling',
      'slump',
      'slump-flow',
      'concrete-temperature',
      'air-volumetric',
      'air-pressure',
      'density-yield',
      'moulding',
    ]);
  });
});

describe('how a stamp came about', () => {
  const entered = (readAt: string, at: string) =>
    slump({ readAt }, { zone: 'utc', enteredAt: { readAt: at } }).findings.find(
      ({ id }) => id === 'stamps.typed',
    );
  it.each([
    ['2031-05-14T14:30:00Z', undefined],
    ['2031-05-14T14:31:00Z', undefined],
    ['2031-05-14T14:31:01Z', 'typed'],
    ['2031-05-14T14:28:59Z', 'typed'],
  ])('entered at %s: %s', (at, marked) => {
    expect(entered('2031-05-14T14:30:00Z', at)?.id).toBe(marked && 'stamps.typed');
  });
  it('prints both times, and asks for no reason', () => {
    const found = entered('2031-05-14T14:30:00Z', '2031-05-14T15:02:10Z');
    expect(found?.remark).toBe('Times typed afterwards: Read at 14:30:00, entered 15:02:10.');
    expect([found?.severity, found?.needsReason]).toEqual(['departure', false]);
  });
  it('does not mark what is read off a ticket', () => {
    const outcome = computed(
      method('delivery'),
      { batchedAt: '2031-05-14T13:00:00Z', dischargeStartedAt: '2031-05-14T14:00:00Z' },
      { enteredAt: { batchedAt: '2031-05-14T13:40:00Z', dischargeStartedAt: '2031-05-14T14:00:05Z' } },
    );
    expect(idsOf(outcome)).not.toContain('stamps.typed');
  });
});

describe('what is kept of a run’s stamps', () => {
  const times = { liftStartedAt: '2031-05-14T14:29:50Z', liftEndedAt: '2031-05-14T14:29:55Z' };
  it('is read anew when a stamp of the same run changes', () => {
    const { input } = usableInput(method('slump'), { system: 'US', shape: 'true', slump: '4', ...times });
    const ids = () => idsOf(method('slump').compute(input, {}));
    expect(ids()).not.toContain('slump.lift');
    Object.assign(input, { liftEndedAt: '2031-05-14T14:30:05Z' });
    expect(ids()).toContain('slump.lift');
    Object.assign(input, { liftEndedAt: '2031-05-14T14:29:40Z' });
    expect(ids()).toContain('times.order');
  });
  it('is read anew when the sample says something else', () => {
    const { input } = usableInput(method('slump'), { system: 'US', shape: 'true', slump: '4', ...times });
    const late = (finalPortion: string) =>
      idsOf(method('slump').compute(input, { sample: { events: { 'final-portion': finalPortion } } }));
    expect(late('2031-05-14T14:29:00Z')).not.toContain('times.order');
    Object.assign(input, { fillStartedAt: '2031-05-14T14:28:00Z' });
    expect(late('2031-05-14T14:29:00Z')).toContain('times.order');
    expect(late('2031-05-14T14:20:00Z')).not.toContain('times.order');
  });
});

describe('validity and tolerance', () => {
  it('a test that is not valid is neither in nor out of tolerance', () => {
    const fast = {
      fillStartedAt: '2031-05-14T14:28:00Z',
      liftStartedAt: '2031-05-14T14:29:50Z',
      liftEndedAt: '2031-05-14T14:29:52Z',
    };
    for (const height of ['4', '8']) {
      const outcome = slump({ ...fast, slump: height }, { facts });
      expect(idsOf(outcome)).toContain('slump.lift');
      expect(outcome.verdicts).toEqual([
        expect.objectContaining({
          state: 'not yet determinable',
          sentence: expect.stringMatching(/^No valid test/),
        }),
      ]);
      expect(outcome.verdicts[0]?.side).toBeUndefined();
    }
  });
});
