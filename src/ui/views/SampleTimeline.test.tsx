// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { TimelineRow } from '@/core/waits/timeline';
import { SampleTimeline } from './SampleTimeline';

afterEach(cleanup);

const HOUR = 3_600_000;
const NOON = Date.UTC(2031, 5, 11, 16);
const row = (label: string, over: Partial<TimelineRow> = {}): TimelineRow => ({
  label,
  steps: [{ runId: 'r1', method: 'soak', what: 'Tank, SK-1', from: NOON - 30 * HOUR, to: NOON - 6 * HOUR }],
  next: [],
  ...over,
});
const shown = (...rows: readonly TimelineRow[]) =>
  render(
    <SampleTimeline
      rows={rows}
      titles={{ soak: 'In the tank', oven: 'Oven' }}
      now={NOON}
      zone="America/New_York"
    />,
  );
const bar = (name: RegExp) => screen.getByRole('link', { name });
const percent = (element: HTMLElement, name: 'left' | 'width') =>
  Number(getComputedStyle(element)[name].replace('%', ''));

describe('a sample over time', () => {
  it('has a bar for what was done, as long as it took, and what is under way reaches to now', () => {
    shown(
      row('U1'),
      row('U2', {
        steps: [{ runId: 'r2', method: 'oven', what: 'Oven, OV-1', from: NOON - 6 * HOUR, to: null }],
      }),
    );
    expect(screen.getByText('In the tank')).toBeDefined();
    const [soak, oven] = [bar(/U1: Tank, SK-1: Tue/), bar(/U2: Oven, OV-1: .* to now/)];
    expect(soak.getAttribute('href')).toBe('/runs/r1');
    expect(percent(soak, 'width') / percent(oven, 'width')).toBeCloseTo(4, 3);
    expect(percent(soak, 'left') + percent(soak, 'width')).toBeCloseTo(percent(oven, 'left'), 3);
  });
  it('says what comes next by its minute, that it may be done now, and that it was missed', () => {
    const next = (what: string, opens: number, closes: number | null = null) => ({
      next: [{ what, opens, closes }],
    });
    shown(
      row('U1', next('Weigh', NOON + 2 * HOUR)),
      row('U2', next('Weigh', NOON - HOUR, NOON + HOUR)),
      row('U3', next('Take out', NOON - 3 * HOUR, NOON - HOUR)),
    );
    expect(screen.getByText('Weigh: from Wed 11 Jun 14:00')).toBeDefined();
    expect(screen.getByText('Weigh: now, until Wed 11 Jun 13:00')).toBeDefined();
    expect(screen.getByText('Take out: was to be done by Wed 11 Jun 11:00')).toBeDefined();
  });
  it('leaves out what nothing was done with yet, and is nothing for none', () => {
    shown(row('U1'), row('U2', { steps: [] }));
    expect(screen.queryByText('U2')).toBeNull();
    cleanup();
    expect(shown(row('U1', { steps: [] })).container.textContent).toBe('');
  });
});
