// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { usableInput } from '@/core/methods';
import type { Facts } from '@/core/methods/facts';
import { unitSawing } from '@/core/methods/unit-sawing';
import { UnitSawingBench } from './Bench';

afterEach(cleanup);

const FACTS = { width: '7.625 in', height: '7.625 in', length: '15.625 in' };
const drawn = (typed: Record<string, unknown> = {}, facts: Facts = FACTS) => {
  const { input } = usableInput(unitSawing as never, {
    ...{ system: 'US', shell: '1.25', projection: '0', recess: '0', machine: 'neither', closed: 'yes' },
    ...typed,
  });
  return render(<UnitSawingBench picture={unitSawing.compute(input as never, { facts }).picture} />);
};
/** Sizes of what is drawn, in pixels. */
const sizes = (container: HTMLElement) =>
  [...container.querySelectorAll('rect')].map((rect) =>
    ['width', 'height'].map((name) => Number(rect.getAttribute(name))),
  );

describe('the unit at the saw', () => {
  it('and its coupon are drawn to one scale', () => {
    const all = sizes(drawn().container);
    const scale = 300 / 15.625;
    for (const [width, height] of [
      [15.625, 7.625],
      [5, 2.5],
      [5, 1.25],
    ] as const)
      expect(
        all.some(
          ([wide = 0, high = 0]) =>
            Math.abs(wide - width * scale) < 0.01 && Math.abs(high - height * scale) < 0.01,
        ),
      ).toBe(true);
    expect(screen.getByText('coupon 5.00 × 2.50 in')).toBeDefined();
    expect(screen.getByText(/at least 20 % of the received mass/u)).toBeDefined();
  });
  it('has two projections that stand out, and no cells where none are closed', () => {
    const plain = sizes(drawn().container).length;
    cleanup();
    expect(sizes(drawn({ projection: '1.5', thick: '1.25', machine: 'whole' }).container)).toHaveLength(
      plain + 2,
    );
    cleanup();
    expect(sizes(drawn({ closed: 'no' }).container)).toHaveLength(plain - 2);
  });
  it('says what is missing where its sizes are not known', () => {
    drawn({}, {});
    expect(screen.getByText(/stand with its specification/u)).toBeDefined();
  });
});
