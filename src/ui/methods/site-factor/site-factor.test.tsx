// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { usableInput } from '@/core/methods';
import { siteFactor } from '@/core/methods/site-factor';
import { SiteFactorBench } from './Bench';

afterEach(cleanup);

const picture = (pairs: readonly Readonly<Record<string, string>>[]) => {
  const { input } = usableInput(siteFactor as never, { system: 'SI', pairs });
  return siteFactor.compute(input as never, {}).picture;
};

describe('the bench of a site’s factor', () => {
  it('asks for pairs while there are none', () => {
    render(<SiteFactorBench picture={picture([])} />);
    expect(screen.getByText(/With the first two pairs/u)).toBeDefined();
  });
  it('says what an index gives, with its interval, and moves with the slider', () => {
    const pairs = [
      ['2.0', '41'],
      ['3.0', '59'],
      ['4.0', '81'],
      ['5.0', '99'],
      ['6.0', '121'],
    ].map(([index = '', strength = ''], place) => ({ core: `C${place}`, index, strength }));
    render(<SiteFactorBench picture={picture(pairs)} />);
    // Through the origin: 1812 / 90 = 20.1; half of 6.6 MPa is 3.3, by hand.
    expect(screen.getByText(/^An index of 3\.3 MPa gives 66\.\d \(/u)).toBeDefined();
    fireEvent.change(screen.getByRole('slider', { name: 'Index to try' }), { target: { value: '100' } });
    expect(screen.getByText(/^An index of 6\.6 MPa gives 13\d \(/u)).toBeDefined();
  });
  it('says nothing of one pair', () => {
    render(<SiteFactorBench picture={picture([{ core: 'C1', index: '2.0', strength: '41' }])} />);
    expect(screen.queryByRole('slider')).toBeNull();
  });
});
