// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { CuringPlaces } from './CuringPlaces';

beforeEach(() => window.history.replaceState(null, '', '/gear/curing-places'));
afterEach(cleanup);
const rows = () => screen.getAllByRole('row').map((row) => row.textContent);

describe('two curing places', () => {
  it('warm leads early and lags later, and says when', () => {
    render(<CuringPlaces given={{ system: 'SI', cool: '20', warm: '30', limit: '45', rate: '0.35' }} />);
    expect(screen.getByRole('status').textContent).toBe(
      'The one at 30 °C leads until about 13 days; from then on it lags.',
    );
    // Hyperbolic gain with an Arrhenius rate, worked outside (common practice, no source).
    expect(rows()[1]).toBe('18.914.0+58 %');
    expect(rows()[5]).toBe('2840.839.1−4 %');
  });
  it('keeps what was set in the address, in the units that were chosen', () => {
    render(<CuringPlaces given={{}} />);
    fireEvent.click(screen.getByRole('button', { name: '°C, MPa' }));
    fireEvent.change(screen.getByRole('slider', { name: 'Warmer place' }), { target: { value: 40 } });
    expect(window.location.search).toContain('warm=40');
    expect(window.location.search).toContain('system=SI');
  });
  it('bears an address that somebody made up, and two places that are alike', () => {
    render(<CuringPlaces given={{ cool: 'cold', warm: '9999', limit: '-4' }} />);
    expect(screen.getByRole('status').textContent).toContain('113 °F');
    cleanup();
    render(<CuringPlaces given={{ cool: '20', warm: '20' }} />);
    expect(screen.getByRole('status').textContent).toBe('Both places are alike.');
  });
});
