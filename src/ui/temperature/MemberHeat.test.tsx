// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { MemberHeat } from './MemberHeat';

const SI = { highest: 70, difference: 19.4, toAir: 19.4 };
const LIMITS = { US: { highest: 71.11, difference: 19.44, toAir: 19.44 }, SI };
const CAP = {
  system: 'SI',
  thickness: '1.5',
  cement: '350',
  placed: '20',
  air: '15',
  swing: '0',
  off: '336',
};
beforeEach(() => window.history.replaceState(null, '', '/gear/member-heat'));
afterEach(cleanup);
const says = (): string => screen.getByRole('status').textContent ?? '';
const figure = (name: string): string => screen.getByText(name).nextElementSibling?.textContent ?? '';

describe('how warm a member gets', () => {
  it('bare it cracks, insulated it stays inside', () => {
    render(<MemberHeat given={{ ...CAP, cover: 'bare' }} limits={LIMITS} />);
    expect(says()).toMatch(/^Likely to crack: its core gets \d\d °C warmer than its face, 19 °C is allowed/u);
    cleanup();
    render(<MemberHeat given={{ ...CAP, cover: 'thick' }} limits={LIMITS} />);
    expect(says()).toMatch(/^It stays inside/u);
    // 350 · 330 / 2400 = 48 °C over 20 °C. Common practice, no source.
    expect(figure('If nothing were given off')).toBe('68 °C');
    expect(figure('Cover may come off')).toBe('not within two weeks');
  });
  it('with more binder and warmer concrete it is too warm, in the units that were chosen', () => {
    render(<MemberHeat given={{ ...CAP, cement: '480', placed: '30', thickness: '3' }} limits={LIMITS} />);
    expect(says()).toMatch(/^Too warm: (7|8|9)\d °C inside/u);
    fireEvent.click(screen.getByRole('button', { name: '°F, ft' }));
    expect(says()).toMatch(/^Too warm: \d{3} °F inside/u);
    expect(window.location.search).toContain('system=US');
  });
  it('keeps what was set in the address, and bears one that somebody made up', () => {
    render(
      <MemberHeat
        given={{ thickness: 'thick', cement: '9999', cover: 'snow', faces: 'one' }}
        limits={LIMITS}
      />,
    );
    expect(screen.getByText('1011 lb/yd³')).toBeTruthy();
    fireEvent.change(screen.getByRole('slider', { name: 'Placed at' }), { target: { value: 8 } });
    expect(window.location.search).toContain('placed=8');
    expect(window.location.search).toContain('cover=plywood');
    expect(window.location.search).toContain('faces=one');
  });
});
