// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { StrengthPair } from '@/core/flexure-compression';
import { Beside } from './Beside';

let drawn: { label: string; data: { x: number; y: number }[] }[] = [];
vi.mock('../charts/Line', () => ({
  Line: ({ data }: { data: { datasets: typeof drawn } }) => {
    drawn = data.datasets;
    return null;
  },
}));
afterEach(cleanup);

/** Beams that come to 9.4 f′c^0.5, a little beside it by turns. */
const pairs = (count: number): StrengthPair[] =>
  Array.from({ length: count }, (_, place) => {
    const compression = 3200 + 160 * place;
    return { label: `S${place}`, compression, flexure: 9.4 * compression ** 0.5 * (place % 2 ? 1.02 : 0.98) };
  });
const show = (count: number) =>
  render(<Beside pairs={pairs(count)} fewest={10} usual={9} unit="psi" symbol="f′c" />);

describe('beams and the cylinders beside them', () => {
  it('make a curve of this mix from ten pairs on, with where nine in ten lie', () => {
    show(12);
    const said = screen.getByText(/^R = /u).textContent ?? '';
    const [, k, n] = /^R = ([\d.]+) f′c([\d.]+)$/u.exec(said) ?? [];
    expect(Number(k) * 4080 ** Number(n)).toBeGreaterThan(560);
    expect(Number(k) * 4080 ** Number(n)).toBeLessThan(640);
    expect(screen.getByText(/By 12 pairs of this mix from 3,200 to 4,960 psi/u)).toBeDefined();
    expect(
      screen.getByText(/At 4,080 psi about 600; nine in ten tests between 5\d\d and 6\d\d psi/u),
    ).toBeDefined();
    expect(screen.getByText(/Nothing is accepted by it/u)).toBeDefined();
    expect(drawn.map(({ label }) => label)).toEqual(['this mix', 'nine in ten', '', 'pairs']);
    const [mine, low, high] = drawn;
    for (const [place, { y }] of (mine?.data ?? []).entries()) {
      expect(low?.data[place]?.y).toBeLessThan(y);
      expect(high?.data[place]?.y).toBeGreaterThan(y);
    }
  });
  it('show the usual curve where there are fewer, said to be not of this mix', () => {
    show(4);
    expect(
      screen.getByText(/4 pairs of this mix; a curve of its own is made from 10/u).textContent,
    ).toContain('the usual 9 √f′c, not of this mix');
    expect(screen.queryByText(/^R = /u)).toBeNull();
    expect(drawn[0]?.data[0]).toEqual({ x: 3200, y: 9 * Math.sqrt(3200) });
    cleanup();
    show(1);
    expect(screen.getByText(/^1 pair of this mix/u)).toBeDefined();
  });
});
