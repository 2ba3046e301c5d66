// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { ComponentType } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { type Method, usableInput } from '@/core/methods';
import { brickAbsorption } from '@/core/methods/brick-absorption';
import { brickBoil } from '@/core/methods/brick-boil';
import { brickEfflorescence } from '@/core/methods/brick-efflorescence';
import { brickFlexure } from '@/core/methods/brick-flexure';
import { brickSize } from '@/core/methods/brick-size';
import { exampleBatch } from '@/core/methods/example-batch';
import type { Facts } from '@/core/methods/facts';
import { groutMaking } from '@/core/methods/grout-making';
import { mortarMaking } from '@/core/methods/mortar-making';
import { prismBuilding } from '@/core/methods/prism-building';
import { prismCompression } from '@/core/methods/prism-compression';
import type { RunSetup } from '@/core/methods/setup';
import { BrickAbsorptionBench } from './brick-absorption/Bench';
import { BrickBoilBench } from './brick-boil/Bench';
import { BrickEfflorescenceBench } from './brick-efflorescence/Bench';
import { BrickFlexureBench } from './brick-flexure/Bench';
import { BrickSizeBench } from './brick-size/Bench';
import { Minute } from './brick-suction/Minute';
import { GroutMakingBench } from './grout-making/Bench';
import type { BenchProps, InstrumentProps } from './kit';
import { MortarMakingBench } from './mortar-making/Bench';
import { PrismBuildingBench } from './prism-building/Bench';
import { PrismCompressionBench } from './prism-compression/Bench';

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

/** The bench of a method as it draws what is read so far. */
function draw(
  method: unknown,
  Bench: ComponentType<BenchProps>,
  typed: Record<string, unknown>,
  setup: RunSetup = {},
) {
  const own = method as Method;
  const { input, errors } = usableInput(own, { system: 'US', ...typed });
  expect(errors).toEqual({});
  return render(<Bench picture={own.compute(input, setup).picture} />);
}

describe('a boil', () => {
  const batch = exampleBatch('BO', ['A', 'B'], 'brick-half', []);
  const boil = (typed: object) => draw(brickBoil, BrickBoilBench, typed as never, { ...batch, zone: 'utc' });
  it('says what comes next, from its stamps alone', () => {
    vi.useFakeTimers({ now: Date.parse('2031-05-20T12:30:00Z') });
    boil({});
    expect(screen.getByRole('status').textContent).toContain('Heat on now: off at');
    cleanup();
    boil({ heatAt: '2031-05-20T12:00:00Z' });
    expect(screen.getByRole('status').textContent).toMatch(/Has to boil by .*13:00, in 30 min/u);
    cleanup();
    boil({ heatAt: '2031-05-20T10:30:00Z', boilingAt: '2031-05-20T11:30:00Z' });
    expect(screen.getByRole('status').textContent).toMatch(/Heat off at .*16:30, in 4 h/u);
    cleanup();
    boil({
      heatAt: '2031-05-19T10:30:00Z',
      boilingAt: '2031-05-19T11:30:00Z',
      offAt: '2031-05-19T16:30:00Z',
    });
    expect(screen.getByRole('status').textContent).toMatch(/To be weighed: cool since .*08:30/u);
    expect(screen.getByText('0 of 2 halves weighed after the boil')).toBeDefined();
  });
});

