// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { usableInput } from '@/core/methods';
import { unitConditioning } from '@/core/methods/unit-conditioning';
import { UnitConditioningBench } from './Bench';

const START = Date.UTC(2031, 4, 19, 8, 30);
const HOUR = 3_600_000;
beforeEach(
  () => void vi.useFakeTimers({ now: START + 4.5 * HOUR, toFake: ['Date', 'setInterval', 'clearInterval'] }),
);
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});
const at = (hours: number): string => new Date(START + hours * HOUR).toISOString();
const bench = (typed: Record<string, unknown>) => {
  const { input } = usableInput(unitConditioning as never, { system: 'US', ...typed });
  const batch = { label: 'CN-1', seed: 1, specimens: [{ label: 'U1' }] };
  return (
    <UnitConditioningBench
      picture={unitConditioning.compute(input as never, { batch, zone: 'utc' }).picture}
    />
  );
};

describe('conditioning', () => {
  it('shows the minute from which they may be capped', () => {
    render(bench({ way: 'room', placedAt: at(0) }));
    expect(screen.getByText('Wed 21 May 08:30')).toBeDefined();
    expect(screen.getByText(/^They may be capped then, in 1 d 19 h/u)).toBeDefined();
  });
  it('shows that it begins anew while the room is wrong', () => {
    render(bench({ way: 'room', placedAt: at(0), air: [{ at: at(1), temperature: '72', humidity: '85' }] }));
    expect(screen.getByText(/the two days begin when it is back/u)).toBeDefined();
  });
  it('at the fan shows each unit’s next weighing', () => {
    render(bench({ way: 'fan', placedAt: at(0) }));
    expect(screen.getByText('weigh it now')).toBeDefined();
    cleanup();
    render(bench({ way: 'fan', placedAt: at(0), weighings: [{ specimen: 'U1', mass: '34.10', at: at(4) }] }));
    expect(screen.getByText('weigh from Mon 19 May 14:30')).toBeDefined();
  });
  it('asks for a beginning', () => {
    render(bench({}));
    expect(screen.getByText(/^Set them out/u)).toBeDefined();
  });
});
