// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { bendOfLog } from '@/core/signals';
import { FoundBend } from './FoundBend';

afterEach(cleanup);

/** A plain beam: 8,000 N/mm to 0.5 mm, then snapped; newtons and millimetres. */
const position = Float64Array.from({ length: 600 }, (_, index) => index / 1000);
const load = position.map((at, index) => (index === 200 ? 4000 : at <= 0.5 ? 8000 * at : 100));
const bend = bendOfLog({ load, position }, 'N', { toe: true, at: [] });
const told = (label: string): string => screen.getByText(label).nextElementSibling?.textContent ?? '';

describe('what a record over the displacement came to', () => {
  it('in kN and mm', () => {
    render(<FoundBend bend={bend} system="SI" />);
    expect(told('Peak')).toBe('4 kN at 0.5 mm');
    expect(told('First crack')).toContain('by a drop');
    // The sample that stands for the one that jumped is a neighbour's: a thousandth.
    expect(told('Stiffness')).toBe('7.999 kN/mm');
    // Half of 4,000 N over 0.5 mm.
    expect(told('Energy to the peak')).toBe('1 J');
    expect(told('It ends at')).toBe('0.599 mm');
  });
  it('in lbf and in', () => {
    render(<FoundBend bend={bend} system="US" />);
    expect(told('Peak')).toBe('899.2 lbf at 0.01969 in');
    expect(told('Stiffness')).toMatch(/^456[78]0 lbf\/in$/u);
  });
  it('says what was replaced in it, and how many rows it has', () => {
    render(<FoundBend bend={bend} system="SI" />);
    expect(screen.getByText(/1 reading that jumped by itself is replaced/u)).toBeDefined();
    expect(screen.getByText('600 rows.')).toBeDefined();
  });
  it('asks for the column that is missing', () => {
    render(<FoundBend bend={undefined} system="SI" />);
    expect(screen.getByText(/say which column that is/u)).toBeDefined();
  });
});