describe('brick', () => {
  it('shows how much of its pores cold water filled', () => {
    draw(
      brickAbsorption,
      BrickAbsorptionBench,
      {},
      {
        facts: { dryMass: '928 g', cold: '1019 g', boiled: '1036 g' },
      },
    );
    expect(screen.getByText('cold water filled 84 % of what boiling did')).toBeDefined();
    cleanup();
    draw(brickAbsorption, BrickAbsorptionBench, {}, { facts: { dryMass: '928 g' } });
    expect(screen.getAllByText('to come')).toHaveLength(2);
  });
  it('has its sizes as they are read, place by place', () => {
    draw(brickSize, BrickSizeBench, { places: [{ width: '3.6', height: '2.25', length: '7.62' }] });
    expect(screen.getByText('1 of 4 places read')).toBeDefined();
    expect(screen.getByText('7.62 in')).toBeDefined();
  });
  it('broke where it was measured, and not while it was not', () => {
    const cracks = (typed: object) => {
      const { container } = draw(brickFlexure, BrickFlexureBench, {
        span: '6.6',
        width: '3.6',
        depth: '2.25',
        ...typed,
      });
      const count = container.querySelectorAll('path').length;
      cleanup();
      return count;
    };
    expect(cracks({ load: '1400', off: '0.4' })).toBe(cracks({}) + 2);
  });
  it('stands in water for a week beside its dry twin', () => {
    vi.useFakeTimers({ now: Date.parse('2031-05-22T09:00:00Z') });
    draw(brickEfflorescence, BrickEfflorescenceBench, { inAt: '2031-05-20T09:00:00Z' }, { zone: 'utc' });
    expect(screen.getByText(/Out from .*27 May 09:00, in 5 d/u)).toBeDefined();
    expect(screen.getByText('pair 5')).toBeDefined();
    cleanup();
    draw(brickEfflorescence, BrickEfflorescenceBench, { pairs: [{ wet: 'B11', dry: 'B12', seen: 'yes' }] });
    expect(screen.getByText('B11 / B12')).toBeDefined();
  });
});

describe('the minute in the tray', () => {
  it('counts down, says when to lift, and takes the seconds it was', () => {
    vi.useFakeTimers({ now: Date.parse('2031-05-22T09:00:00Z') });
    const save = vi.fn();
    const props = { run: { readings: { save } }, readOnly: false } as unknown as InstrumentProps;
    render(<Minute {...props} />);
    fireEvent.click(screen.getByRole('button', { name: 'On the supports' }));
    act(() => void vi.advanceTimersByTime(20_000));
    expect(screen.getByRole('timer').textContent).toBe('40 s');
    act(() => void vi.advanceTimersByTime(40_000));
    expect(screen.getByRole('timer').textContent).toBe('Lift it now');
    act(() => void vi.advanceTimersByTime(1_000));
    fireEvent.click(screen.getByRole('button', { name: 'Lifted off' }));
    expect(save).toHaveBeenCalledWith('contact', '61');
    expect(screen.getByRole('timer').textContent).toBe('60 s');
  });
});

describe('what a wall is made of', () => {
  it('a prism has as many courses as are asked for, and says its shape', () => {
    const facts: Facts = { courses: '3', unitHeight: '7.625 in', unitThickness: '7.625 in' };
    const { container } = draw(prismBuilding, PrismBuildingBench, {}, { facts });
    expect(container.querySelectorAll('rect')).toHaveLength(3);
    // 3 × 7.625 + 2 × 0.375 in over 7.625 in.
    expect(screen.getByText('3.10 times as high as thick')).toBeDefined();
  });
  it('a prism in the press shows its factor, or that it has none', () => {
    const sizes = { lengthTop: '7.6', lengthBottom: '7.6', widthTop: '3.6', widthBottom: '3.6' };
    draw(
      prismCompression,
      PrismCompressionBench,
      { ...sizes, height: '13.2' },
      { facts: { built: 'grouted' } },
    );
    expect(screen.getByText('h/t 3.67, factor 1.123')).toBeDefined();
    cleanup();
    draw(
      prismCompression,
      PrismCompressionBench,
      { ...sizes, height: '4.5' },
      { facts: { built: 'grouted' } },
    );
    expect(screen.getByText('h/t 1.25, no factor')).toBeDefined();
  });
  it('grout wants a plug, or says that its units are too low', () => {
    draw(groutMaking, GroutMakingBench, { side: '3.05', unitHeight: '7.63' });
    expect(screen.getByText('Plug 1.53 in')).toBeDefined();
    cleanup();
    draw(groutMaking, GroutMakingBench, { side: '4.2', unitHeight: '7.63' });
    expect(screen.getByText('The units are too low for this side.')).toBeDefined();
  });
  it('mortar of the laboratory flows, that of the wall is held against no ring', () => {
    const flow = [{ when: 'first', d1: '8.42', d2: '8.42', d3: '8.42', d4: '8.42' }];
    draw(mortarMaking, MortarMakingBench, { flow }, { facts: { purpose: 'laboratory' } });
    expect(screen.getByText('Flow 110.5 %')).toBeDefined();
    cleanup();
    draw(mortarMaking, MortarMakingBench, { cone: '62' }, { facts: { purpose: 'field' } });
    expect(screen.getByText(/The cone went in by 62 mm/u)).toBeDefined();
  });
});
