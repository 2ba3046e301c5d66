// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { TemperatureBench } from '../temperature-record/Bench';
import { CurveBench } from './CurveBench';

/** What was drawn last: jsdom has no canvas. */
const drawn = vi.hoisted(() => ({ datasets: [] as { label: string; data: { x: number; y: number }[] }[] }));
vi.mock('../../charts/Line', () => ({
  Line: ({ data, ...props }: { data: typeof drawn; 'aria-label': string }) => {
    drawn.datasets = data.datasets;
    return <div role="img" aria-label={props['aria-label']} />;
  },
}));
afterEach(cleanup);
const labels = (): string[] => drawn.datasets.map(({ label }) => label);

describe('the picture of a record', () => {
  const two = {
    unit: '°F',
    purpose: 'concrete',
    means: '60 61',
    count: 2,
    name0: 'core',
    place0: 'core',
    curve0: '0.000/50.00 1.000/60.00 - 4.000/70.00',
    name1: 'air',
    place1: 'air',
    curve1: '0.000/40.00 4.000/42.00',
    low: null,
    high: 160,
    apart: null,
  };
  const bench = (values: Record<string, unknown>) =>
    render(<TemperatureBench picture={{ kind: 'temperature', values: values as never }} />);

  it('without a record says what to do', () => {
    bench({ unit: '°F', count: 0 });
    expect(screen.getByText(/^No record yet/u)).toBeDefined();
  });
  it('draws each sensor, and a gap as none', () => {
    bench(two);
    expect(labels()).toEqual(['core', 'air']);
    expect(drawn.datasets[0]?.data.map(({ y }) => y)).toEqual([50, 60, Number.NaN, 70]);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('highest 70.0 °F');
  });
  it('of two loggers says how they stand to each other, and shows the second as stamped when asked', () => {
    bench({
      ...two,
      asStamped: '0.500/50.00 4.500/70.00',
      ahead: 0.5,
      correlation: 0.998,
      higher: -1.2,
      scatter: 0.1,
      greatest: 1.6,
      unaligned: 4.2,
      peaks: '10.00/85.00 10.20/84.00',
      belief: 'Believe core before air: it was checked in a bath and the other was not.|air: it has a gap.',
      agree: false,
    });
    expect(screen.getByText('30 min')).toBeDefined();
    expect(screen.getByText('-1.20 °F')).toBeDefined();
    expect(screen.getByText('85.0 and 84.0 °F, at 10.0 and 10.2 h')).toBeDefined();
    expect(screen.getByText('air: it has a gap.')).toBeDefined();
    expect(labels()).not.toContain('second record as stamped');
    fireEvent.click(screen.getByLabelText('Show it as its clock stamped it, too'));
    expect(labels()).toContain('second record as stamped');
  });
  it('of two that do not fit says only how badly', () => {
    bench({
      ...two,
      ahead: null,
      correlation: 0.41,
      belief: 'The two shapes do not belong together.',
      peaks: null,
    });
    expect(screen.getByText('0.41 of 1')).toBeDefined();
    expect(screen.queryByText(/min$/u)).toBeNull();
  });
  it('of two places leads to what they make of one concrete', () => {
    bench({ ...two, purpose: 'places', means: '20 30', unit: '°C' });
    expect(screen.getByRole('link').getAttribute('href')).toBe(
      '/gear/curing-places?cool=20&warm=30&system=SI',
    );
  });
});

describe('the picture of a maturity', () => {
  const curve = {
    unit: 'psi',
    index: '°C·h',
    how: 'temperature over 32 °F times time',
    curve: 'hyperbolic',
    pairs: '588/1180 1692/2480',
    line: '588.0/1200.00 1692.0/2400.00',
    lower: '588.0/1150.00 1692.0/2350.00',
    counted: '588.0/1040.00 1692.0/2110.00',
  };
  const bench = (more: Record<string, unknown> = {}) =>
    render(<CurveBench picture={{ kind: 'maturity curve', values: { ...curve, ...more } as never }} />);

  it('without breaks says what comes', () => {
    bench({ pairs: '' });
    expect(screen.getByText(/^No break yet that has an index/u)).toBeDefined();
  });
  it('of a mix draws breaks, curve, lower edge and what may be counted on', () => {
    bench({ leftOut: '588/900' });
    expect(labels()).toEqual(['curve', 'lower edge', 'may be counted on', 'breaks', 'left out']);
    expect(screen.getByText(/An estimate, never a test of acceptance/u)).toBeDefined();
  });
  it('of a member says where it stands and when it comes to what is asked', () => {
    bench({
      now: '900.0/1500.00',
      required: 2000,
      asked: 1600,
      soonest: 20,
      expected: 30,
      latest: 44,
      verified: '1692/2300',
    });
    expect(screen.getByRole('img', { name: /1500 psi may be counted on at 900 °C·h/u })).toBeDefined();
    expect(
      screen.getByRole('img', { name: 'Expected in 30 h, at the soonest in 20 h, at the latest in 44 h' }),
    ).toBeDefined();
    expect(labels()).toContain('cylinders of the job');
  });
  it('that would never come in colder air, or not for weeks, says so without pressing the rest together', () => {
    bench({ now: '900.0/1500.00', soonest: 20, expected: 30, latest: null });
    expect(screen.getByText('not in colder air')).toBeDefined();
    cleanup();
    bench({ now: '900.0/1500.00', soonest: 60, expected: 96, latest: 1200 });
    expect(screen.getByText('50.0 d').getAttribute('x')).toBe('380');
    expect(screen.getByText('expected in 4.0 d')).toBeDefined();
  });
});
