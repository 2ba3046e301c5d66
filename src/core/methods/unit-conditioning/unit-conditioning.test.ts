import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import { findMethod } from '../registry';
import { waitsOf } from '../step-clock';
import { unitConditioning } from '.';

const method = findMethod(unitConditioning.id) ?? unitConditioning;
const setup = { batch: { label: 'CN-1', seed: 1, specimens: [{ label: 'U1' }] } };
const MONDAY = Date.UTC(2031, 4, 19, 8, 30);
const at = (hours: number): string => new Date(MONDAY + hours * 3_600_000).toISOString();
const input = (typed: Record<string, unknown>) =>
  usableInput(method as never, { system: 'US', way: 'room', apart: true, placedAt: at(0), ...typed })
    .input as never;
const air = (...read: readonly (readonly [hours: number, temperature: string, humidity: string])[]) =>
  read.map(([hours, temperature, humidity]) => ({ at: at(hours), temperature, humidity }));
const legal = (typed: Record<string, unknown>): number | null => {
  const [wait] = waitsOf(method, input(typed), setup);
  return wait ? (Date.parse(wait.opens) - MONDAY) / 3_600_000 : null;
};

// ASTM C140/C140M 7.3 (from memory): 48 h at 75 ± 15 °F and below 80 %; how short an excursion is passed over is our choice.
describe('units in room air', () => {
  it.each([
    ['a good room', air([0, '72', '62'], [30, '74', '74']), 48],
    ['ten minutes of damp', air([0, '72', '62'], [25.5, '72', '83'], [25.5 + 1 / 6, '72', '70']), 48],
    ['two hours of damp', air([0, '72', '62'], [25.5, '72', '83'], [27.5, '72', '70']), 75.5],
    ['80 % itself', air([10, '72', '80'], [11, '72', '79']), 59],
    ['an hour of cold', air([10, '58', '60'], [11, '66', '60']), 59],
    ['the ends of the range', air([10, '60', '60'], [20, '90', '60']), 48],
    ['what was before they came', air([-5, '50', '60'], [-1, '70', '60']), 48],
  ])('after %s may be capped', (_, rows, hours) => expect(legal({ air: rows })).toBe(hours));
  it('may not be capped while the room is out of its range', () => {
    expect(legal({ air: air([10, '58', '60']) })).toBeNull();
  });
  const ids = (typed: Record<string, unknown>) =>
    method.compute(input(typed), setup).findings.map(({ id }) => id);
  it('taken too early are said, by the minute', () => {
    expect(ids({ takenAt: at(48 - 1 / 60) })).toContain('condition.short');
    expect(ids({ takenAt: at(48) })).not.toContain('condition.short');
    expect(ids({ moisture: 'damp' })).toContain('condition.damp');
    expect(ids({ apart: false })).toContain('condition.crowded');
  });
  const tell = (typed: Record<string, unknown>) =>
    method.batch?.tells(input(typed), { label: 'U1', batch: 'CN-1', remarks: [] }, setup);
  it('tell since when, and when it was over only once they were looked at and taken', () => {
    const began = { conditionedFrom: at(0) };
    expect(tell({ takenAt: at(50), moisture: 'none' })).toEqual({ ...began, conditionedAt: at(48) });
    expect(tell({ takenAt: at(50), moisture: 'damp' })).toEqual(began);
    expect(tell({})).toEqual(began);
  });
});

// The same: four hours of air stream, then two hours apart until the loss is no more than 0.2 %.
describe('units at the fan', () => {
  const weighed = (...read: readonly (readonly [mass: string, hours: number])[]) => ({
    way: 'fan',
    weighings: read.map(([mass, hours]) => ({ specimen: 'U1', mass, at: at(hours) })),
  });
  it('wait for the first weighing, then for the next that counts', () => {
    expect(legal(weighed())).toBe(4);
    expect(legal(weighed(['34.10', 4]))).toBe(6);
    // 0.352 %, then 0.147 %.
    expect(legal(weighed(['34.10', 4], ['33.98', 6]))).toBe(8);
    expect(legal(weighed(['34.10', 4], ['33.98', 6], ['33.93', 8]))).toBeNull();
  });
});
