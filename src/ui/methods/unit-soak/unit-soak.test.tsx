// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { usableInput } from '@/core/methods';
import { unitSoak } from '@/core/methods/unit-soak';
import { UnitSoakBench } from './Bench';

const START = Date.UTC(2031, 4, 20, 10);
const HOUR = 3_600_000;
beforeEach(() => void vi.useFakeTimers({ now: START, toFake: ['Date', 'setInterval', 'clearInterval'] }));
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});
const bench = (typed: Record<string, unknown>) => {
  const { input } = usableInput(unitSoak as never, { system: 'US', ...typed });
  const batch = { label: 'SK-1', seed: 1, specimens: [{ label: 'PMF-1-U4' }, { label: 'PMF-1-U5' }] };
  return (
    <UnitSoakBench
      picture={unitSoak.compute(input as never, { batch, zone: 'utc' }).picture}
      take={() => undefined}
    />
  );
};
const inAt = new Date(START).toISOString();

describe('the tank', () => {
  it.each([
    [2, /^Out from Wed 21 May 10:00 on, in 22 h/u],
    [25, /^Take them out: 3 h left/u],
    [30, /^Over by 2 h/u],
  ])('after %i h says what is to be done', (hours, words) => {
    vi.setSystemTime(START + hours * HOUR);
    render(bench({ inAt }));
    expect(screen.getByText(words)).toBeDefined();
  });
  it('shows which are still in it', () => {
    const units = [{ specimen: 'PMF-1-U4', immersed: '17.2', saturated: '34.9', at: inAt }];
    render(bench({ inAt, units }));
    expect(screen.getByRole('img', { name: 'The tank: 1 of 2 units still in it' })).toBeDefined();
  });
  it('counts one minute of draining, then says to wipe and weigh', () => {
    render(bench({ inAt }));
    fireEvent.click(screen.getByRole('button', { name: 'Out of the water: drain' }));
    act(() => void vi.advanceTimersByTime(41_000));
    expect(screen.getByRole('timer').textContent).toBe('19 s');
    act(() => void vi.advanceTimersByTime(19_000));
    expect(screen.getByRole('timer').textContent).toBe('Wipe and weigh');
    fireEvent.click(screen.getByRole('button', { name: 'Next unit' }));
    expect(screen.getByRole('timer').textContent).toBe('60 s');
  });
});
