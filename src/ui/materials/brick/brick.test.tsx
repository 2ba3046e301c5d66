// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { Limits } from '@/core/limits';
import { gradeTables } from '@/core/materials/brick/grades';
import type { PieceView } from '../kit';
import { Grades } from './Grades';
import { Pairs } from './Pairs';

afterEach(cleanup);

const found = (saturation: number, cold: number): Record<string, string> => ({
  'mean strength': '7009',
  'least strength': '6730',
  'mean boiling absorption': '11.3',
  'greatest boiling absorption': '11.5',
  'mean saturation': String(saturation),
  'greatest saturation': String(saturation),
  'mean cold absorption': String(cold),
  'greatest cold absorption': String(cold),
});
const grades = (values: Record<string, string>, possible: string, used = '') => {
  const about = { limits: new Limits(), system: 'US', mode: 'half-even' } as const;
  const tables = JSON.stringify(gradeTables('c216', values, about));
  return render(<Grades picture={{ kind: 'grades', values: { tables, possible, used, asked: 'SW' } }} />);
};

describe('the grade of a delivery', () => {
  it('is said beside what is asked for, each limit with what was found', () => {
    grades(found(0.8382, 9.8), '');
    expect(screen.getByRole('status').textContent).toBe('Grade MW, SW is asked for');
    expect(
      screen.getByRole('img', { name: 'Mean saturation coefficient: 0.84; at most SW 0.78, MW 0.88' }),
    ).toBeDefined();
    expect(screen.getByText(/▸ Mean saturation coefficient/u)).toBeDefined();
  });
  it('has no alternate without its evidence', () => {
    grades(found(0.8382, 9.8), '');
    for (const each of screen.getAllByRole('switch')) expect((each as HTMLInputElement).disabled).toBe(true);
  });
  it('shows what an alternate would change, and says that it is one', () => {
    grades(found(0.857, 7.05), 'cold');
    expect(screen.getByRole('status').textContent).toContain('Grade MW');
    fireEvent.click(screen.getByRole('switch', { name: /^Absorption alternate/u }));
    expect(screen.getByRole('status').textContent).toBe('Grade SW with these alternates, SW is asked for');
    expect(screen.getByText(/Mean saturation coefficient, waived/u)).toBeDefined();
    fireEvent.click(screen.getByRole('switch', { name: /^Absorption alternate/u }));
    expect(screen.getByRole('status').textContent).toContain('Grade MW');
  });
  it('is not known while a result is missing', () => {
    const { 'mean saturation': _, ...rest } = found(0.72, 9.8);
    grades(rest, '');
    expect(screen.getByRole('status').textContent).toContain(
      'Not known: no result of mean saturation coefficient',
    );
  });
});

const piece = (label: string, over: Partial<PieceView> = {}): PieceView => ({
  id: label,
  label,
  role: null,
  parentId: null,
  results: {},
  state: '',
  href: `/specimens/${label}`,
  gone: false,
  ...over,
});

describe('bricks and their halves', () => {
  it('stand in one row, each branch with how far it has come', () => {
    render(
      <Pairs
        pieces={[
          piece('S-B1'),
          piece('S-B2'),
          piece('S-B1C', {
            parentId: 'S-B1',
            role: 'compression',
            state: 'done',
            results: { 'compressive strength': '5,770 psi' },
          }),
          piece('S-B1A', { parentId: 'S-B1', role: 'absorption', state: 'being tested' }),
        ]}
      />,
    );
    const [, row, ...more] = screen.getAllByRole('row');
    expect(more).toEqual([]);
    if (!row) throw new Error('no row');
    expect(within(row).getByText('5,770 psi')).toBeDefined();
    expect(row.textContent).toContain('B1A, being tested');
  });
  it('are wanted before any is halved', () => {
    render(<Pairs pieces={[piece('S-B1')]} />);
    expect(screen.getByText(/No brick is halved yet/u)).toBeDefined();
  });
});
