// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ClockSlider, scatterAt } from './ClockSlider';

vi.mock('../../charts/Line', () => ({
  Line: ({ 'aria-label': label }: { 'aria-label': string }) => <p>{label}</p>,
}));
afterEach(cleanup);

const hump = (hour: number): number => 60 + 25 * (hour / 11) ** 2 * Math.exp(2 * (1 - hour / 11));
const points = (of: (hour: number) => number) =>
  Array.from({ length: 97 }, (_, row) => ({ x: row / 2, y: of(row / 2) }));
const first = points(hump);
/** The second clock is 37 min ahead, its sensor reads 1 degree more. */
const second = points(hump).map(({ x, y }) => ({ x: x + 37 / 60, y: y + 1 }));

describe('a clock moved by hand', () => {
  it('scatters least where it is right, whatever the sensor reads more', () => {
    const by = (minutes: number) => scatterAt(first, second, minutes / 60) ?? 99;
    expect(by(37)).toBeLessThan(0.02);
    expect(by(0)).toBeGreaterThan(by(20));
    expect(by(20)).toBeGreaterThan(by(37));
    expect(by(60)).toBeGreaterThan(by(37));
    expect(scatterAt(first, second.slice(0, 3), 0)).toBeUndefined();
  });
  it('begins where the shapes say, and notes what was set', () => {
    const take = vi.fn();
    render(<ClockSlider first={first} second={second} found={37.3 / 60} unit="°F" take={take} />);
    expect(screen.getByRole('status').textContent).toMatch(/^37 min: scattered by 0\.0\d °F/u);
    expect(screen.queryByRole('button', { name: 'As the shapes say' })).toBeNull();
    fireEvent.change(screen.getByRole('slider'), { target: { value: 20 } });
    expect(screen.getByText('Both records, the second moved back by 20 min')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Note it as seen at the start' }));
    expect(take).toHaveBeenCalledWith(20);
    fireEvent.click(screen.getByRole('button', { name: 'As the shapes say' }));
    expect(screen.getByRole('status').textContent).toMatch(/^37 min/u);
  });
  it('notes nothing where nothing can be written', () => {
    render(<ClockSlider first={first} second={second} found={0} unit="°F" />);
    expect(screen.queryByRole('button', { name: /Note it/u })).toBeNull();
  });
});
